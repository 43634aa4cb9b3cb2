package org.ostendum.app.plan;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.plan.run.PlanRun;
import org.ostendum.app.plan.run.PlanRuns;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.state.BatteryState;
import org.springframework.stereotype.Service;

/** What the plan in force has in mind, for the other screens. */
@Service
public class PlannedJobs {
    private final Planning planning;
    private final PlanRuns runs;
    private final Batteries batteries;
    private final BatteryStates batteryStates;
    private final PlanAgainstStates against;
    private volatile @Nullable Read read;

    PlannedJobs(
            Planning planning,
            PlanRuns runs,
            Batteries batteries,
            BatteryStates batteryStates,
            PlanAgainstStates against) {
        this.planning = planning;
        this.runs = runs;
        this.batteries = batteries;
        this.batteryStates = batteryStates;
        this.against = against;
    }

    /** A plan in force does not change but for its pins, of which nobody else tells. */
    private record Read(long run, Instant from, Plan plan) {}

    private @Nullable Read plan() {
        PlanRun run = planning.inForce().orElse(null);
        Read known = read;
        if (run == null || (known != null && known.run() == run.id())) {
            return run == null ? null : known;
        }
        known = new Read(run.id(), run.from(), runs.plan(run.id()).orElseThrow());
        read = known;
        return known;
    }

    /**
     * The plan in force, for who reads the whole of it.
     *
     * @param number higher for each later one
     * @param allowed of its jobs those over, and those ahead that the states of their batteries still allow
     */
    public record InForce(long number, Plan plan, Predicate<PlanJob> allowed) {
        public static final InForce NONE =
                new InForce(0, new Plan(List.of(), List.of(), List.of(), 0, true), job -> false);
    }

    public Optional<InForce> inForce(Instant now) {
        return Optional.ofNullable(plan())
                .map(known -> new InForce(known.run(), known.plan(), against.allowed(known.plan(), now)));
    }

    /** @return at most so many of a person's next jobs, charges that are anybody's among them */
    public List<PlanJob> ofPerson(String login, Instant now, int most) {
        return runList(login, now).stream().limit(most).map(RunList::job).toList();
    }

    /** @return all that is left for a person, without what the state of the battery no longer allows */
    List<RunList> runList(String login, Instant now) {
        Read known = plan();
        if (known == null) {
            return List.of();
        }
        List<RunList> all = RunList.of(known.plan(), known.from(), login, now, runs.marks(known.run()));
        Set<String> codes = all.stream().map(line -> line.job().battery()).collect(Collectors.toSet());
        Map<String, Standing> standing = standing(
                batteries.all().stream().filter(b -> codes.contains(b.code())).toList());
        return all.stream()
                .filter(line -> isStillRight(line.job(), standing, known, now))
                .toList();
    }

    /** @return what is still to come for a battery, at most so many; nothing for one that may not work by now */
    public List<PlanJob> ofBattery(String code, Instant now, int most) {
        Read known = plan();
        if (known == null) {
            return List.of();
        }
        List<PlanJob> jobs = known.plan().jobs().stream()
                .filter(job -> job.battery().equals(code) && job.start().isAfter(now))
                .limit(most)
                .toList();
        if (jobs.isEmpty()) {
            return jobs;
        }
        Map<String, Standing> standing =
                standing(batteries.byCode(code).stream().toList());
        return jobs.stream()
                .filter(job -> isStillRight(job, standing, known, now))
                .toList();
    }

    /** A battery as it is by now, and where. */
    private record Standing(BatteryState state, @Nullable String machine) {}

    private Map<String, Standing> standing(List<Battery> wanted) {
        Map<Long, BatteryState> states = batteryStates.statesOf(wanted);
        return wanted.stream()
                .collect(Collectors.toMap(
                        Battery::code, b -> new Standing(Objects.requireNonNull(states.get(b.id())), b.machineCode())));
    }

    /** The plan was right when it was taken; what has happened since goes before it. */
    private static boolean isStillRight(PlanJob job, Map<String, Standing> standing, Read planned, Instant now) {
        Standing battery = standing.get(job.battery());
        return battery != null
                && StillRight.is(job, battery.state())
                && !Fulfilled.is(job, planned.plan(), battery.state(), battery.machine(), planned.from(), now);
    }
}
