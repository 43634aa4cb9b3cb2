package org.ostendum.core.commission;

import java.math.BigDecimal;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.ostendum.core.judge.Message;
import org.ostendum.core.quantity.CorrectedGravity;

/** Decides from the hourly rows whether a first charge is over, must pause or goes on. Source: {@code commission.initial-charge}. */
public final class InitialCharge {
    /** A voltmeter's last digit is no rise: millivolts per cell. */
    private static final int STEADY_MILLIVOLTS_PER_CELL = 2;
    /** Rows closer together than this count as one reading. */
    private static final Duration READING_APART = Duration.ofMinutes(50);
    /** The level is looked at once the first hour has warmed and freed the cells. */
    private static final Duration FIRST_HOUR = Duration.ofHours(1);

    private final InitialChargePlan plan;
    private final List<ChargeRow> rows;

    private InitialCharge(InitialChargePlan plan, List<ChargeRow> rows) {
        this.plan = plan;
        this.rows = rows;
    }

    /** What is to be done now. */
    public enum Advice {
        BEGIN,
        GO_ON,
        /** Too hot: charger off until it has cooled. */
        PAUSE,
        /** The first hour is over: set the level to its mark. */
        SET_LEVEL,
        DONE
    }

    /**
     * @param missing what still stands between now and the end, in sentences; empty when done
     * @param cautions what is wrong with how it is run
     * @param ampHours gone in so far
     */
    public record State(Advice advice, List<Message> missing, List<Message> cautions, double ampHours) {}

    /**
     * @param rows oldest first
     * @param levelSet whether the level was set after the first hour
     */
    public static State of(InitialChargePlan plan, List<ChargeRow> rows, boolean levelSet) {
        return new InitialCharge(plan, rows).state(levelSet);
    }

    private State state(boolean levelSet) {
        List<Message> missing = missing();
        if (!levelSet) {
            missing.add(Message.of("initial.missing.level"));
        }
        return new State(advice(levelSet, missing), missing, cautions(), ampHours());
    }

    private Advice advice(boolean levelSet, List<Message> missing) {
        if (rows.isEmpty()) {
            return Advice.BEGIN;
        }
        if (isTooHot()) {
            return Advice.PAUSE;
        }
        if (!levelSet && lasted().compareTo(FIRST_HOUR) >= 0) {
            return Advice.SET_LEVEL;
        }
        return missing.isEmpty() ? Advice.DONE : Advice.GO_ON;
    }

    private List<Message> missing() {
        List<Message> missing = new ArrayList<>();
        if (!isSteady()) {
            missing.add(Message.of("initial.missing.steady", (int) plan.steady().toHours()));
        }
        int inWindow = readingsInWindow();
        if (inWindow < plan.readings()) {
            missing.add(Message.of("initial.missing.readings", plan.readings() - inWindow, plan.from(), plan.to()));
        }
        if (ampHours() < plan.leastAmpHours()) {
            missing.add(Message.of("initial.missing.amp-hours", (int) Math.ceil(plan.leastAmpHours() - ampHours())));
        }
        return missing;
    }

    private List<Message> cautions() {
        List<Message> cautions = new ArrayList<>();
        rows.stream()
                .filter(r -> r.amps() > plan.amps())
                .findFirst()
                .ifPresent(r -> cautions.add(
                        Message.of("initial.caution.amps", decimal(r.amps()), decimal(plan.amps()), r.at())));
        return cautions;
    }

    private static BigDecimal decimal(double value) {
        return BigDecimal.valueOf(Math.round(value * 10), 1);
    }

    /** Hot from the row that reached the limit to the one that came below the lower one. */
    private boolean isTooHot() {
        boolean hot = false;
        for (ChargeRow row : rows) {
            if (row.temperature().compareTo(plan.pause()) >= 0) {
                hot = true;
            } else if (row.temperature().compareTo(plan.resume()) < 0) {
                hot = false;
            }
        }
        return hot;
    }

    private boolean isSteady() {
        if (rows.isEmpty()) {
            return false;
        }
        Instant since = last().at().minus(plan.steady());
        int rise = STEADY_MILLIVOLTS_PER_CELL * plan.cells();
        ChargeRow reference = null;
        for (ChargeRow row : rows) {
            if (!row.at().isAfter(since)) {
                reference = row;
            } else if (reference == null
                    || row.amps() <= 0
                    || row.volts().millivolts() > reference.volts().millivolts() + rise) {
                return false;
            }
        }
        return reference != null && last().amps() > 0;
    }

    /** Readings in turn, counted back from the newest, that lie in the window. */
    private int readingsInWindow() {
        int count = 0;
        Instant counted = null;
        for (int i = rows.size() - 1; i >= 0; i--) {
            ChargeRow row = rows.get(i);
            CorrectedGravity gravity = row.gravity();
            if (gravity == null) {
                continue;
            }
            if (gravity.compareTo(plan.from()) < 0 || gravity.compareTo(plan.to()) > 0) {
                return count;
            }
            if (counted == null || Duration.between(row.at(), counted).compareTo(READING_APART) >= 0) {
                count++;
                counted = row.at();
            }
        }
        return count;
    }

    /** Each row's current held until the next row. */
    private double ampHours() {
        double ampHours = 0;
        for (int i = 1; i < rows.size(); i++) {
            double hours =
                    Duration.between(rows.get(i - 1).at(), rows.get(i).at()).toSeconds() / 3600.0;
            ampHours += rows.get(i - 1).amps() * hours;
        }
        return ampHours;
    }

    private Duration lasted() {
        return Duration.between(rows.get(0).at(), last().at());
    }

    private ChargeRow last() {
        return rows.get(rows.size() - 1);
    }
}
