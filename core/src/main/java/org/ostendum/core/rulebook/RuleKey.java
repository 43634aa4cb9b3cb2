package org.ostendum.core.rulebook;

import java.math.BigDecimal;
import java.util.Arrays;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.battery.Duty;

/**
 * Every threshold the core uses: its key as in the description of the job, unit, default, allowed range (both ends
 * included) and source. What it means and which school it follows is told in the language of the reader, under the key.
 */
public enum RuleKey {
    TEMPERATURE_REFERENCE("measure.temperature.reference", Unit.CELSIUS, "25", "15", "30", Source.IEEE_450),
    TEMPERATURE_LEAST("measure.temperature.least", Unit.CELSIUS, "5", "-20", "15", Source.RULE_OF_THUMB),
    TEMPERATURE_MOST("measure.temperature.most", Unit.CELSIUS, "45", "30", "60", Source.RULE_OF_THUMB),
    GASSING_TO_MIX("measure.not-after-water.gassing", Unit.PERCENT, "3", "0", "30", Source.RULE_OF_THUMB),
    GASSING_WAIT("measure.hydrometer.gassing-wait", Unit.MINUTES, "30", "0", "480", Source.RULE_OF_THUMB),
    SCATTER_FACTOR("measure.hydrometer.scatter-factor", Unit.COUNT, "10", "4", "30", Source.RULE_OF_THUMB),
    FULL_TOLERANCE("measure.full-window.tolerance", Unit.POINTS, "5", "0", "15", Source.RULE_OF_THUMB),
    SPREAD_FINE("judge.spread.fine", Unit.POINTS, "20", "5", "40", Source.RULE_OF_THUMB),
    SPREAD_EQUALISE("judge.spread.equalise", Unit.POINTS, "30", "10", "80", Source.IEEE_450),
    CELL_BELOW_MEDIAN("judge.spread.cell-below-median", Unit.POINTS, "50", "20", "120", Source.RULE_OF_THUMB),
    TREND_ROUNDS("judge.trend.rounds", Unit.COUNT, "6", "5", "30", Source.RULE_OF_THUMB),
    TREND_WINDOW("judge.trend.window", Unit.COUNT, "12", "6", "60", Source.RULE_OF_THUMB),
    TREND_LEAST_FALL("judge.trend.least-fall", Unit.POINTS, "8", "3", "40", Source.RULE_OF_THUMB),
    TREND_ERRORS("judge.trend.errors", Unit.COUNT, "4", "3", "12", Source.RULE_OF_THUMB),
    CHARGE_VOLTS_APART("judge.short.charge-volts", Unit.MILLIVOLTS, "50", "20", "200", Source.RULE_OF_THUMB),
    KIT_LOOK("water.how.kit-look", Unit.DAYS, "365", "30", "1095", Source.RULE_OF_THUMB),
    TAP_TURN("pack.taps.turn", Unit.DAYS, "365", "30", "1095", Source.RULE_OF_THUMB),
    TAP_BELOW("pack.taps.below", Unit.POINTS, "6", "3", "40", Source.RULE_OF_THUMB),
    RETURN_LEAST("charge.profile.return-least", Unit.PERCENT, "105", "100", "115", Source.RULE_OF_THUMB),
    RETURN_USUAL("charge.profile.return-usual", Unit.PERCENT, "112", "105", "125", Source.RULE_OF_THUMB),
    RISE_BY_MIXING("judge.stratified.rise", Unit.POINTS, "6", "3", "30", Source.RULE_OF_THUMB),
    THIRST("water.how-often.thirst", Unit.PERCENT, "150", "120", "300", Source.RULE_OF_THUMB),
    LOW_TIMES("water.level.low-times", Unit.COUNT, "3", "2", "8", Source.RULE_OF_THUMB),
    WORN_BELOW("test.run-time.worn", Unit.PERCENT, "88", "60", "95", Source.RULE_OF_THUMB),
    TREND_HORIZON("judge.trend.horizon", Unit.DAYS, "240", "14", "1095", Source.RULE_OF_THUMB),
    ROUND_INTERVAL_MOTIVE("measure.hydrometer.interval.motive", Unit.DAYS, "21", "1", "120", Source.RULE_OF_THUMB),
    ROUND_INTERVAL_DEEP_CYCLE(
            "measure.hydrometer.interval.deep-cycle", Unit.DAYS, "30", "1", "120", Source.RULE_OF_THUMB),
    ROUND_INTERVAL_AIRCRAFT("measure.hydrometer.interval.aircraft", Unit.DAYS, "30", "1", "120", Source.FAA_AC_43),
    ROUND_INTERVAL_STATIONARY("measure.hydrometer.interval.stationary", Unit.DAYS, "30", "1", "180", Source.IEEE_450),
    WATER_INTERVAL_MOTIVE("water.how-often.motive", Unit.DAYS, "14", "1", "90", Source.RULE_OF_THUMB),
    WATER_INTERVAL_DEEP_CYCLE("water.how-often.deep-cycle", Unit.DAYS, "7", "1", "90", Source.RULE_OF_THUMB),
    WATER_INTERVAL_AIRCRAFT("water.how-often.aircraft", Unit.DAYS, "45", "1", "180", Source.RULE_OF_THUMB),
    WATER_INTERVAL_STATIONARY("water.how-often.stationary", Unit.DAYS, "90", "1", "365", Source.RULE_OF_THUMB),
    WATER_CHLORIDE("water.what.chloride", Unit.MILLIGRAMS, "25", "1", "50", Source.RULE_OF_THUMB),
    WATER_IRON("water.what.iron", Unit.MILLIGRAMS, "4", "1", "10", Source.RULE_OF_THUMB),
    WATER_RESIDUE("water.what.residue", Unit.MILLIGRAMS, "250", "10", "500", Source.RULE_OF_THUMB),
    WATER_ANALYSIS("water.what.analysis", Unit.DAYS, "365", "30", "730", Source.RULE_OF_THUMB),
    WATER_PRICE("money.water", Unit.CENTS, "60", "0", "1000", Source.RULE_OF_THUMB),
    COOLING("charge.cool", Unit.HOURS, "8", "0", "48", Source.RULE_OF_THUMB),
    HOT_WORK_AIRED("cell.prepare.aired", Unit.HOURS, "2", "1", "48", Source.RULE_OF_THUMB),
    HOT_WORK_PERMIT("cell.prepare.permit", Unit.HOURS, "8", "1", "24", Source.RULE_OF_THUMB),
    COOL_WITHIN("charge.cool.within", Unit.COUNT, "8", "2", "20", Source.RULE_OF_THUMB),
    CHARGE_RATE_LEAST("charge.match.rate-least", Unit.PERCENT, "10", "2", "20", Source.RULE_OF_THUMB),
    CHARGE_RATE_MOST("charge.match.rate-most", Unit.PERCENT, "25", "15", "50", Source.RULE_OF_THUMB),
    /** 0 for no limit. */
    SITE_POWER("charge.match.site-power", Unit.KILOWATTS, "0", "0", "5000", Source.RULE_OF_THUMB),
    SITE_PEAK("charge.match.site-peak", Unit.KILOWATTS, "0", "0", "5000", Source.RULE_OF_THUMB),
    TARIFF_DAY("money.tariff.day", Unit.CENTS, "24", "0", "500", Source.RULE_OF_THUMB),
    TARIFF_NIGHT("money.tariff.night", Unit.CENTS, "15", "0", "500", Source.RULE_OF_THUMB),
    TARIFF_NIGHT_FROM("money.tariff.night-from", Unit.HOURS, "22", "0", "23", Source.RULE_OF_THUMB),
    TARIFF_NIGHT_UNTIL("money.tariff.night-until", Unit.HOURS, "6", "0", "23", Source.RULE_OF_THUMB),
    CHARGE_STEADY_HOURS("charge.end.steady-volts", Unit.HOURS, "2", "1", "6", Source.RULE_OF_THUMB),
    FULL_GOOD_FOR("store.while.full", Unit.DAYS, "30", "3", "120", Source.RULE_OF_THUMB),
    STORE_FALL("store.while.fall", Unit.POINTS, "25", "10", "60", Source.RULE_OF_THUMB),
    STORE_LOOK("store.while.look", Unit.DAYS, "21", "7", "60", Source.RULE_OF_THUMB),
    STORE_CHARGE_DEEP_CYCLE("store.while.charge.deep-cycle", Unit.DAYS, "14", "7", "60", Source.RULE_OF_THUMB),
    STORE_CHARGE_AIRCRAFT("store.while.charge.aircraft", Unit.DAYS, "30", "7", "60", Source.FAA_AC_43),
    STORE_FROST_MARGIN("store.freeze.margin", Unit.CELSIUS, "5", "0", "20", Source.RULE_OF_THUMB),
    STORE_SEALED("store.while.sealed", Unit.DAYS, "180", "60", "365", Source.RULE_OF_THUMB),
    STORE_DRY("store.while.dry", Unit.DAYS, "730", "180", "1500", Source.RULE_OF_THUMB),
    TEST_STATIONARY("test.capacity.stationary", Unit.DAYS, "365", "90", "1100", Source.RULE_OF_THUMB),
    TEST_AIRCRAFT("test.capacity.aircraft", Unit.DAYS, "365", "30", "730", Source.FAA_AC_43),
    CHARGE_TO_ISSUE("change.choose.charge", Unit.PERCENT, "80", "40", "100", Source.RULE_OF_THUMB),
    CHARGE_SOON("charge.never-discharge-below.soon", Unit.PERCENT, "25", "10", "50", Source.RULE_OF_THUMB),
    CHARGE_LONGEST("charge.end.longest", Unit.HOURS, "16", "8", "72", Source.RULE_OF_THUMB),
    STARTS_WITHIN("charge.low-voltage-lockout.wait", Unit.MINUTES, "3", "1", "30", Source.RULE_OF_THUMB),
    HYDROGEN_ALARM("charge.gas.alarm", Unit.PERCENT, "1", "0.5", "2", Source.RULE_OF_THUMB),
    HYDROGEN_STOP("charge.gas.stop", Unit.PERCENT, "2", "1", "2", Source.RULE_OF_THUMB),
    EQUALISE_INTERVAL("equalise.when.interval", Unit.DAYS, "30", "5", "180", Source.RULE_OF_THUMB),
    SULFATED_HOURS("equalise.sulfated.hours", Unit.HOURS, "72", "24", "96", Source.RULE_OF_THUMB),
    CHARGE_START_MOST("charge.before.temperature", Unit.CELSIUS, "40", "25", "45", Source.RULE_OF_THUMB),
    CHARGE_STOP("charge.stop.temperature", Unit.CELSIUS, "49", "40", "55", Source.RULE_OF_THUMB),
    CHARGE_STOP_AIRCRAFT("charge.stop.temperature.aircraft", Unit.CELSIUS, "46", "38", "55", Source.FAA_AC_43),
    INITIAL_PAUSE("commission.initial-charge.pause", Unit.CELSIUS, "46", "38", "55", Source.RULE_OF_THUMB),
    INITIAL_RESUME("commission.initial-charge.resume", Unit.CELSIUS, "38", "25", "45", Source.RULE_OF_THUMB),
    INITIAL_STEADY_HOURS("commission.initial-charge.steady-volts", Unit.HOURS, "2", "1", "6", Source.RULE_OF_THUMB),
    INITIAL_STEADY_ROWS("commission.initial-charge.readings", Unit.COUNT, "3", "2", "6", Source.RULE_OF_THUMB),
    BREAK_IN_CYCLES("commission.break-in.cycles", Unit.COUNT, "30", "0", "100", Source.RULE_OF_THUMB),
    BREAK_IN_DEPTH("commission.break-in.depth", Unit.PERCENT, "60", "30", "80", Source.RULE_OF_THUMB),
    REST_BEFORE_VOLTAGE("measure.voltage-rest.wait", Unit.HOURS, "4", "1", "24", Source.IEEE_450),
    REST_BELOW_MEDIAN("measure.voltage-rest.below-median", Unit.MILLIVOLTS, "30", "10", "200", Source.RULE_OF_THUMB),
    LOAD_BELOW_MEDIAN("measure.voltage-load.below-median", Unit.MILLIVOLTS, "60", "20", "400", Source.RULE_OF_THUMB),
    VOLTAGE_AGAINST_GRAVITY("measure.soc.disagreement", Unit.MILLIVOLTS, "20", "10", "100", Source.RULE_OF_THUMB),
    TOP_LEAK("inspect.top-leak.act", Unit.MILLIVOLTS, "500", "100", "2000", Source.RULE_OF_THUMB),
    WASH_INTERVAL("clean.top.interval", Unit.DAYS, "365", "30", "730", Source.RULE_OF_THUMB),
    STATION_EYEWASH_FLUSH("safety.station.eyewash-flush", Unit.DAYS, "7", "1", "7", Source.ANSI_Z358),
    STATION_EYEWASH_INSPECTION("safety.station.eyewash-inspection", Unit.DAYS, "365", "30", "365", Source.ANSI_Z358),
    STATION_SHOWER("safety.station.shower", Unit.DAYS, "7", "1", "7", Source.ANSI_Z358),
    STATION_SPILL_KIT("safety.station.spill-kit", Unit.DAYS, "30", "7", "90", Source.RULE_OF_THUMB),
    STATION_VENTILATION("safety.station.ventilation", Unit.DAYS, "30", "1", "90", Source.CFR_1910_178),
    STATION_EXTINGUISHER("safety.station.extinguisher", Unit.DAYS, "30", "7", "31", Source.CFR_1910_157),
    STATION_TOOLS("safety.station.tools", Unit.DAYS, "90", "7", "365", Source.RULE_OF_THUMB),
    STATION_CHANGER("safety.station.changer", Unit.DAYS, "30", "1", "90", Source.RULE_OF_THUMB),
    STATION_SIGNS("safety.station.signs", Unit.DAYS, "180", "30", "365", Source.CFR_1910_178),
    TRAINING_VALIDITY("safety.who.validity", Unit.DAYS, "365", "30", "1095", Source.RULE_OF_THUMB);

