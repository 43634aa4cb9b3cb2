package org.ostendum.core.judge;

import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.event.EventLog;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.GravityDifference;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.statistics.Robust;

/** One battery laid before the judge: everything already resolved to rules, corrected gravities and sound rounds. */
public final class Case {
    /** What lies further back says little of today. */
    private static final int ROUNDS_LOOKED_BACK = 60;

    private static final int EVEN_TENTHS = 300;
    private static final int LEAST_CELLS = 4;
    /** Days between rounds, usually, from which on they lie far apart. */
    private static final double SPARSE = 60;

    /** Fewer make no median to compare with. */
    private static final int LEAST_CELLS_COMPARED = 3;

    private final BatteryModel model;
    private final Rules rules;
    private final ZoneId zone;
    private final PastRound latest;
    private final List<PastRound> past;
    private final Gravities gravities;
    private final List<DatedGravities> soundPast;
    private final Scatter scatter;
    private final Set<Integer> setAside;
    private final EventLog events;
    private final List<DatedGravities> fullRounds;
    private final double[] fullDays;
    private final ChargeVolts chargeVolts;
    private final Map<Integer, CellCourse> courses = new HashMap<>();
    private final Map<Class<?>, Object> workedOut = new HashMap<>();

    /**
     * @param zone in which dates are named
     * @param latest the round to be judged
     * @param past earlier rounds, oldest first
     * @param events what happened between them, as far as it is on record
     */
    public Case(BatteryModel model, Rules rules, ZoneId zone, PastRound latest, List<PastRound> past, EventLog events) {
        this.model = model;
        this.rules = rules;
        this.zone = zone;
        this.latest = latest;
        this.past = List.copyOf(past);
        Gravities read = latest.gravities(rules.temperatureCorrection());
        this.chargeVolts = ChargeVolts.of(Stream.concat(past.stream(), Stream.of(latest)));
        this.soundPast = BelievedPast.of(past, read, rules.temperatureCorrection());
        this.scatter = Scatter.of(soundPast);
        this.setAside = suspects(read);
        this.gravities = read.without(setAside);
        this.events = events;
        this.fullRounds = fullRounds();
        this.fullDays = CellCourse.days(fullRounds, now());
    }

    /** A battery of which only rounds are on record. */
    public Case(BatteryModel model, Rules rules, ZoneId zone, PastRound latest, List<PastRound> past) {
        this(model, rules, zone, latest, past, EventLog.NONE);
    }

    private List<DatedGravities> fullRounds() {
        List<DatedGravities> full = new ArrayList<>(
                soundPast.stream().filter(p -> p.state().isFull()).toList());
        if (missingForComparison().isEmpty()) {
            full.add(new DatedGravities(latest.round().takenAt(), latest.round().state(), gravities));
        }
        return List.copyOf(full.subList(Math.max(0, full.size() - ROUNDS_LOOKED_BACK), full.size()));
    }

    private Set<Integer> suspects(Gravities read) {
        Set<Integer> suspects = new HashSet<>();
        latest.round().readings().stream()
                .filter(r -> r.gravity() != null && !r.confirmed())
                .filter(r -> jump(read, r.cell()).isPresent() || standsAlone(read, r.cell()))
                .filter(r -> !isBorneOutByVolts(read, r))
                .forEach(r -> suspects.add(r.cell()));
        return suspects;
    }

    /** Two instruments do not slip at once: a low gravity beside a voltage on charge far from the others is a bad cell. */
    private boolean isBorneOutByVolts(Gravities read, CellReading reading) {
        return reading.onCharge()
                && read.aboveMedian(reading.cell()).tenths() < 0
                && chargeVolts.isFarOff(reading.cell(), rules.number(RuleKey.CHARGE_VOLTS_APART));
    }

    /** Without any past, one reading far from an even battery is sooner a dropped figure than a dead cell. */
    private boolean standsAlone(Gravities read, int cell) {
        if (!soundPast.isEmpty() || read.count() < LEAST_CELLS) {
            return false;
        }
        Gravities others = read.without(Set.of(cell));
        int limit = rules.points(RuleKey.CELL_BELOW_MEDIAN).tenths();
        return Math.abs(read.of(cell).tenths() - others.median().tenths()) >= limit
                && others.spread().tenths() < EVEN_TENTHS;
    }

    /** How far a reading has leapt from the cell's own past, when that is beyond all its scatter. */
    Optional<GravityDifference> jump(Gravities read, int cell) {
        return scatter.jump(read, cell, rules.count(RuleKey.SCATTER_FACTOR));
    }

