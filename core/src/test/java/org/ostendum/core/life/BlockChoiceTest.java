package org.ostendum.core.life;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

/** Six blocks for 1,200, 60 for their lead, 600 cycles. */
class BlockChoiceTest {
    private static final Prices PACK = new Prices(1200, 0, 60, 600);

    @Test
    void oneBlockPaysWhileThePackIsYoung() {
        BlockChoice young = BlockChoice.of(PACK, 6, 1, 150);
        assertThat(young.block()).isEqualTo(200);
        assertThat(young.cyclesLeft()).isEqualTo(450);
        assertThat(young.onePerCycle()).isCloseTo(200 / 450.0, within(1e-9));
        assertThat(young.allPerCycle()).isCloseTo(1.9, within(1e-9));
        assertThat(young.wasted()).isCloseTo(0.25, within(1e-9));
        assertThat(young.isOne()).isTrue();
    }

    @Test
    void inAnOldPackMostOfTheNewBlockIsThrownAway() {
        BlockChoice old = BlockChoice.of(PACK, 6, 1, 520);
        assertThat(old.wasted()).isGreaterThan(0.85);
        assertThat(old.isOne()).isFalse();
    }

    @Test
    void atItsEndNoBlockIsWorthIt() {
        BlockChoice end = BlockChoice.of(PACK, 6, 2, 700);
        assertThat(end.onePerCycle()).isInfinite();
        assertThat(end.wasted()).isEqualTo(1);
        assertThat(end.isOne()).isFalse();
    }
}
