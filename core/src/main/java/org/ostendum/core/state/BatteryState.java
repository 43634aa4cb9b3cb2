package org.ostendum.core.state;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.defect.DefectKind;
import org.ostendum.core.event.Ending;
import org.ostendum.core.judge.BatteryCourse;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.judge.SharedShift;
import org.ostendum.core.judge.Verdict;
import org.ostendum.core.measure.Answer;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.rulebook.Severity;
import org.ostendum.core.state.fact.Care;
import org.ostendum.core.state.fact.ChargeFacts;
import org.ostendum.core.state.fact.ChargeRange;
import org.ostendum.core.state.fact.Facts;
import org.ostendum.core.state.fact.Full;
import org.ostendum.core.state.fact.KitFacts;
import org.ostendum.core.state.fact.OnCharge;
import org.ostendum.core.state.fact.OpenDefect;
import org.ostendum.core.state.fact.Place;
import org.ostendum.core.state.fact.Sheet;
import org.ostendum.core.state.fact.Stage;
import org.ostendum.core.state.fact.Tests;
import org.ostendum.core.state.fact.WaterFacts;
import org.ostendum.core.water.WaterForecast;

/**
 * What is known of a battery at one moment: the one truth that every screen, gate, list and program asks. What nobody knows is
 * {@link Answer#UNKNOWN} or null and never counts as yes. Told in {@code docs/state.md}.
 */
public final class BatteryState {
    private final Sheet sheet;
    private final Snapshot snapshot;
    private final Facts facts;
    private final Surroundings around;
    private final Instant now;
    /** What many ask of one state is worked out at the first of them. */
    private @Nullable HeatNow heat;

    private @Nullable LevelsNow levels;
    private @Nullable CellsNow cells;
    private @Nullable List<StandingFinding> open;
    private @Nullable Severity severity;

    /** @param now not before the last event folded into {@code snapshot} */
    public BatteryState(Sheet sheet, Snapshot snapshot, Surroundings around, Instant now) {
        this.sheet = sheet;
        this.snapshot = snapshot;
        this.around = around;
        this.now = now;
        this.facts = snapshot.facts().with(snapshot.facts().charge().at(now, sheet));
    }

    /** Where it stands between charge and work. */
    public enum Phase {
        CHARGING,
        /** A charge has ended lately, or it was read hot. */
        COOLING,
        /** Full and cool. */
        READY,
        /** Known not to be full. */
        WORKED,
        UNKNOWN
    }

    public Instant asOf() {
        return now;
    }

    public BatteryModel model() {
        return sheet.model();
    }

    public Rules rules() {
        return sheet.rules();
    }

    public Stage stage() {
        return facts.condition().stage();
    }

    public @Nullable Instant stageSince() {
        return facts.condition().stageSince();
    }

    /** @return why it is held; null while it is not */
    public @Nullable String heldFor() {
        return facts.condition().heldFor();
    }

    public Place place() {
        return facts.condition().place();
    }

    public Full full() {
        return facts.charge().full();
    }

    public ChargeRange charge() {
        return facts.charge().range();
    }

    /** @return the charge under way; null while none runs */
    public @Nullable OnCharge onCharge() {
        return facts.charge().onCharge();
    }

    public boolean isCharging() {
        return onCharge() != null;
    }

    /** @return everything about its charge that has no name of its own here */
    public ChargeFacts charging() {
        return facts.charge();
    }

    public WaterFacts water() {
        return facts.water();
    }

    /** @return what its own waterings foretell; empty with too few of them */
    public Optional<WaterForecast> waterForecast() {
        return water().pace()
                .forecast(WaterForecast.reserve(
                        cells().atWork(), model().capacity().ampHours()));
    }

    /** @return when it wants water next; null where neither water nor a look into all cells is on record */
    public @Nullable WaterDue waterDue() {
        return WaterDue.of(this);
    }

    /** @return what discharge tests have shown of it */
    public Tests tests() {
        return facts.tests();
    }

    /** @return its watering kit, or that it has none */
    public KitFacts kit() {
        return facts.kit();
    }

