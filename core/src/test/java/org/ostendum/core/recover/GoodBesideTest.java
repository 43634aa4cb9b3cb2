package org.ostendum.core.recover;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.LayoutText;
import org.ostendum.core.defect.DefectKind;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.Told;

/** Which battery may lie beside a flat one. */
class GoodBesideTest {
    private static final BatteryState FLAT = Told.nothing().worked(30, 290).state();

    private static BatteryModel of(CellKind kind, String layout) {
        return new BatteryModel(
                "other", kind, Told.SIX.duty(), LayoutText.parse(layout, 1), Told.SIX.capacity(), 6, Told.SIX.marks());
    }

    @Test
    void aFullSoundOneOfTheSameVoltageAndKindSuits() {
        assertThat(GoodBeside.suits(FLAT, Told.inOrder().state())).isTrue();
        assertThat(GoodBeside.needsLimit(FLAT)).isFalse();
    }

    @Test
    void oneThatHasWorkedOrIsNotKnownOrHasADefectDoesNot() {
        assertThat(GoodBeside.suits(FLAT, Told.inOrder().worked(5, 100).state()))
                .isFalse();
        assertThat(GoodBeside.suits(FLAT, Told.nothing().state())).isFalse();
        assertThat(GoodBeside.suits(
                        FLAT, Told.inOrder().found(5, DefectKind.LOOSE_POST).state()))
                .isFalse();
    }

    @Test
    void neitherDoesAnotherVoltageNorAnotherKind() {
        BatteryState gel = Told.inOrder().of(of(CellKind.GEL, "1 2 3/6 5 4")).state();
        assertThat(GoodBeside.suits(FLAT, gel)).isFalse();
        assertThat(GoodBeside.needsLimit(gel)).isTrue();
        BatteryState three = Told.nothing()
                .of(of(CellKind.FLOODED, "1 2 3"))
                .worked(40, 150)
                .chargeBegun(38)
                .charged(28, 168)
                .state();
        assertThat(three.isFitForWork()).isTrue();
        assertThat(GoodBeside.suits(FLAT, three)).isFalse();
    }
}
