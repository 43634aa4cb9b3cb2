package org.ostendum.app.plan.house;

import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Battery;
import org.ostendum.core.commission.InitialChargePlan;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.next.StepTimes;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.room.Pairing;
import org.ostendum.core.plan.room.Task;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.fact.OnCharge;

/** Charges that run, as facts of a plan: on which charger, since they began, and until the late end that their batteries foretell. */
final class ChargesUnderWay {
    private static final Duration LEAST_LEFT = Duration.ofMinutes(15);

    private final Map<Long, BatteryState> states;
    private final List<Pairing> pairs;
    private final Map<Long, String> over;
    private final Instant from;
    private final Set<String> taken = new HashSet<>();

    /** @param over code of the charger over a place */
    ChargesUnderWay(Map<Long, BatteryState> states, List<Pairing> pairs, Map<Long, String> over, Instant from) {
        this.states = states;
        this.pairs = pairs;
        this.over = over;
        this.from = from;
    }

    /** Those first of which a charger is known: one of which nobody has said where it is stands on none of theirs. */
    List<PlanJob> of(List<Battery> all) {
        return all.stream()
                .filter(battery -> state(battery).isCharging())
                .sorted(Comparator.comparing((Battery battery) -> charger(battery) == null))
                .flatMap(battery -> job(battery).stream())
                .toList();
    }

    private BatteryState state(Battery battery) {
        return Objects.requireNonNull(states.get(battery.id()));
    }

    /** Where nobody has said on which charger it is, it is on the one over it; null where there is none. */
    private @Nullable String charger(Battery battery) {
        String said = Objects.requireNonNull(state(battery).onCharge()).charger();
        return said == null ? over.get(battery.slotId()) : said;
    }

    /** One on a charger that does not go with it is an alarm, not a plan. */
    private Optional<PlanJob> job(Battery battery) {
        List<Pairing> own = pairs.stream()
                .filter(pair -> pair.battery().equals(battery.code()))
                .toList();
        if (own.isEmpty()) {
            return Optional.empty();
        }
        String known = charger(battery);
        Pairing on = own.stream()
                .filter(pair -> known == null ? !taken.contains(pair.charger()) : known.equals(pair.charger()))
                .findFirst()
                .orElse(own.get(0));
        String charger = known == null ? on.charger() : known;
        taken.add(charger);
        return Optional.of(job(battery, charger, on));
    }

    private PlanJob job(Battery battery, String charger, Pairing on) {
        OnCharge charge = Objects.requireNonNull(state(battery).onCharge());
        Instant start = charge.since().isBefore(from) ? charge.since() : from.minusSeconds(1);
        // A plan counts whole seconds.
        Instant end = start.plus(whole(state(battery), charge, on)).truncatedTo(ChronoUnit.SECONDS);
        Instant least = from.plus(LEAST_LEFT);
        return new PlanJob(
                "charge-" + battery.code() + "-now",
                Task.CHARGE,
                battery.code(),
                null,
                null,
                charger,
                null,
                start,
                end.isBefore(least) ? least : end,
                true,
                null);
    }

    /**
     * From its beginning on: what is missing in the battery is told as it was then. A first charge takes as long as its plan says,
     * a low current its hours, whatever is missing.
     */
    private static Duration whole(BatteryState state, OnCharge charge, Pairing on) {
        return switch (charge.kind()) {
            case INITIAL ->
                InitialChargePlan.of(state.model(), state.rules()).lasts().late();
            case EQUALISE -> StepTimes.of(NextStep.EQUALISE, state).inAll();
            case SULFATED -> StepTimes.of(NextStep.LONG_CHARGE, state).inAll();
            case CONVENTIONAL, OPPORTUNITY, AFTER_USE, STORAGE, RECOVERY ->
                Duration.ofSeconds(on.seconds(
                        HouseBatteries.missing(state, state.model().capacity().ampHours())));
        };
    }
}