    /** @return cells whose injectors do not do what the others do; none without a watering kit */
    public StuckInjectors stuckInjectors() {
        return StuckInjectors.of(this);
    }

    /** @return since when work on an aircraft's battery waits for a licensed signature; null for none */
    public @Nullable Instant unsignedSince() {
        return facts.signatures().unsignedSince();
    }

    public Care care() {
        return facts.care();
    }

    /** @return whether water that was poured is mixed in; unknown where no water is on record */
    public Answer mixed() {
        return facts.water().mixed();
    }

    /** @return how high the acid stands in the cells at work */
    public LevelsNow levels() {
        LevelsNow known = levels;
        if (known == null) {
            known = new LevelsNow(
                    facts.water().levelsWithout(cells().bridged().keySet()), cells().atWork(), model().levels());
            levels = known;
        }
        return known;
    }

    /** @return cells to be renewed: held to be beyond anything else, or bridged until then */
    public List<Integer> cellsToRenew() {
        Stream<Integer> failing = findings().stream()
                .map(StandingFinding::finding)
                .filter(finding -> finding.next() == NextStep.REPAIR_CELL)
                .flatMap(finding -> finding.cells().numbers().stream());
        return Stream.concat(failing, cells().bridged().keySet().stream())
                .distinct()
                .sorted()
                .toList();
    }

    /** @return the cells that stand in it, and what became of others */
    public CellsNow cells() {
        CellsNow known = cells;
        if (known == null) {
            known = new CellsNow(facts.cells(), sheet, now);
            cells = known;
        }
        return known;
    }

    /** @return title of the open job that has it in hand; null for none */
    public @Nullable String inHand() {
        return around.inHand();
    }

    /** @return code of the machine for which a change is under way with it; null for none */
    public @Nullable String promisedTo() {
        return around.promisedTo();
    }

    /** @return since when a driver's complaint about it waits to be worked up; null for none */
    public @Nullable Instant complainedOf() {
        return around.complainedOf();
    }

    /** @return since when the same blocks work under a tap; null for a battery without one */
    public @Nullable Instant sameBlocksTappedSince() {
        Instant hung = around.tappedSince();
        return hung == null ? null : sameBlocksSince(hung);
    }

    /** @return since when the same blocks stand under a tap that was hung on them then */
    public Instant sameBlocksSince(Instant hung) {
        return cells().blocksMovedAt().filter(moved -> moved.isAfter(hung)).orElse(hung);
    }

    /** @return whether it goes to work next without more ado: full, cool, whole, and nothing has to be done before */
    public boolean isFitForWork() {
        return phase() == Phase.READY
                && stage() == Stage.IN_SERVICE
                && severity().compareTo(Severity.ACT) < 0
                && cells().bridged().isEmpty()
                && unsignedSince() == null
                && inHand() == null
                && promisedTo() == null;
    }

    public List<OpenDefect> defects() {
        List<OpenDefect> all = new ArrayList<>(facts.condition().defects());
        all.addAll(around.ofMachine());
        return all;
    }

    /** @return how warm it is, and how long it still cools */
    public HeatNow heat() {
        HeatNow known = heat;
        if (known == null) {
            known = new HeatNow(facts, around, rules(), now);
            heat = known;
        }
        return known;
    }

    /** @return whether it is above the temperature at which a charge is stopped */
    public boolean isAboveStop() {
        return heat().isAbove(RuleKey.chargeStop(model().duty()));
    }

    /** @return whether something has to be put right before it may go on charge: nobody is sent to plug it in */
    public boolean isKeptFromCharge() {
        return inHand() != null
                || !levels().bare().isEmpty()
                || !levels().over().isEmpty()
                || heat().isTooHotToCharge().isYes()
                || hasDefectThatShutsCharge();
    }

    /** @return whether its case is broken: nobody opens, fills, washes or charges what may leak */
    public boolean isCaseDamaged() {
        return defects().stream().anyMatch(defect -> defect.kind() == DefectKind.DAMAGED_CASE);
    }

