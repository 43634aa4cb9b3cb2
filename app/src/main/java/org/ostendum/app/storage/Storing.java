package org.ostendum.app.storage;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.LedgerEvents;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.state.Written;
import org.ostendum.app.storage.Stay.Look;
import org.ostendum.app.storage.Stay.Supply;
import org.ostendum.app.words.Words;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.defect.DefectKind;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.people.Person;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.fact.Stage;
import org.ostendum.core.storage.Climate;
import org.ostendum.core.storage.LearnedLoss;
import org.ostendum.core.storage.Outlook;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How what is put away fares: worked out from its state, its place and what look-ins have shown. */
@Service
public class Storing {
    /** A life after which a battery counts as old. */
    private static final double OLD_YEARS = 5;

    private static final double DEPTH_OF_SCALE = 0.8;

    private final Stays stays;
    private final Batteries batteries;
    private final BatteryStates states;
    private final BatteryRecord record;
    private final ZoneId zone;

    Storing(Stays stays, Batteries batteries, BatteryStates states, BatteryRecord record, ZoneId zone) {
        this.stays = stays;
        this.batteries = batteries;
        this.states = states;
        this.record = record;
        this.zone = zone;
    }

    /** Whoever writes that a battery is put away, or back: its stay begins and ends with that. */
    @EventListener
    void written(Written written) {
        Battery battery = written.battery();
        boolean aboutStay = written.entries().stream()
                .map(NewEntry::kind)
                .anyMatch(kind -> kind == EntryKind.STORED
                        || kind == EntryKind.RELEASED
                        || kind == EntryKind.DISCHARGE
                        || kind == EntryKind.RETIRED
                        || kind == EntryKind.CORRECTION);
        if (!aboutStay) {
            return;
        }
        BatteryState state = states.stateOf(battery);
        if (state.stage() == Stage.STORED) {
            Instant since = state.stageSince();
            stays.begin(battery.id(), since == null ? states.instant() : since);
        } else {
            stays.end(battery.id(), states.instant());
        }
    }

    /**
     * A battery that is put away, as the board shows it.
     *
     * @param from day from which its gravity is foretold
     * @param left days to the latest charge; null where nothing presses
     * @param lookDue when somebody has to look in
     */
    public record Line(
            Battery battery,
            Stay stay,
            Outlook outlook,
            LocalDate from,
            @Nullable Long left,
            LocalDate lookDue,
            LearnedLoss loss) {
        public boolean isOver() {
            return left != null && left < 0;
        }

        public boolean isSoon(int days) {
            return left != null && left <= days;
        }
    }

    /** @return those put away, the most pressing first */
    public List<Line> lines() {
        LocalDate today = LocalDate.ofInstant(states.instant(), zone);
        Map<Long, Stay> open = stays.open();
        Map<Long, Climate> climates = stays.climates();
        open.values().removeIf(stay -> !isStored(stay));
        List<Battery> stored = batteries.all(open.keySet());
        Map<Long, BatteryState> all = states.statesOf(stored);
        List<Line> lines = new ArrayList<>();
        for (Battery battery : stored) {
            Stay stay = Objects.requireNonNull(open.get(battery.id()));
            Climate climate = climate(stay, climates);
            lines.add(line(battery, stay, Objects.requireNonNull(all.get(battery.id())), climate, today));
        }
        lines.sort(Comparator.comparing(line -> line.left() == null ? Long.MAX_VALUE : line.left()));
        return lines;
    }

    /** @return how a battery fares that is put away; empty for any other */
    public Optional<Line> lineOf(Battery battery) {
        LocalDate today = LocalDate.ofInstant(states.instant(), zone);
        return stays.openOf(battery.id())
                .filter(Storing::isStored)
                .map(stay -> line(battery, stay, states.stateOf(battery), climate(stay, stays.climates()), today));
    }

    private static Climate climate(Stay stay, Map<Long, Climate> climates) {
        return stay.placeId() == null ? Climate.heated() : climates.getOrDefault(stay.placeId(), Climate.heated());
    }

    private static boolean isStored(@Nullable Stay stay) {
        return stay != null && !stay.isPlanned();
    }

    private Line line(Battery battery, Stay stay, BatteryState state, Climate climate, LocalDate today) {
        Outlook.Stored first = stored(battery, stay, state, today);
        LearnedLoss loss = learned(stay, first, climate);
        Outlook.Stored now = newest(stay, first, state);
        Outlook outlook = Outlook.of(now, climate, limits(state, stay.supply()), loss);
        Instant looked = stay.look() == null ? stay.since() : stay.look().at();
        LocalDate lookDue = day(looked == null ? states.instant() : looked)
                .plusDays(state.rules().value(RuleKey.STORE_LOOK).intValue());
        return new Line(battery, stay, outlook, now.since(), outlook.daysLeft(today), lookDue, loss);
    }

    private LocalDate day(Instant at) {
        return LocalDate.ofInstant(at, zone);
    }

    /** As it was put away: full since its last charge, or with what was read of it. */
    private Outlook.Stored stored(Battery battery, Stay stay, BatteryState state, LocalDate today) {
        BatteryModel model = battery.type().model();
        double years = ChronoUnit.DAYS.between(battery.inServiceOn(), today) / 365.25;
        double scale =
                (model.marks().scale().full().points() - model.marks().empty().points()) / DEPTH_OF_SCALE;
        Instant fullSince = state.full().since();
        Instant since = fullSince == null ? Objects.requireNonNullElse(stay.since(), states.instant()) : fullSince;
        CorrectedGravity read = state.lowestGravity();
        Instant round = state.roundAt();
        boolean readSince = read != null && round != null && !round.isBefore(since.minus(Duration.ofDays(1)));
        CorrectedGravity gravity = readSince && read != null
                ? read
                : state.full().since() == null && read != null
                        ? read
                        : model.marks().scale().full();
        return new Outlook.Stored(
                day(since), gravity, model.duty(), scale, Math.min(1, Math.max(0, years / OLD_YEARS)), isDirty(state));
    }

