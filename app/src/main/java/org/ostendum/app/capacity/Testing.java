package org.ostendum.app.capacity;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.alarm.AlarmService;
import org.ostendum.app.alarm.Alarms.Belongs;
import org.ostendum.app.alarm.StandingAlarm;
import org.ostendum.app.capacity.CapacityTest.EndKind;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.LedgerEvents;
import org.ostendum.app.ledger.LedgerPayload;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.app.live.LiveEvents;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.alarm.AlarmKind;
import org.ostendum.core.alarm.TestAlarm;
import org.ostendum.core.capacity.EarlierTest;
import org.ostendum.core.capacity.TestCourse;
import org.ostendum.core.capacity.TestResult;
import org.ostendum.core.capacity.TestRow;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.quantity.AmpHours;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A running test: what is read goes in, its end goes into the battery's ledger, and with that the recharge is due. */
@Service
class Testing {
    /** Broken off sooner than this without a reading, the load was not on. */
    private static final Duration SOON_OFF = Duration.ofMinutes(5);

    private final CapacityTests tests;
    private final Batteries batteries;
    private final BatteryRecord record;
    private final BatteryStates states;
    private final AlarmService alarms;
    private final LiveEvents live;
    private final Recharge recharge;

    Testing(
            CapacityTests tests,
            Batteries batteries,
            BatteryRecord record,
            BatteryStates states,
            AlarmService alarms,
            LiveEvents live,
            Recharge recharge) {
        this.tests = tests;
        this.batteries = batteries;
        this.record = record;
        this.states = states;
        this.alarms = alarms;
        this.live = live;
        this.recharge = recharge;
    }

    TestCourse course(CapacityTest test) {
        return new TestCourse(test.sheet(), tests.rows(test.id()), before(test));
    }

    /** @return the last test before it; null for none on record */
    private @Nullable EarlierTest before(CapacityTest test) {
        return tests.of(test.batteryId()).stream()
                .filter(t -> t.id() < test.id() && t.part() != null)
                .reduce((a, b) -> b)
                .map(t -> new EarlierTest(t.sheet(), tests.rows(t.id()), Objects.requireNonNull(t.part())))
                .orElse(null);
    }

    /**
     * Takes what was read. Where that ends the test it is ended.
     *
     * @param by null for what the load bank read
     */
    @Transactional
    void read(CapacityTest test, TestRow row, @Nullable Long by, Instant now) {
        tests.read(test.id(), row);
        TestCourse course = course(test);
        course.stop()
                .ifPresent(
                        stop -> end(test, stop == TestCourse.Stop.CELL ? EndKind.CELL : EndKind.CUT_OFF, "", by, now));
        live.changed();
    }

    /**
     * Ends a test with what was read so far, and opens the charge that is due then.
     *
     * @param reason why it is broken off; empty for one that has reached its end
     * @return whether it ended now
     */
    @Transactional
    boolean end(CapacityTest test, EndKind how, String reason, @Nullable Long by, Instant now) {
        if (!close(test, how, reason, by, now)) {
            return false;
        }
        Battery battery = batteries.byId(test.batteryId()).orElseThrow();
        if (states.stateOf(battery).tests().isRechargeDue()) {
            recharge.open(battery, by == null ? beginner(test) : by);
        }
        return true;
    }

    /** Writes down how it ended. */
    boolean close(CapacityTest test, EndKind how, String reason, @Nullable Long by, Instant now) {
        Battery battery = batteries.byId(test.batteryId()).orElseThrow();
        record.lock(battery);
        TestCourse course = course(test);
        Optional<TestResult> result = course.result();
        @Nullable
        Double part =
                how == EndKind.BROKEN_OFF ? null : result.map(TestResult::part).orElse(null);
        if (!tests.end(test.id(), how, reason, part, by, now)) {
            return false;
        }
        Instant at = test.begun().at().plus(course.last().map(TestRow::elapsed).orElse(Duration.ZERO));
        if (how == EndKind.CELL) {
            TestAlarm.of(test.battery(), course)
                    .ifPresent(alarm -> alarms.ring(alarm, new Belongs(test.batteryId(), null, null)));
        }
        long writer = by == null ? beginner(test) : by;
        Instant written = at.isAfter(now) ? now : at;
        NewEntry line = part == null
                ? brokenOff(test, course, reason, writer, now)
                : LedgerEvents.entry(
                        new BatteryEvent.CapacityTested(
                                written,
                                result.map(TestResult::measured).orElse(AmpHours.of(0)),
                                Math.round(part * 1000) / 1000.0),
                        writer,
                        reason);
        tests.told(
                test.id(),
                record.record(battery, List.of(line.with(kept(test, reason, result, part))))
                        .get(0));
        live.changed();
        return true;
    }

    /** What was drawn up to the end, the stretch after the last reading with it; a load that never came on has drawn nothing. */
    private static NewEntry brokenOff(CapacityTest test, TestCourse course, String reason, long writer, Instant now) {
        Instant off = test.interruptedAt() == null ? now : test.interruptedAt();
        Duration under = Duration.between(test.begun().at(), off);
        boolean neverOn =
                course.rows().isEmpty() && (test.isByBank() ? !test.isCounted() : under.compareTo(SOON_OFF) < 0);
        if (neverOn) {
            return NewEntry.of(EntryKind.NOTE, now, writer, null, reason);
        }
        double read = course.last().map(TestRow::hours).orElse(0.0);
        double since = Math.max(0, under.toSeconds() / 3600.0 - read);
        double most = 1.5 * test.sheet().rated().ampHours();
        double taken = Math.min(
                most, course.ampHours() + since * test.sheet().amperes().amperes());
        return LedgerEvents.entry(new BatteryEvent.Worked(now, AmpHours.of(taken)), writer, reason);
    }

    /** The alarm of a cell that reversed stands until its battery has been charged again. */
    void quietCells() {
        Set<String> told = alarms.open().stream()
                .filter(alarm -> alarm.kind() == AlarmKind.CELL_REVERSES)
                .map(StandingAlarm::about)
                .collect(Collectors.toSet());
        if (!told.isEmpty()) {
            Set<String> ringing = told.stream()
                    .flatMap(code -> batteries.byCode(code).stream())
                    .filter(battery -> states.stateOf(battery).tests().isRechargeDue())
                    .map(Battery::code)
                    .collect(Collectors.toSet());
            alarms.quiet(AlarmKind.CELL_REVERSES, ringing);
        }
    }

    private long beginner(CapacityTest test) {
        return tests.beginner(test.id());
    }

    private static LedgerPayload[] kept(
            CapacityTest test, String reason, Optional<TestResult> result, @Nullable Double part) {
        LedgerPayload made = new LedgerPayload.Test(
                test.id(),
                test.sheet().kind(),
                test.sheet().amperes().amperes(),
                test.sheet().electrolyte().degrees(),
                result.map(r -> r.lasted().toSeconds()).orElse(null),
                result.map(r -> r.corrected().ampHours()).orElse(null));
        return new LedgerPayload[] {
            made,
            new LedgerPayload.Capacity(part == null ? null : Math.round(part * 1000) / 1000.0),
            LedgerPayload.Remark.of((test.begun().doubts() + " " + reason).strip())
        };
    }
}
