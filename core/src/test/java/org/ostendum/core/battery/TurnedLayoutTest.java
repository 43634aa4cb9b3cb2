package org.ostendum.core.battery;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import org.junit.jupiter.api.Test;

class TurnedLayoutTest {
    private static final CellLayout PACK = LayoutText.parse("1> 2> 3v/6< 5< 4^", 4);

    @Test
    void turningABlockChangesItsPostsAndNothingElse() {
        assertThat(PACK.turned(3).text()).isEqualTo("1> 2> 3^/6< 5< 4^");
        assertThat(PACK.turned(6).text()).isEqualTo("1> 2> 3v/6> 5< 4^");
        for (int block = 1; block <= 6; block++) {
            assertThat(PACK.turned(block).turned(block)).isEqualTo(PACK);
        }
    }

    @Test
    void whatItDoesNotHaveIsNotTurned() {
        assertThatIllegalArgumentException().isThrownBy(() -> PACK.turned(7));
    }
}
