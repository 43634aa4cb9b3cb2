package org.ostendum.app.plan;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.SortedMap;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.draw.Box;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.PlanLoads;
import org.ostendum.core.plan.PlanLookup;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.room.PlanCharger;
import org.ostendum.core.plan.room.PlanMachine;
import org.ostendum.core.plan.room.Price;
import org.ostendum.core.plan.room.Shift;
import org.ostendum.core.plan.room.Task;
import org.ostendum.core.plan.room.Worker;

/**
 * A plan over time, drawn in rows.
 *
 * @param dear stretches of dearer energy than at the cheapest
 */
record Timeline(
        double width,
        double height,
        Box plot,
        List<Row> rows,
        List<Bar> bars,
        List<Hour> hours,
        List<Box> dear,
        @Nullable Double nowX,
        List<Load> loads) {
    static final double WIDTH = 900;
    private static final double LEFT = 78;
    private static final double TOP = 26;
    private static final double ROW = 34;
    private static final double BAR = 26;
    private static final double LOAD_GAP = 30;
    private static final double LOAD_HEIGHT = 72;
    private static final double LEAST_BAR = 4;
    private static final double LEAST_LABEL = 34;

    /** By what the rows are. */
    enum By {
        CHARGER,
        MACHINE,
        PERSON;

        static By of(String word) {
            return switch (word) {
                case "machine" -> MACHINE;
                case "person" -> PERSON;
                default -> CHARGER;
            };
        }

        String word() {
            return name().toLowerCase(Locale.ROOT);
        }

        private @Nullable String rowOf(PlanJob job) {
            return switch (this) {
                case CHARGER -> job.charger();
                case MACHINE -> job.machine();
                case PERSON -> job.person();
            };
        }
    }

    /** One row. */
    record Row(String name, double y) {}

    /**
     * A job on its row.
     *
     * @param job null for a need that is not met
     * @param word on it; empty where there is no room
     */
    record Bar(@Nullable PlanJob job, Box box, String tone, String word, boolean pinned) {
        /** @return whether it may be dragged: a charge that has not begun */
        public boolean movable(Instant from) {
            return job != null && job.what() == Task.CHARGE && !job.start().isBefore(from);
        }
    }

    /** A mark on the time's axis. */
    record Hour(double x, String word, boolean midnight) {}

    /**
     * Power or hydrogen over time.
     *
     * @param limitY null for no limit
     */
    record Load(String name, Box box, String points, @Nullable Double limitY, double most, @Nullable Double limit) {}

    static Timeline of(PlanProblem problem, Plan plan, By by, Instant now, ZoneId zone) {
        return new Plotter(problem, plan, by, zone).plot(now);
    }

    private static final class Plotter {
        private final PlanProblem problem;
        private final Plan plan;
        private final By by;
        private final ZoneId zone;
        private final Map<String, Double> rows = new LinkedHashMap<>();

        Plotter(PlanProblem problem, Plan plan, By by, ZoneId zone) {
            this.problem = problem;
            this.plan = plan;
            this.by = by;
            this.zone = zone;
        }

        Timeline plot(Instant now) {
            names().forEach(name -> rows.put(name, TOP + ROW * rows.size()));
            Box plot = new Box(LEFT, TOP, WIDTH - LEFT - 8, ROW * rows.size());
            List<Load> loads = by == By.CHARGER ? loads(plot) : List.of();
            double bottom = plot.bottom() + 24 + loads.size() * (LOAD_HEIGHT + LOAD_GAP);
            return new Timeline(
                    WIDTH,
                    bottom,
                    plot,
                    rows.entrySet().stream()
                            .map(row -> new Row(row.getKey(), row.getValue()))
                            .toList(),
                    bars(),
                    hours(),
                    dear(plot),
                    now.isBefore(problem.until()) && !now.isBefore(problem.from()) ? (Double) x(now) : null,
                    loads);
        }

        /** In the order of the house, those with nothing to do left out. */
        private List<String> names() {
            List<String> busy = plan.jobs().stream()
                    .map(by::rowOf)
                    .filter(name -> name != null)
                    .distinct()
                    .toList();
            List<String> unmet = by == By.MACHINE
                    ? plan.unmet().stream()
                            .filter(Plan.Unmet::isShift)
                            .map(Plan.Unmet::machine)
                            .toList()
                    : List.of();
            List<String> all =
                    switch (by) {
                        case CHARGER ->
                            problem.chargers().stream().map(PlanCharger::code).toList();
                        case MACHINE ->
                            problem.machines().stream()
                                    .map(PlanMachine::code)
                                    .sorted(Comparator.comparing((String code) -> code.replaceAll("\\d", ""))
                                            .thenComparing(String::length)
                                            .thenComparing(code -> code))
                                    .toList();
                        case PERSON ->
                            problem.people().stream().map(Worker::code).toList();
                    };
            return all.stream()
                    .filter(name -> busy.contains(name) || unmet.contains(name))
                    .toList();
        }

        private double x(Instant at) {
            double part = Duration.between(problem.from(), at).toSeconds()
                    / (double) Duration.between(problem.from(), problem.until()).toSeconds();
            return Math.round(10 * (LEFT + Math.max(0, Math.min(1, part)) * (WIDTH - LEFT - 8))) / 10.0;
        }

        private List<Bar> bars() {
            List<Bar> bars = new ArrayList<>();
            for (PlanJob job : plan.jobs()) {
                String row = by == By.CHARGER && job.what() == Task.COOL ? chargerBefore(job) : by.rowOf(job);
                Double y = row == null ? null : rows.get(row);
                if (y != null
                        && job.start().isBefore(problem.until())
                        && job.end().isAfter(problem.from())) {
                    Box box = box(job.start(), job.end(), y);
                    bars.add(new Bar(
                            job,
                            box,
                            job.what().word(),
                            box.width() < LEAST_LABEL || job.what() == Task.COOL ? "" : job.battery(),
                            job.pinned() && !job.start().isBefore(problem.from())));
                }
            }
            if (by == By.MACHINE) {
                plan.unmet().stream().filter(Plan.Unmet::isShift).forEach(un -> bars.add(unmet(un)));
            }
            return bars;
        }

        private Bar unmet(Plan.Unmet un) {
            Shift shift = new PlanLookup(problem).shift(un.machine(), un.shift());
            Instant end = shift == null ? problem.until() : shift.end();
            return new Bar(null, box(un.since(), end, rows.getOrDefault(un.machine(), TOP)), "unmet", "", false);
        }

        /** A battery rests where it was charged, and its charger may charge the next meanwhile: it is drawn only where there is room. */
        private @Nullable String chargerBefore(PlanJob cool) {
            return plan.jobs().stream()
                    .filter(job -> job.battery().equals(cool.battery())
                            && job.what().wantsCharger()
                            && job.end().equals(cool.start()))
                    .map(PlanJob::charger)
                    .findFirst()
                    .filter(charger -> plan.jobs().stream()
                            .noneMatch(other -> charger.equals(other.charger())
                                    && other.start().isBefore(cool.end())
                                    && other.end().isAfter(cool.start())))
                    .orElse(null);
        }

        private Box box(Instant start, Instant end, double y) {
            double left = x(start);
            return new Box(left, y + (ROW - BAR) / 2, Math.max(LEAST_BAR, x(end) - left), BAR);
        }

        private List<Hour> hours() {
            long step = Duration.between(problem.from(), problem.until()).toHours() > 48 ? 12 : 3;
            List<Hour> hours = new ArrayList<>();
            ZonedDateTime at = problem.from().atZone(zone).truncatedTo(ChronoUnit.HOURS);
            while (at.toInstant().isBefore(problem.until())) {
                if (at.getHour() % step == 0 && at.toInstant().isAfter(problem.from())) {
                    hours.add(new Hour(
                            x(at.toInstant()), String.format(Locale.ROOT, "%02d:00", at.getHour()), at.getHour() == 0));
                }
                at = at.plusHours(1);
            }
            return hours;
        }

        private List<Box> dear(Box plot) {
            double least =
                    problem.tariff().stream().mapToDouble(Price::perKwh).min().orElse(0);
            return problem.tariff().stream()
                    .filter(price -> price.perKwh() > least && price.start().isBefore(problem.until()))
                    .map(price -> new Box(x(price.start()), plot.y(), x(price.end()) - x(price.start()), plot.height()))
                    .toList();
        }

        private List<Load> loads(Box plot) {
            PlanLoads loads = new PlanLoads(new PlanLookup(problem), plan.jobs());
            Box power = new Box(LEFT, plot.bottom() + 24 + LOAD_GAP / 2, plot.width(), LOAD_HEIGHT);
            Box gas = new Box(LEFT, power.bottom() + LOAD_GAP, plot.width(), LOAD_HEIGHT);
            return List.of(
                    load("power", power, loads.kilowatts(), problem.room().kwMost()), hydrogen(gas, loads));
        }

        /** Where each room has an air of its own, of what that carries off in the fullest of them. */
        private Load hydrogen(Box box, PlanLoads loads) {
            Map<String, Double> airs = problem.room().airs();
            if (airs.isEmpty()) {
                return load("hydrogen", box, loads.hydrogen(), problem.room().litresPerHourMost());
            }
            SortedMap<Instant, Double> percent = loads.fullestAir(airs);
            percent.replaceAll((at, part) -> 100 * part);
            return load("air", box, percent, 100.0);
        }

        private Load load(String name, Box box, SortedMap<Instant, Double> steps, @Nullable Double limit) {
            double most = steps.values().stream()
                    .mapToDouble(Double::doubleValue)
                    .max()
                    .orElse(0);
            double scale = box.height() / (1.1 * Math.max(Math.max(most, limit == null ? 0 : limit), 1e-6));
            StringBuilder points = new StringBuilder();
            double y = box.bottom();
            points.append(point(box.x(), y));
            for (Map.Entry<Instant, Double> step : steps.entrySet()) {
                double x = x(step.getKey());
                points.append(point(x, y));
                y = box.bottom() - scale * step.getValue();
                points.append(point(x, y));
            }
            points.append(point(box.right(), y)).append(point(box.right(), box.bottom()));
            return new Load(
                    name,
                    box,
                    points.toString().strip(),
                    limit == null ? null : (Double) (box.bottom() - scale * limit),
                    most,
                    limit);
        }

        private static String point(double x, double y) {
            return String.format(Locale.ROOT, "%.1f,%.1f ", x, y);
        }
    }
}