    private final String key;
    private final Unit unit;
    private final BigDecimal standard;
    private final BigDecimal least;
    private final BigDecimal most;
    private final Source source;

    RuleKey(String key, Unit unit, String standard, String least, String most, Source source) {
        this.key = key;
        this.unit = unit;
        this.standard = new BigDecimal(standard);
        this.least = new BigDecimal(least);
        this.most = new BigDecimal(most);
        this.source = source;
    }

    /** Where a default comes from. */
    public enum Source {
        IEEE_450("IEEE 450"),
        FAA_AC_43("FAA AC 43.13-1B"),
        ANSI_Z358("ANSI/ISEA Z358.1"),
        CFR_1910_178("29 CFR 1910.178(g)"),
        CFR_1910_157("29 CFR 1910.157(e)"),
        RULE_OF_THUMB("");

        private final String title;

        Source(String title) {
            this.title = title;
        }

        /** @return the document, empty for a rule of thumb */
        public String title() {
            return title;
        }
    }

    public String key() {
        return key;
    }

    public Unit unit() {
        return unit;
    }

    /** The value where neither site nor model says otherwise. */
    public BigDecimal standard() {
        return standard;
    }

    public BigDecimal least() {
        return least;
    }

    public BigDecimal most() {
        return most;
    }

    public Source source() {
        return source;
    }

