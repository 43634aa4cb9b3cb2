package org.ostendum.demo.lives;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.BatteryEvent.ChargeEnded;
import org.ostendum.core.event.BatteryEvent.ChargeStarted;
import org.ostendum.core.event.BatteryEvent.Fill;
import org.ostendum.core.event.BatteryEvent.Watered;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.core.measure.Round;
import org.ostendum.sim.Fault;
import org.ostendum.sim.Life;
import org.ostendum.sim.SimulatedBattery;
import org.ostendum.sim.Site;

/** A year that a simulated battery has lived, laid so that its last round falls on the day on which it is wanted. */
public final class LivedYear {
    /** Beyond the year, so that a round falls near its end whatever the habits. */
    private static final int LONGER = 45;

    private static final double STEP_HOURS = 0.25;
    private static final double ROOM_CELSIUS = 23;
    private static final Duration DAY = Duration.ofDays(1);
    /** From midnight to the morning. */
    private static final Duration MORNING = Duration.ofHours(6);

    /** From the morning to the beginning of the charge, as the simulation works. */
    private static final Duration CHARGE_BEGINS = Duration.ofHours(9);

    private final Instant firstMorning;
    private final int days;
    private final Life life;
    private final int forgotten;

    private LivedYear(Instant firstMorning, int days, Life life, List<Ending> endings) {
        this.firstMorning = firstMorning;
        this.days = days;
        this.life = life;
        this.forgotten = endings.stream()
                .filter(Ending.Forgotten.class::isInstance)
                .mapToInt(e -> ((Ending.Forgotten) e).days())
                .sum();
    }

    /**
     * @param firstMorning 06:00 of the first day
     * @param days the last round is taken on the last of them, or so many days before as it was forgotten
     */
    public static Year of(
            BatteryModel model,
            Habits habits,
            List<Fault> faults,
            List<Ending> endings,
            Instant firstMorning,
            int days,
            long seed) {
        Site site = new Site(
                habits.workDaysPerWeek(),
                habits.depth(),
                habits.roundEveryDays(),
                habits.waterEveryDays(),
                habits.equaliseEveryDays(),
                true,
                false,
                false,
                0,
                ROOM_CELSIUS);
        Life life = SimulatedBattery.live(model, site, faults, firstMorning, days + LONGER, STEP_HOURS, seed);
        return new LivedYear(firstMorning, days, life, endings).year(endings);
    }

    private Year year(List<Ending> endings) {
        Round last = life.rounds().get(life.rounds().size() - 1);
        // By the calendar: a round of the small hours would else lie ahead of who starts the demo at midnight.
        long lastDay =
                Duration.between(firstMorning.minus(MORNING), last.takenAt()).toDays();
        Duration earlier = DAY.multipliedBy(lastDay - (days - 1));
        Instant end = last.takenAt();
        Instant read = end.minus(Duration.ofDays(forgotten));
        List<Round> rounds = life.rounds().stream()
                .filter(r -> forgotten == 0 || r.takenAt().isBefore(read))
                .map(r -> Moved.by(earlier, r))
                .filter(r -> !r.takenAt().isBefore(firstMorning))
                .toList();
        List<BatteryEvent> events = new ArrayList<>();
        for (BatteryEvent event : life.events().all()) {
            if (!event.at().isAfter(end)) {
                tell(Moved.by(earlier, event), events);
            }
        }
        events.removeIf(e -> e.at().isBefore(firstMorning));
        events.sort(Comparator.comparing(BatteryEvent::at));
        return new LastRound(endings).of(new Year(events, rounds));
    }

    /** A charge is begun as well, and water goes to the mark: the simulation tells only the end of the one and the amount of the other. */
    private void tell(BatteryEvent event, List<BatteryEvent> events) {
        if (event instanceof ChargeEnded ended) {
            Instant morning = ended.at()
                    .minus(Duration.ofSeconds(Math.floorMod(
                            Duration.between(firstMorning, ended.at()).toSeconds(), DAY.toSeconds())));
            events.add(new ChargeStarted(morning.plus(CHARGE_BEGINS), ChargeKind.CONVENTIONAL, null));
        }
        events.add(
                event instanceof Watered water
                        ? new Watered(water.at(), water.poured(), water.cell(), Fill.TO_MARK)
                        : event);
    }
}
