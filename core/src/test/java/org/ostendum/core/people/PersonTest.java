package org.ostendum.core.people;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ostendum.core.measure.GravityForm;

class PersonTest {
    private static Person person(long id, Role role) {
        return new Person(
                id,
                "p",
                "P",
                role,
                true,
                GravityForm.THREE_DIGITS,
                false,
                false,
                false,
                Theme.DEVICE,
                Language.ENGLISH);
    }

    @ParameterizedTest
    @CsvSource({
        "TECHNICIAN, true, false, false",
        "MECHANIC, true, false, false",
        "LEAD, true, true, true",
        "SAFETY, false, true, false",
        "VIEWER, false, false, false"
    })
    void eachRoleMayDoItsWork(Role role, boolean works, boolean keepsSafety, boolean leads) {
        Person person = person(3, role);
        assertThat(person.worksOnBatteries()).isEqualTo(works);
        assertThat(person.keepsSafety()).isEqualTo(keepsSafety);
        assertThat(person.isLead()).isEqualTo(leads);
    }

    @ParameterizedTest
    @CsvSource({"0, false", "1, true"})
    void whoHasNotSignedInIsNotKnown(long id, boolean known) {
        assertThat(person(id, Role.VIEWER).isKnown()).isEqualTo(known);
    }
}