    /** @return whether a site or a model may set this value */
    public boolean allows(BigDecimal value) {
        return value.compareTo(least) >= 0 && value.compareTo(most) <= 0;
    }

    /** The practice the rule belongs to: the first two parts of its key. */
    public String practice() {
        String[] parts = key.split("\\.", -1);
        return parts[0] + "." + parts[1];
    }

    /** @return whether what is held of a battery may follow from it: prices and the site's power say nothing of batteries */
    public boolean isAboutBatteries() {
        return this != SITE_POWER && this != SITE_PEAK && !key.startsWith("money.");
    }

    public static Optional<RuleKey> find(String key) {
        return Arrays.stream(values()).filter(r -> r.key.equals(key)).findFirst();
    }

    public static RuleKey roundInterval(Duty duty) {
        return switch (duty) {
            case MOTIVE -> ROUND_INTERVAL_MOTIVE;
            case DEEP_CYCLE -> ROUND_INTERVAL_DEEP_CYCLE;
            case AIRCRAFT -> ROUND_INTERVAL_AIRCRAFT;
            case STATIONARY -> ROUND_INTERVAL_STATIONARY;
        };
    }

    /** @return how often a battery of such work is tested without suspicion; empty where it is not */
    public static Optional<RuleKey> testInterval(Duty duty) {
        return switch (duty) {
            case AIRCRAFT -> Optional.of(TEST_AIRCRAFT);
            case STATIONARY -> Optional.of(TEST_STATIONARY);
            case MOTIVE, DEEP_CYCLE -> Optional.empty();
        };
    }

    /** @return the rule that holds the temperature at which a charge is stopped */
    public static RuleKey chargeStop(@Nullable Duty duty) {
        return duty == Duty.AIRCRAFT ? CHARGE_STOP_AIRCRAFT : CHARGE_STOP;
    }

    public static RuleKey waterInterval(Duty duty) {
        return switch (duty) {
            case MOTIVE -> WATER_INTERVAL_MOTIVE;
            case DEEP_CYCLE -> WATER_INTERVAL_DEEP_CYCLE;
            case AIRCRAFT -> WATER_INTERVAL_AIRCRAFT;
            case STATIONARY -> WATER_INTERVAL_STATIONARY;
        };
    }
}
