package org.ostendum.bench.plan;

import java.io.PrintStream;
import java.util.List;
import java.util.Locale;
import java.util.function.Supplier;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import org.ostendum.sim.week.Lead;
import org.ostendum.sim.week.Obstacle;
import org.ostendum.sim.week.Week;
import org.ostendum.sim.week.WeekResult;

/** Months with accidents, lived through under the rule of thumb and under the search. */
public final class WeeksBench {
    private static final int BATTERIES = 28;
    private static final int WEEKS_TOGETHER = 4;

    private WeeksBench() {}

    /**
     * @param weeks a multiple of 4, half of them in rooms short of everything
     * @param steps of the search every eight hours; the house searches for seconds, which are a million and more
     */
    public static void run(int weeks, long firstSeed, int steps, PrintStream out) {
        out.printf(
                Locale.ROOT,
                "%d weeks, %d after one another in each room of %d batteries, searches of %,d steps%n",
                weeks,
                WEEKS_TOGETHER,
                BATTERIES,
                steps);
        List<WeekResult> thumb = lived(firstSeed, weeks, () -> Lead.RULE_OF_THUMB);
        List<WeekResult> search = lived(firstSeed, weeks, () -> new SearchingLead(steps));
        for (boolean tight : new boolean[] {false, true}) {
            out.printf(
                    Locale.ROOT,
                    "%n%-34s %12s %12s %10s%n",
                    tight ? "tight" : "loose",
                    "rule of thumb",
                    "search",
                    "of thumb");
            lines(of(tight, firstSeed, thumb), of(tight, firstSeed, search), out);
        }
    }

    private static boolean isTight(long seed) {
        return seed % 2 == 1;
    }

    private static List<WeekResult> of(boolean tight, long firstSeed, List<WeekResult> all) {
        return IntStream.range(0, all.size())
                .filter(i -> isTight(firstSeed + i) == tight)
                .mapToObj(all::get)
                .toList();
    }

    private static void lines(List<WeekResult> thumb, List<WeekResult> search, PrintStream out) {
        line("shifts", thumb, search, WeekResult::shifts, out);
        line("without a battery", thumb, search, WeekResult::unmet, out);
        for (Obstacle obstacle : Obstacle.values()) {
            String why = "  " + obstacle.name().toLowerCase(Locale.ROOT).replace('_', ' ');
            line(why, thumb, search, week -> week.stood().getOrDefault(obstacle, 0), out);
        }
        line("batteries with bare plates", thumb, search, WeekResult::bare, out);
        line("minutes over the room's hydrogen", thumb, search, WeekResult::gasMinutes, out);
        line("minutes of people", thumb, search, WeekResult::handMinutes, out);
        line("energy", thumb, search, WeekResult::energyCost, out);
        line("energy and peak", thumb, search, WeeksBench::money, out);
        line("most kW", thumb, search, WeekResult::mostKilowatts, out);
        line("deviation of a pool's cycles", thumb, search, WeekResult::cycleSpread, out);
        line("charges", thumb, search, WeekResult::charges, out);
    }

    private static double money(WeekResult week) {
        return week.energyCost() + WEEKS_TOGETHER * Week.PEAK_PRICE * week.mostKilowatts();
    }

    private static List<WeekResult> lived(long firstSeed, int weeks, Supplier<Lead> leads) {
        return LongStream.range(firstSeed, firstSeed + weeks / WEEKS_TOGETHER)
                .parallel()
                .mapToObj(seed -> Week.several(WEEKS_TOGETHER, BATTERIES, isTight(seed), seed)
                        .ledBy(leads.get()))
                .toList();
    }

    private static void line(
            String name,
            List<WeekResult> thumb,
            List<WeekResult> search,
            ToDoubleFunction<WeekResult> amount,
            PrintStream out) {
        double one = thumb.stream().mapToDouble(amount).sum();
        double other = search.stream().mapToDouble(amount).sum();
        out.printf(
                Locale.ROOT,
                "%-34s %12.2f %12.2f %10s%n",
                name,
                one / thumb.size(),
                other / search.size(),
                one == 0 ? "–" : String.format(Locale.ROOT, "%.1f%%", 100 * other / one));
    }
}
