package org.ostendum.app.setup.people;

import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Adding;
import org.ostendum.app.form.Code;
import org.ostendum.app.form.Needed;
import org.ostendum.app.form.Text;
import org.ostendum.core.people.Person;
import org.ostendum.core.people.Role;

/**
 * A person as typed.
 *
 * @param password empty to leave it as it is
 * @param active "true" for one who may sign in
 * @param version of the record when it was shown; null for somebody new
 */
record PersonForm(
        @Code(groups = Adding.class) String login,
        @Needed @Text(max = 80) String name,
        @Needed(message = Needed.CHOICE) @Nullable Role role,
        @Nullable String password,
        @Nullable String active,
        @Nullable Integer version) {

    static final PersonForm BLANK = new PersonForm("", "", null, "", "true", null);

    static PersonForm of(Person person, int version) {
        return new PersonForm(
                person.login(), person.name(), person.role(), "", person.active() ? "true" : null, version);
    }

    boolean mayComeIn() {
        return "true".equals(active);
    }

    String newPassword() {
        return password == null ? "" : password;
    }
}
