package org.ostendum.core.voltage;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.ostendum.core.quantity.Volts;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rules;

class TopLeakTest {
    private static final int LIMIT = Rules.standard().volts(RuleKey.TOP_LEAK).millivolts();

    /** The probe may stand on either side of the post: the sign says nothing. */
    @Test
    void dirtThatCarriesTheLimitIsWashedOff() {
        TopLeak.Place at = new TopLeak.Place(1, new Volts(LIMIT));
        TopLeak.Place below = new TopLeak.Place(2, new Volts(LIMIT - 1));
        TopLeak.Place negative = new TopLeak.Place(3, new Volts(-LIMIT - 5));
        assertThat(TopLeak.leaks(List.of(at, below, negative), Rules.standard()))
                .containsExactly(at, negative);
        assertThat(TopLeak.worst(List.of(at, below, negative))).contains(negative);
        assertThat(TopLeak.worst(List.of())).isEmpty();
    }
}
