package org.ostendum.core.change;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.ostendum.core.quantity.OutOfRange;

class BeamTest {
    private static final Beam BEAM = new Beam(150, 40, 14, 600);

    @Test
    void hooksOverTheEyesHangStraightAndShareTheWeight() {
        Beam.Lift lift = BEAM.lift(780, 930);
        assertThat(lift.notches().left()).isEqualTo(7);
        assertThat(BEAM.at(7)).isEqualTo(390);
        assertThat(lift.hang().degrees()).isZero();
        assertThat(lift.pullKilograms()).isEqualTo(465);
    }

    /** Beyond the last notch the chains splay: 15 degrees and more pull on each. */
    @Test
    void eyesBeyondTheLastNotchPullAskew() {
        Beam.Lift lift = new Beam(150, 40, 3, 600).lift(780, 930);
        assertThat(lift.notches().left()).isEqualTo(3);
        assertThat(lift.notches().offMillimetres()).isEqualTo(160);
        assertThat(lift.hang().degrees()).isEqualTo(15.5, within(0.05));
        assertThat(lift.hang().isStraight()).isFalse();
        assertThat(lift.pullKilograms()).isEqualTo(482);
    }

    @Test
    void eyesThatNoChainReachesAreRefused() {
        assertThat(BEAM.reaches(780)).isTrue();
        assertThat(new Beam(100, 40, 2, 300).reaches(2000)).isFalse();
        assertThatThrownBy(() -> new Beam(100, 40, 2, 300).lift(2000, 900)).isInstanceOf(OutOfRange.class);
    }

    @Test
    void aRollerBedStandsBelowToTakeAndAboveToGive() {
        RollerBed bed = RollerBed.beside(610);
        assertThat(bed.takeMillimetres()).isLessThan(610);
        assertThat(bed.giveMillimetres()).isGreaterThan(610);
    }
}