    /** @return how far a cell has dropped at once against its own past, drawn twice in the latest round */
    public Optional<GravityDifference> dropDrawnTwice(int cell) {
        boolean twice =
                latest.round().reading(cell).filter(CellReading::confirmed).isPresent();
        return twice && gravities.byCell().containsKey(cell)
                ? jump(gravities, cell).map(GravityDifference::negated).filter(d -> d.tenths() > 0)
                : Optional.empty();
    }

    public BatteryModel model() {
        return model;
    }

    public Rules rules() {
        return rules;
    }

    public ZoneId zone() {
        return zone;
    }

    public PastRound latest() {
        return latest;
    }

    public List<PastRound> past() {
        return past;
    }

    /** Corrected gravities of the latest round, without those set aside. */
    public Gravities gravities() {
        return gravities;
    }

    /** Cells of the latest round whose reading is not believed until it is drawn again. */
    public Set<Integer> setAside() {
        return setAside;
    }

    /** Rounds on a full battery with gravities that can be relied on, the latest with them if it is one; oldest first. */
    public List<DatedGravities> full() {
        return fullRounds;
    }

    /** @return whether {@link #full()} lie months apart: of a slope there is little to see between two of them */
    public boolean isReadSeldom() {
        double[] gaps = new double[Math.max(0, fullDays.length - 1)];
        Arrays.setAll(gaps, i -> fullDays[i + 1] - fullDays[i]);
        return gaps.length > 0 && Robust.median(gaps) >= SPARSE;
    }

    /** One cell against its battery over {@link #full()}. */
    public CellCourse course(int cell) {
        return courses.computeIfAbsent(cell, c -> CellCourse.of(fullRounds, fullDays, c));
    }

    /** The same over ordinary charges alone, those of {@link #full()} that were no equalising ones. */
    public CellCourse ordinaryCourse(int cell) {
        List<DatedGravities> ordinary = fullRounds.stream()
                .filter(d -> d.state() == RoundState.FULL_CHARGE)
                .toList();
        return CellCourse.of(ordinary, CellCourse.days(ordinary, now()), cell);
    }

    /**
     * What several questions need of this case, worked out at the first of them.
     *
     * @param how from this case alone
     */
    public <T> T once(Class<T> what, Function<Case, T> how) {
        Object known = workedOut.get(what);
        if (known == null) {
            known = how.apply(this);
            workedOut.put(what, known);
        }
        return what.cast(known);
    }

    /** Cell voltages on charge over all rounds. */
    public ChargeVolts chargeVolts() {
        return chargeVolts;
    }

    public EventLog events() {
        return events;
    }

    public Instant now() {
        return latest.round().takenAt();
    }

    public Scatter scatter() {
        return scatter;
    }

    /** Earlier rounds with gravities that can be relied on, oldest first. */
    public List<DatedGravities> soundPast() {
        return soundPast;
    }

    /** @return what the latest round lacks for its gravities to be judged at all */
    public Optional<Missing> missingForGravity() {
        if (!model.kind().hasCaps()) {
            return Optional.of(Missing.CAPS);
        }
        if (gravities.isEmpty()) {
            return Optional.of(Missing.GRAVITIES);
        }
        return latest.isSound() ? Optional.empty() : Optional.of(Missing.RELIABLE_ROUND);
    }

    /** @return what is lacking for the course of cells over rounds to be judged */
    public Optional<Missing> missingForCourses() {
        Optional<Missing> missing = missingForComparison();
        return missing.isEmpty() && fullRounds.size() < rules.count(RuleKey.TREND_ROUNDS)
                ? Optional.of(Missing.MORE_ROUNDS)
                : missing;
    }

    /** @return what the latest round lacks for cells to be compared with each other on a full battery */
    public Optional<Missing> missingForComparison() {
        Optional<Missing> missing = missingForGravity();
        if (missing.isPresent()) {
            return missing;
        }
        if (!latest.round().state().isFull()) {
            return Optional.of(Missing.FULL_CHARGE);
        }
        return gravities.count() >= cellsToCompare() ? Optional.empty() : Optional.of(Missing.MORE_CELLS);
    }

    /** @return so many of its cells have to be read before they are compared with each other */
    public int cellsToCompare() {
        return Math.max(LEAST_CELLS_COMPARED, (model.cells() + 1) / 2);
    }
}
