package org.ostendum.core.procedure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.math.BigDecimal;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.ostendum.core.electrolyte.AcidBalance;
import org.ostendum.core.electrolyte.AcidTable;
import org.ostendum.core.event.BatteryEvent.LevelRead;
import org.ostendum.core.judge.Message;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.Litres;
import org.ostendum.core.quantity.Millilitres;
import org.ostendum.core.safety.Training;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.Told;

/** A step does its own sum, from the state and from what was measured before it in the job. */
class StepSumTest {
    private static Run run(String before) {
        Step step = new Step(
                "before",
                "",
                null,
                null,
                new Task.Measure("points", 1000, 1400, null, null),
                false,
                false,
                null,
                null,
                null,
                null);
        Procedure procedure = new Procedure(
                "p",
                1,
                "Title",
                "Purpose",
                new Procedure.Scope(Procedure.Subject.BATTERY, Set.of()),
                new Procedure.Precautions(Training.ACID_WORK, Set.of(), Set.of(), List.of()),
                List.of(step),
                List.of(),
                new Procedure.Conduct(null, false, false, false),
                new Procedure.Sources(List.of("acid.adjust"), List.of("The maker’s manual")));
        return Run.of(procedure, "Tom", List.of(new RunEvent(Told.NOW, "Tom", RunEvent.Kind.DONE, "before", before)));
    }

    private static BatteryState levels(double second, double fifth) {
        return Told.inOrder()
                .and(new LevelRead(Told.hoursAgo(2), 2, second), new LevelRead(Told.hoursAgo(1), 5, fifth))
                .state();
    }

    private static Object argument(List<Message> lines, int line, int place) {
        return lines.get(line).arguments().get(place);
    }

    @Test
    void whatEachCellTakesToItsMark() {
        List<Message> lines = StepSum.WATER_TO_MARK.of(run("1250"), levels(5, 0));
        assertThat(lines).extracting(Message::key).containsOnly("step-sum.water");
        assertThat(argument(lines, 0, 0)).isEqualTo(2);
        // 300 Ah, 25 mm to the mark, 180 ml between mark and plates: 7.2 ml a millimetre.
        assertThat(argument(lines, 0, 1)).isEqualTo(new Millilitres(140));
        assertThat(argument(lines, 1, 1)).isEqualTo(new Millilitres(180));
    }

    /** 1.285 is 38 % acid: 0.49 kg in a litre, and 1.71 kg of soda to each. */
    @Test
    void aSpillIsToldItsSodaBeforehand() {
        List<Message> lines = StepSum.SODA.ofRoom();
        assertThat(lines).hasSize(1);
        assertThat(lines.get(0).arguments()).containsExactly(new BigDecimal("0.8"), 5, new BigDecimal("4.2"));
        assertThat(StepSum.WATER_TO_MARK.ofRoom()).isEmpty();
    }

    @Test
    void whereNoLevelIsLowSomebodyLooks() {
        assertThat(StepSum.WATER_TO_MARK.of(run("1250"), levels(25, 25)))
                .extracting(Message::key)
                .containsExactly("step-sum.water.unknown");
    }

    @Test
    void barePlatesAreJustCoveredAndASurplusIsDrawnOff() {
        List<Message> cover = StepSum.WATER_TO_COVER.of(run("1250"), levels(-10, 25));
        assertThat(cover).hasSize(1);
        assertThat(argument(cover, 0, 1)).isEqualTo(new Millilitres(40));
        List<Message> surplus = StepSum.SURPLUS.of(run("1250"), levels(35, 25));
        assertThat(surplus).hasSize(1);
        assertThat(argument(surplus, 0, 1)).isEqualTo(new Millilitres(70));
    }

    @Test
    void halfOfWhatTheAcidLacksIsExchanged() {
        BatteryState battery = levels(25, 25);
        List<Message> lines = StepSum.ACID_EXCHANGE.of(run("1245"), battery);
        assertThat(lines.get(0).key()).isEqualTo("step-sum.acid.exchange");
        double litres = ((Millilitres) argument(lines, 0, 0)).millilitres() / 1000.0;
        assertThat(argument(lines, 0, 1)).isEqualTo(argument(lines, 0, 0));
        var marks = battery.model().marks();
        Litres cell = AcidBalance.cellVolume(
                marks.scale().full(), marks.empty(), battery.model().capacity());
        double from = AcidTable.massFraction(CorrectedGravity.ofPoints(1245));
        double strong = AcidTable.massFraction(CorrectedGravity.ofPoints(1400));
        double kept = (cell.litres() - litres) * AcidTable.density(from);
        double added = litres * AcidTable.density(strong);
        double then = (kept * from + added * strong) / (kept + added);
        double full = AcidTable.massFraction(marks.scale().full());
        assertThat(then).isBetween(from + 0.4 * (full - from), from + 0.6 * (full - from));
        assertThat(StepSum.ACID_EXCHANGE.of(run("1290"), battery))
                .extracting(Message::key)
                .containsExactly("step-sum.acid.enough");
    }

    /** The acid of so many Ah and of the fall of its gravity is the acid of the cell: discharged, it reads as the sheet says. */
    @Test
    void theVolumeOfACellFollowsFromItsSheet() {
        var marks = Told.SIX.marks();
        Litres cell = AcidBalance.cellVolume(marks.scale().full(), marks.empty(), Told.SIX.capacity());
        assertThat(AcidBalance.after(
                                cell,
                                marks.scale().full(),
                                AmpHours.of(0.8 * Told.SIX.capacity().ampHours()))
                        .points())
                .isCloseTo(marks.empty().points(), offset(2));
    }

    @Test
    void theCellsThatLostAcidAreNamedOrTheLackOfProof() {
        assertThat(StepSum.CELLS_SHORT_OF_ACID.of(run("1250"), levels(25, 25)))
                .extracting(Message::key)
                .containsExactly("step-sum.acid.none");
    }
}
