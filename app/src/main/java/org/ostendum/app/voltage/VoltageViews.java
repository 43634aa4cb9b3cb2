package org.ostendum.app.voltage;

import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.LedgerPayload;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.state.ClosedRound;
import org.ostendum.app.state.Corrections;
import org.ostendum.app.state.Rounds;
import org.ostendum.app.words.Words;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.judge.Evidence;
import org.ostendum.core.judge.Finding;
import org.ostendum.core.judge.Gravities;
import org.ostendum.core.people.Person;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.Volts;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.voltage.VoltageCase;
import org.ostendum.core.voltage.VoltageJudge;
import org.ostendum.core.voltage.VoltageRound;
import org.ostendum.core.voltage.VoltageRound.Load;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Judges voltages and keeps them with what was held of them. */
@Service
class VoltageViews {
    /** Gravities and voltages on charge further apart do not tell of the same state. */
    private static final Duration BESIDE = Duration.ofDays(30);

    private final Voltages voltages;
    private final Rounds rounds;
    private final BatteryStates batteryStates;
    private final BatteryRecord batteryRecord;
    private final Corrections corrections;

    VoltageViews(
            Voltages voltages,
            Rounds rounds,
            BatteryStates batteryStates,
            BatteryRecord batteryRecord,
            Corrections corrections) {
        this.voltages = voltages;
        this.rounds = rounds;
        this.batteryStates = batteryStates;
        this.batteryRecord = batteryRecord;
        this.corrections = corrections;
    }

    /**
     * What was last read in one state.
     *
     * @param suspects places something is held against
     * @param percent state of charge by the rest voltage; null under load
     */
    record Read(VoltageRound round, List<Finding> findings, List<Integer> suspects, @Nullable Integer percent) {}

    Optional<Read> last(Battery battery, Load load) {
        return voltages.last(battery.id(), load).map(round -> read(battery, round));
    }

    private Read read(Battery battery, VoltageRound round) {
        VoltageCase asked = caseOf(battery, round);
        List<Finding> findings = VoltageJudge.judge(asked);
        List<Integer> suspects = findings.stream()
                .map(Finding::evidence)
                .filter(Evidence.AtPlace.class::isInstance)
                .map(evidence -> ((Evidence.AtPlace) evidence).place())
                .toList();
        Integer percent = round.load() == Load.REST && !round.byPlace().isEmpty()
                ? (Integer) VoltageJudge.charge(asked).percent()
                : null;
        return new Read(round, findings, suspects, percent);
    }

    private VoltageCase caseOf(Battery battery, VoltageRound round) {
        BatteryState state = batteryStates.stateOf(battery);
        return new VoltageCase(
                battery.type().model(),
                batteryStates.rulesFor(battery),
                round,
                state.charging().chargeEnded(),
                state.mixed().isNo() ? state.water().watered() : null,
                gravity(battery, state));
    }

    /** The newest sound gravity, where neither work nor charge has changed it since. */
    private @Nullable CorrectedGravity gravity(Battery battery, BatteryState state) {
        List<ClosedRound> newest = rounds.history(battery.id(), 1);
        if (newest.isEmpty() || !newest.get(0).past().isSound()) {
            return null;
        }
        var round = newest.get(0).past().round();
        Instant turned = state.charging().turned();
        boolean changed = turned != null && turned.isAfter(round.takenAt());
        Gravities gravities = Gravities.of(round, state.rules().temperatureCorrection());
        return changed || gravities.isEmpty() ? null : gravities.median();
    }

    /** The newest round beside which voltages on charge can be judged; empty where cells cannot be reached or none was read of late. */
    Optional<ClosedRound> roundBeside(Battery battery) {
        return battery.type().model().layout().cellsPerCase() > 1
                ? Optional.empty()
                : rounds.history(battery.id(), 1).stream()
                        .filter(round -> round.past()
                                .round()
                                .takenAt()
                                .isAfter(batteryStates.instant().minus(BESIDE)))
                        .findFirst();
    }

    void keepOnCharge(Battery battery, ClosedRound round, Map<Integer, Volts> byCell, Person person) {
        corrections.addChargeVolts(battery, round, byCell, person.id());
    }

    @Transactional
    public void keep(Battery battery, Load load, Map<Integer, Volts> byPlace, Person person, Words words) {
        VoltageRound round = new VoltageRound(words.now(), load, new HashMap<>(byPlace));
        List<Finding> findings = VoltageJudge.judge(caseOf(battery, round));
        @Nullable
        Volts rest = load == Load.REST
                ? new Volts(VoltageJudge.median(round, battery.type().model()))
                : null;
        List<String> held = findings.stream().map(f -> words.say(f.sentence())).toList();
        long line = batteryRecord
                .record(
                        battery,
                        List.of(NewEntry.keeping(
                                EntryKind.VOLTAGE,
                                words.now(),
                                person.id(),
                                new LedgerPayload.Voltages(load.name(), byPlace.size()),
                                new LedgerPayload.RestVoltage(rest),
                                new LedgerPayload.HeldAgainst(held))))
                .get(0);
        voltages.keep(line, byPlace);
    }
}
