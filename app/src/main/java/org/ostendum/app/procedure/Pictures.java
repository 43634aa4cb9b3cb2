package org.ostendum.app.procedure;

import java.util.Set;

/** Names of the drawings a step can show; each is a fragment of {@code procedures/pictures.html}. */
public final class Pictures {
    private static final Set<String> NAMES = Set.of(
            "case",
            "posts",
            "post-first",
            "hold-down",
            "tool",
            "probe",
            "caps-on",
            "level",
            "cover",
            "lift",
            "hooks",
            "kit");

    private Pictures() {}

    public static boolean known(String name) {
        return NAMES.contains(name);
    }

    public static Set<String> names() {
        return NAMES;
    }
}
