package org.ostendum.app.security;

import org.jspecify.annotations.Nullable;

/**
 * A person's new password as typed.
 *
 * @param current the one until now
 * @param again the new one once more, for nobody sees what he types
 */
record PasswordForm(@Nullable String current, @Nullable String wanted, @Nullable String again) {
    static final PasswordForm BLANK = new PasswordForm("", "", "");
}
