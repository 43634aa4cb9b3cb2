package org.ostendum.core.change;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.ostendum.core.change.Choosing.Pooled;
import org.ostendum.core.change.Choosing.Ranked;
import org.ostendum.core.defect.DefectKind;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.Ending;
import org.ostendum.core.event.FullSign;
import org.ostendum.core.life.BreakIn;
import org.ostendum.core.measure.Level;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.procedure.Situation;
import org.ostendum.core.procedure.Situation.Subject;
import org.ostendum.core.procedure.Situation.Target;
import org.ostendum.core.procedure.Situation.WeightPlate;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.safety.Trained;
import org.ostendum.core.safety.Training;
import org.ostendum.core.state.Surroundings;
import org.ostendum.core.state.Told;

/** A truck of 12 V whose plate says 900 to 1000 kg, and the pool. */
class ChoosingTest {
    private static final Situation TRUCK = new Situation(
            Told.NOW,
            ZoneOffset.UTC,
            Rules.standard(),
            Training.CHANGING,
            new Trained(Map.of(Training.CHANGING, LocalDate.of(2026, 1, 1))),
            List.of(),
            null,
            null,
            new Target("F3", 12, "grey", new WeightPlate(900, 1000), "T-0"));

    private static Told full(double hoursAgo) {
        return Told.nothing()
                .read(hoursAgo + 200, RoundState.FULL_CHARGE, Level.RIGHT, 1285, 1284, 1286, 1285, 1284, 1285)
                .worked(hoursAgo + 20, 150)
                .chargeBegun(hoursAgo + 10)
                .ended(hoursAgo, Ending.FULL, 168.0, FullSign.EQUAL_GRAVITIES);
    }

    private static Pooled pooled(String code, Told told, int cycles) {
        return pooled(code, told, 930, null, null, cycles);
    }

    private static Pooled pooled(
            String code, Told told, int weight, @Nullable String in, @Nullable String promised, int cycles) {
        Told around = promised == null ? told : told.around(new Surroundings(null, null, List.of(), null, promised));
        return new Pooled(new Subject(code, around.state(), weight, "grey"), in, cycles, null);
    }

    private static List<String> codes(List<Ranked> ranked) {
        return ranked.stream().map(r -> r.pooled().subject().code()).toList();
    }

    @Test
    void theLongestRestedGoesFirst() {
        List<Ranked> ranked = Choosing.rank(
                TRUCK, List.of(pooled("A", full(30), 40), pooled("B", full(90), 40), pooled("C", full(50), 40)));
        assertThat(codes(ranked)).containsExactly("B", "C", "A");
        assertThat(Choosing.first(ranked).orElseThrow().rested().toHours()).isEqualTo(90);
    }

    /** An hour more of rest is none: the one that has worked less goes first. */
    @Test
    void ofThoseThatHaveRestedAlikeTheOneThatHasWorkedLeast() {
        List<Ranked> ranked = Choosing.rank(TRUCK, List.of(pooled("A", full(27), 45), pooled("B", full(26), 12)));
        assertThat(codes(ranked)).containsExactly("B", "A");
    }

    /** It works, but not before one that may be taken down all the way. */
    @Test
    void oneThatBreaksInComesAfterThoseThatAreBrokenIn() {
        Pooled fresh = new Pooled(pooled("NEW", full(90), 2).subject(), null, 2, new BreakIn(2, 30, 60));
        List<Ranked> ranked = Choosing.rank(TRUCK, List.of(fresh, pooled("OLD", full(30), 60)));
        assertThat(codes(ranked)).containsExactly("OLD", "NEW");
        assertThat(ranked).allMatch(Ranked::may);
    }

    /** With its straps off it is in no machine by noon. */
    @Test
    void aBatteryThatAJobHasInHandIsNotTheFirst() {
        Told open = full(90).around(new Surroundings(null, null, List.of(), "Repair a cell", null));
        List<Ranked> ranked = Choosing.rank(TRUCK, List.of(pooled("A", open, 1), pooled("B", full(30), 40)));
        assertThat(codes(ranked)).containsExactly("B", "A");
        assertThat(ranked.get(1).against()).extracting(m -> m.key()).containsExactly("gate.NOT_IN_HAND.shut");
    }

    /** Two volts less: a lead decides, nobody takes it in passing. */
    @Test
    void aBatteryWithABridgedCellIsNotTheFirst() {
        Told bridged = full(90).and(new BatteryEvent.CellBridged(Told.hoursAgo(80), 3, Told.NOW.plusSeconds(86_400)));
        List<Ranked> ranked = Choosing.rank(TRUCK, List.of(pooled("A", bridged, 1), pooled("B", full(30), 40)));
        assertThat(codes(ranked)).containsExactly("B", "A");
        assertThat(ranked.get(1).against()).extracting(m -> m.key()).containsExactly("gate.ALL_CELLS.shut");
    }

    @Test
    void whatMayNotGoInSaysWhyAndComesLast() {
        List<Ranked> ranked = Choosing.rank(
                TRUCK,
                List.of(
                        pooled("LIGHT", full(90), 810, null, null, 1),
                        pooled("AWAY", full(90), 930, "F9", null, 1),
                        pooled("PROMISED", full(90), 930, null, "F7", 1),
                        pooled("WARM", full(1), 1),
                        pooled("CRACKED", full(90).found(2, DefectKind.DAMAGED_CASE), 1),
                        pooled("UNKNOWN", Told.nothing(), 1),
                        pooled("GOOD", full(30), 99)));
        assertThat(ranked.get(0).pooled().subject().code()).isEqualTo("GOOD");
        assertThat(ranked).filteredOn(Ranked::may).hasSize(1);
        assertThat(against(ranked, "LIGHT")).isEqualTo("gate.RIGHT_WEIGHT.shut");
        assertThat(against(ranked, "AWAY")).isEqualTo("choose.in-machine");
        assertThat(against(ranked, "PROMISED")).isEqualTo("choose.promised");
        assertThat(against(ranked, "WARM")).startsWith("gate.COOLED");
        assertThat(against(ranked, "CRACKED")).startsWith("gate.UNDAMAGED");
        assertThat(against(ranked, "UNKNOWN")).isEqualTo("choose.full-unknown");
    }

    private static String against(List<Ranked> ranked, String code) {
        return ranked.stream()
                .filter(r -> r.pooled().subject().code().equals(code))
                .findFirst()
                .orElseThrow()
                .against()
                .get(0)
                .key();
    }

    @Test
    void whereNoneMayGoInThereIsNoFirst() {
        assertThat(Choosing.first(Choosing.rank(TRUCK, List.of(pooled("W", full(1), 3)))))
                .isEmpty();
        assertThat(Choosing.first(Choosing.rank(TRUCK, List.of()))).isEmpty();
    }
}
