package org.ostendum.core.measure;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Locale;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.ostendum.core.quantity.SpecificGravity;

/** What was shown can be typed back, in any form; and nothing that is typed can break anything. */
class GravityEntryPropertiesTest {
    private static SpecificGravity accepted(String typed, GravityForm form) {
        GravityEntry entry = GravityEntry.read(typed, form);
        assertThat(entry).as(typed).isInstanceOf(GravityEntry.Accepted.class);
        return ((GravityEntry.Accepted) entry).gravity();
    }

    @Property
    void everyGravityComesBackFromEveryForm(
            @ForAll @IntRange(min = SpecificGravity.LEAST_POINTS, max = SpecificGravity.MOST_POINTS) int points,
            @ForAll GravityForm form) {
        SpecificGravity gravity = SpecificGravity.ofPoints(points);
        String decimal = String.format(Locale.ROOT, "%.3f", points / 1000.0);
        assertThat(accepted(decimal, form)).isEqualTo(gravity);
        assertThat(accepted(" " + decimal.replace('.', ',') + "0 ", form)).isEqualTo(gravity);
        String digits = form == GravityForm.THREE_DIGITS
                ? String.format(Locale.ROOT, "%03d", points - 1000)
                : String.valueOf(points);
        assertThat(accepted(digits, form)).isEqualTo(gravity);
    }

    @Property
    void anyTextIsAnsweredAndOnlyPossibleGravitiesAreAccepted(@ForAll String typed, @ForAll GravityForm form) {
        if (GravityEntry.read(typed, form) instanceof GravityEntry.Accepted accepted) {
            assertThat(SpecificGravity.isPossible(accepted.gravity().points())).isTrue();
        }
    }
}
