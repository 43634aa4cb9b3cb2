package org.ostendum.sim;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.ostendum.core.life.LifeForecast.Tested;
import org.ostendum.core.life.Stress;

/**
 * The whole life of a battery as far as its capacity goes: month by month under its use, each battery with its own constitution, each
 * season and each quarter a little different, tested now and then. Constitutions spread as those of lots of one maker do (rule of thumb).
 *
 * @param ended years of service at which it fell below 80 %
 * @param tests on the way
 * @param stress that its site has on record
 */
public record WornLife(double ended, List<Tested> tests, Stress stress) {
    /** Cycles of a life by the sheet. */
    public static final int CYCLES = 1500;

    private static final double CONSTITUTION = 0.33;
    private static final double QUARTER = 0.25;
    private static final double NEW = 1.05;
    private static final double NEW_SPREAD = 0.02;
    private static final double GONE = 0.80;
    private static final double READING = 0.025;
    private static final int MONTHS = 12;
    private static final int LONGEST = 40 * MONTHS;

    public WornLife {
        tests = List.copyOf(tests);
    }

    /** @param testEvery months between two capacity tests; 0 for none */
    public static WornLife live(long seed, int testEvery) {
        Random random = new Random(seed);
        Stress stress = new Stress(
                120 + 230 * random.nextDouble(),
                0.45 + 0.4 * random.nextDouble(),
                20 + 12 * random.nextDouble(),
                random.nextInt(4) == 0 ? 0.4 * random.nextDouble() : 0,
                random.nextInt(3) == 0 ? 0.3 * random.nextDouble() : 0);
        double constitution = Math.exp(CONSTITUTION * random.nextGaussian());
        double fresh = NEW + NEW_SPREAD * random.nextGaussian();
        double perMonth = (NEW - GONE) * constitution * stress.partAYear(CYCLES) / MONTHS;
        double capacity = fresh;
        double quarter = 1;
        List<Tested> tests = new ArrayList<>();
        int month = 0;
        while (capacity > GONE && month < LONGEST) {
            if (month % 3 == 0) {
                quarter = Math.max(0.2, 1 + QUARTER * random.nextGaussian());
            }
            capacity -= perMonth * quarter;
            month++;
            if (testEvery > 0 && month % testEvery == 0 && capacity > GONE) {
                tests.add(new Tested(month / (double) MONTHS, capacity + READING * random.nextGaussian()));
            }
        }
        return new WornLife(month / (double) MONTHS, tests, stress);
    }

    /** @return the tests of the first years */
    public List<Tested> testsUntil(double years) {
        return tests.stream().filter(test -> test.years() <= years).toList();
    }
}