    private static boolean isDirty(BatteryState state) {
        return state.defects().stream().anyMatch(defect -> defect.kind() == DefectKind.DIRTY_TOP);
    }

    /** What look-ins have read while it stood without a charger that keeps it full. */
    private LearnedLoss learned(Stay stay, Outlook.Stored first, Climate climate) {
        LearnedLoss loss = LearnedLoss.USUAL;
        if (stay.supply() == Supply.MAINTAINS) {
            return loss;
        }
        for (Look look : stays.looks(stay.id())) {
            CorrectedGravity gravity = look.gravity();
            if (gravity != null && day(look.at()).isAfter(first.since())) {
                double lost = (first.gravity().tenths() - gravity.tenths()) / 10.0;
                loss = loss.seen(Math.max(0.1, Outlook.foretold(first, climate, day(look.at()))), lost);
            }
        }
        return loss;
    }

    /** From the newest reading on; what a charger keeps full is full for as long as somebody saw its power on. */
    private Outlook.Stored newest(Stay stay, Outlook.Stored first, BatteryState state) {
        Look look = stay.look();
        if (look == null || day(look.at()).isBefore(first.since())) {
            return first;
        }
        boolean kept = stay.supply() == Supply.MAINTAINS && Boolean.TRUE.equals(look.powerOn());
        CorrectedGravity gravity = look.gravity() != null
                ? look.gravity()
                : kept ? state.model().marks().scale().full() : null;
        return gravity == null
                ? first
                : new Outlook.Stored(
                        day(look.at()), gravity, first.duty(), first.scale(), first.age(), first.dirtyTop());
    }

    private static Outlook.Limits limits(BatteryState state, Supply supply) {
        Rules rules = state.rules();
        Integer days = !state.model().kind().hasCaps()
                ? (Integer) rules.value(RuleKey.STORE_SEALED).intValue()
                : switch (state.model().duty()) {
                    case AIRCRAFT ->
                        (Integer) rules.value(RuleKey.STORE_CHARGE_AIRCRAFT).intValue();
                    case DEEP_CYCLE ->
                        supply == Supply.MAINTAINS
                                ? null
                                : (Integer) rules.value(RuleKey.STORE_CHARGE_DEEP_CYCLE)
                                        .intValue();
                    default -> null;
                };
        return new Outlook.Limits(rules.number(RuleKey.STORE_FALL), days, rules.number(RuleKey.STORE_FROST_MARGIN));
    }

    /** A battery shipped dry, and how long it keeps so. */
    public record Dry(Battery battery, LocalDate keepsUntil) {}

    /** What can be put away and what was shipped dry, asked in one go. */
    public record Others(List<String> inService, List<Dry> dry) {}

    public Others others() {
        List<Battery> all = batteries.all();
        Map<Long, BatteryState> known = states.statesOf(all);
        List<String> inService = new ArrayList<>();
        List<Dry> dry = new ArrayList<>();
        for (Battery battery : all) {
            BatteryState state = Objects.requireNonNull(known.get(battery.id()));
            if (state.stage() == Stage.IN_SERVICE) {
                inService.add(battery.code());
            } else if (state.stage() == Stage.DRY) {
                LocalDate made = battery.madeOn() == null ? battery.inServiceOn() : battery.madeOn();
                dry.add(new Dry(
                        battery,
                        made.plusDays(state.rules().value(RuleKey.STORE_DRY).intValue())));
            }
        }
        return new Others(inService, dry);
    }

    /** Somebody looked in. It goes into the ledger with what he saw. */
    @Transactional
    public void look(
            Battery battery,
            Stay stay,
            @Nullable Boolean powerOn,
            @Nullable CorrectedGravity gravity,
            String told,
            Person by) {
        Instant now = states.instant();
        stays.look(stay.id(), by.id(), now, powerOn, gravity, "");
        record.record(battery, List.of(NewEntry.of(EntryKind.NOTE, now, by.id(), null, told)));
    }

    /** Puts it away without a job: it stands there already. */
    @Transactional
    public void putAway(Battery battery, @Nullable Long placeId, Supply supply, long by, Instant since) {
        stays.say(battery.id(), placeId, supply);
        record.record(battery, List.of(LedgerEvents.entry(new BatteryEvent.PutInStore(since), by, "")));
    }

    /** Another place or charger, which its ledger tells with what was before: how it fares is reckoned by both. */
    @Transactional
    void move(Battery battery, String where, Supply supply, Person by, Words words) {
        record.lock(battery);
        Optional<Stay> before = stays.openOf(battery.id());
        stays.say(battery.id(), stays.placeOf(where).orElse(null), supply);
        Stay after = stays.openOf(battery.id()).orElseThrow();
        if (before.isPresent() && !stand(before.get(), words).equals(stand(after, words))) {
            String told = words.text("storage.moved.told", stand(after, words), stand(before.get(), words));
            record.record(battery, List.of(NewEntry.of(EntryKind.NOTE, words.now(), by.id(), null, told)));
        }
    }

    private static String stand(Stay stay, Words words) {
        String place = stay.place();
        return (place == null ? words.text("storage.nowhere") : place) + ", " + words.name(stay.supply());
    }
}