    private boolean hasDefectThatShutsCharge() {
        return defects().stream().anyMatch(defect -> defect.kind().shutsCharge());
    }

    /** @return whether the charge under way has to be ended at once: too hot, plates that show, a defect with which no current may flow */
    public boolean isChargeToBeEnded() {
        return isCharging() && (isAboveStop() || !levels().bare().isEmpty() || hasDefectThatShutsCharge());
    }

    /**
     * How the charge under way ends if it ends now. In heat neither voltage nor gravity shows anything: who stops it then does not
     * end a full charge.
     *
     * @param shownFull whether what was read during it shows the battery to be full
     */
    public Ending endingNow(boolean shownFull) {
        if (shownFull && !isAboveStop()) {
            return Ending.FULL;
        }
        return isChargeToBeEnded() ? Ending.STOPPED : Ending.ENDED_EARLY;
    }

    public Phase phase() {
        if (isCharging()) {
            return Phase.CHARGING;
        } else if (heat().isCooling()) {
            return Phase.COOLING;
        } else if (full().isYes()) {
            return Phase.READY;
        }
        return full().isNo() ? Phase.WORKED : Phase.UNKNOWN;
    }

    /** @return when the phase began; null where nobody knows */
    public @Nullable Instant phaseSince() {
        OnCharge running = onCharge();
        return switch (phase()) {
            case CHARGING -> running == null ? null : running.since();
            case COOLING -> facts.charge().chargeEnded();
            case READY, WORKED -> full().since();
            case UNKNOWN -> null;
        };
    }

    /** @return what a round taken now is most likely to be taken on */
    public RoundState roundState() {
        Instant equalised = facts.charge().equalised();
        if (!full().isYes() || isCharging()) {
            return full().isNo() ? RoundState.IN_SERVICE : RoundState.UNKNOWN;
        }
        return equalised != null && equalised.equals(facts.charge().chargeEnded())
                ? RoundState.AFTER_EQUALISE
                : RoundState.FULL_CHARGE;
    }

    /** @return findings that are not settled, worst first */
    public List<StandingFinding> findings() {
        List<StandingFinding> known = open;
        if (known == null) {
            known = snapshot.findings().open();
            open = known;
        }
        return known;
    }

    public Findings allFindings() {
        return snapshot.findings();
    }

    public BatteryCourse course() {
        return snapshot.course();
    }

    /** @return the lowest corrected gravity of the newest round that has one; null for none */
    public @Nullable CorrectedGravity lowestGravity() {
        return facts.care().gravity();
    }

    /** @return how far it reaches: the worst of what stands against it */
    public Severity severity() {
        Severity known = severity;
        if (known == null) {
            known = worstSeverity();
            severity = known;
        }
        return known;
    }

    private Severity worstSeverity() {
        Severity worst = isChargeToBeEnded() || !levels().bare().isEmpty() ? Severity.STOP : Severity.FIT;
        if (!cells().bridged().isEmpty()) {
            worst = worst.worse(cells().isBridgedTooLong() ? Severity.STOP : Severity.WATCH);
        }
        for (OpenDefect defect : defects()) {
            worst = worst.worse(defect.kind().severity());
        }
        for (StandingFinding finding : findings()) {
            worst = worst.worse(finding.severity());
        }
        return worst;
    }

    /** @return when its newest round was taken; null for never */
    public @Nullable Instant roundAt() {
        return facts.care().round();
    }

    /** @return what is held of the battery: every finding that stands, whichever round raised it */
    public Verdict verdict() {
        return StandingVerdict.of(snapshot.latest(), findings(), full().isYes());
    }

    /** @return how the batteries of its room have come to read lower together, where that explains a finding better; null otherwise */
    public @Nullable SharedShift doubt(StandingFinding finding) {
        SharedShift shift = around.shift();
        return shift != null && shift.explains(finding.finding().code(), finding.since(), course()) ? shift : null;
    }

    /** The same of what is worst. */
    public @Nullable SharedShift doubt() {
        return worst().map(this::doubt).orElse(null);
    }

    public Optional<StandingFinding> worst() {
        return findings().stream().findFirst();
    }
}
