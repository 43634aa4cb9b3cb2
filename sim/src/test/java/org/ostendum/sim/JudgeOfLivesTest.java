package org.ostendum.sim;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.battery.LayoutText;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.judge.Finding;
import org.ostendum.core.judge.FindingCode;
import org.ostendum.core.judge.Verdict;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.state.BatteryFold;
import org.ostendum.core.state.fact.Sheet;

/** Whole lives laid before the judge, round by round, with what stands on record and nothing else. */
class JudgeOfLivesTest {
    private static final Instant START = Instant.parse("2024-01-01T06:00:00Z");
    private static final Site CAREFUL = new Site(5, 0.6, 12, 10, 24, true, true, true, 0.03, 21);
    private static final Site WITHOUT_METER = new Site(5, 0.6, 12, 10, 24, true, false, true, 0.03, 21);
    private static final BatteryModel PACK = new BatteryModel(
            "pack",
            CellKind.FLOODED,
            Duty.DEEP_CYCLE,
            LayoutText.parse("1> 2> 3>/6< 5< 4<", 3),
            AmpHours.of(225),
            20,
            GravityMarks.usualFor(Duty.DEEP_CYCLE));

    private record Called(FindingCode code, int cell) {}

    private static Set<Called> called(Site site, Fault... faults) {
        Life life = SimulatedBattery.live(PACK, site, List.of(faults), START, 600, 0.25, 11);
        Set<Called> called = new HashSet<>();
        List<BatteryEvent> events = new ArrayList<>(life.events().all());
        life.rounds().forEach(round -> events.add(new BatteryEvent.RoundTaken(round)));
        events.sort(Comparator.comparing(BatteryEvent::at));
        BatteryFold fold = BatteryFold.begin(new Sheet(PACK, Rules.standard()), ZoneOffset.UTC);
        for (BatteryEvent event : events) {
            fold.fold(event);
            Verdict latest = fold.snapshot().latest();
            for (Finding finding : latest == null ? List.<Finding>of() : latest.findings()) {
                boolean ofBattery = finding.cells().isEmpty() || finding.code() == FindingCode.PACK_TAP;
                (ofBattery ? List.of(0) : finding.cells().numbers())
                        .forEach(cell -> called.add(new Called(finding.code(), cell)));
            }
        }
        called.removeIf(c -> c.code() == FindingCode.READING_IMPOSSIBLE
                || c.code() == FindingCode.READING_UNRELIABLE
                || c.code() == FindingCode.CELL_DRY);
        return called;
    }

    static Stream<Arguments> faults() {
        return Stream.of(
                Arguments.of(new Fault.SulfatedCell(8, 150, 0.001), CAREFUL, FindingCode.CELL_SULFATED, 8),
                Arguments.of(new Fault.SulfatedCell(8, 150, 0.001), WITHOUT_METER, FindingCode.CELL_WEAK, 8),
                Arguments.of(new Fault.SoftShort(3, 150, 0.0003), CAREFUL, FindingCode.CELL_SHORT, 3),
                Arguments.of(new Fault.SoftShort(3, 150, 0.0003), WITHOUT_METER, FindingCode.CELL_WEAK, 3),
                Arguments.of(new Fault.Spilt(14, 200, 0.14), CAREFUL, FindingCode.CELL_DILUTED, 14),
                Arguments.of(new Fault.DryingCell(5, 150, 0.05), CAREFUL, FindingCode.CELL_THIRSTY, 5),
                Arguments.of(new Fault.SulfatedBattery(150, 0.001), CAREFUL, FindingCode.BATTERY_SULFATED, 0),
                Arguments.of(new Fault.EarlyStop(150, 0.11), CAREFUL, FindingCode.BATTERY_UNDERCHARGED, 0),
                Arguments.of(new Fault.WrongCharger(150, 2.4), CAREFUL, FindingCode.BATTERY_THIRSTY, 0),
                Arguments.of(new Fault.PoorMixing(150, 0.2), CAREFUL, FindingCode.BATTERY_STRATIFIED, 0),
                Arguments.of(new Fault.WearOut(150, 0.0016), CAREFUL, FindingCode.BATTERY_WORN, 0),
                Arguments.of(new Fault.Tap(1, 3, 150, 0.04), CAREFUL, FindingCode.PACK_TAP, 0));
    }

    @ParameterizedTest
    @MethodSource("faults")
    void aFaultIsCalledByItsName(Fault fault, Site site, FindingCode code, int cell) {
        assertThat(called(site, fault)).contains(new Called(code, cell));
    }

    @Test
    void nothingIsHeldAgainstAHealthyBattery() {
        assertThat(called(CAREFUL)).isEmpty();
        assertThat(called(WITHOUT_METER)).isEmpty();
    }
}
