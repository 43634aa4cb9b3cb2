package org.ostendum.core.state.fact;

import java.time.Duration;
import java.time.Instant;
import java.util.EnumSet;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.BatteryEvent.CapacityTested;
import org.ostendum.core.event.BatteryEvent.CellReplaced;
import org.ostendum.core.event.BatteryEvent.ChargeEnded;
import org.ostendum.core.event.BatteryEvent.ChargeStarted;
import org.ostendum.core.event.BatteryEvent.Equalised;
import org.ostendum.core.event.BatteryEvent.RestVoltageRead;
import org.ostendum.core.event.BatteryEvent.StoodFlat;
import org.ostendum.core.event.BatteryEvent.Worked;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.core.event.Ending;
import org.ostendum.core.event.FullSign;
import org.ostendum.core.life.Cycles;
import org.ostendum.core.measure.Answer;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.state.fact.ChargeRange.Basis;

/**
 * What is known of a battery's charge: whether it is full and by which evidence, how much is in it, what flows.
 *
 * @param onCharge null while none runs
 * @param missing what is still to be put back
 * @param worked when it last worked, null for never
 * @param chargeEnded when its last charge ended, however; null for never
 * @param ending how
 * @param equalised when its last equalising charge ended, null where nobody knows of one
 * @param stoodFlat when it was last found run flat and left so, null for never; a full charge forgets it
 * @param cycles charges on record that ended
 * @param turned when its charge last changed by work or a charge, null for never
 */
public record ChargeFacts(
        Full full,
        ChargeRange range,
        @Nullable OnCharge onCharge,
        Missing missing,
        @Nullable Instant worked,
        @Nullable Instant chargeEnded,
        Ending ending,
        @Nullable Instant equalised,
        @Nullable Instant stoodFlat,
        Cycles cycles,
        @Nullable Instant turned) {

    static final ChargeFacts NOTHING = new ChargeFacts(
            Full.NOT_KNOWN,
            ChargeRange.NOT_KNOWN,
            null,
            Missing.NOTHING,
            null,
            null,
            Ending.UNSTATED,
            null,
            null,
            Cycles.NONE,
            null);

    /** Meters and logs agree no better with what the plates have given (rule of thumb). */
    private static final double LOG_ERROR = 0.1;
    /** Part of the Ah put in that stays, least and most: the rest makes gas and heat (rule of thumb). */
    private static final double KEPT_LEAST = 0.8;

    private static final double KEPT_MOST = 0.97;
    private static final double KEPT_LIKELY = 0.9;
    /** A shift without a figure took half, give or take (rule of thumb). */
    private static final double USUAL_SHIFT = 0.5;

    private static final double DEEPEST_SHIFT = 0.85;
    /** A float read well places the charge no closer than that: ten points of some hundred and forty. */
    private static final double GRAVITY_ERROR = 0.07;

    private static final double FEW_CELLS_ERROR = 0.12;
    private static final double VOLTAGE_ERROR = 0.1;
    private static final double HOURS_A_MONTH = 730;
    /** Parts of the charge that standing takes, of a new battery, a usual and an old one (rule of thumb). */
    private static final double NEW_A_MONTH = 0.03;

    private static final double USUAL_A_MONTH = 0.05;
    private static final double OLD_A_MONTH = 0.08;
    private static final double FULL_LEAST = 0.95;
    private static final double FLAT_MOST = 0.15;
    /** A battery forgotten on a charger that nobody hears: after so many of the longest charges nothing is known any more. */
    private static final int FORGOTTEN_AFTER = 3;

    private static final Duration LONG_KINDS = Duration.ofDays(4);

    /**
     * Ah still to be put back.
     *
     * @param isKnown whether every shift and every part charge since the last full one is on record with its Ah
     */
    public record Missing(double ampHours, boolean isKnown) {
        static final Missing NOTHING = new Missing(0, true);

        Missing less(@Nullable AmpHours returned) {
            return returned == null
                    ? new Missing(ampHours, false)
                    : new Missing(Math.max(0, ampHours - KEPT_LIKELY * returned.ampHours()), isKnown);
        }

        Missing more(@Nullable AmpHours taken) {
            return taken == null ? new Missing(ampHours, false) : new Missing(ampHours + taken.ampHours(), isKnown);
        }
    }

    ChargeFacts after(BatteryEvent event, Sheet sheet) {
        if (event instanceof Worked worked) {
            return worked(worked, sheet);
        } else if (event instanceof CapacityTested test) {
            return worked(new Worked(test.at(), test.taken()), sheet);
        } else if (event instanceof ChargeStarted started) {
            return started(started);
        } else if (event instanceof ChargeEnded ended) {
            return ended(ended, sheet);
        } else if (event instanceof Equalised equalising) {
            return equalised(equalising);
        } else if (event instanceof StoodFlat flat) {
            return stoodFlat(flat);
        } else if (event instanceof CellReplaced replaced) {
            // The others may be full; what has just come to stand among them is not shown to be.
            return with().full(Full.unknown(replaced.at(), Set.of())).facts();
        } else if (event instanceof RestVoltageRead rest) {
            double part =
                    sheet.model().marks().scale().ofRestVoltage(rest.perCell()).percent() / 100.0;
            return onCharge != null
                    ? this
                    : with().range(ChargeRange.around(part, VOLTAGE_ERROR, Basis.REST_VOLTAGE, rest.at()))
                            .facts();
        }
        return this;
    }

    private ChargeFacts worked(Worked shift, Sheet sheet) {
        double out = shift.taken() == null ? USUAL_SHIFT : shift.taken().ampHours() / sheet.capacity();
        double most = shift.taken() == null ? DEEPEST_SHIFT : out * (1 + LOG_ERROR);
        double least = shift.taken() == null ? 0 : out * (1 - LOG_ERROR);
        return with().full(Full.no(shift.at()))
                .range(range.moved(-most, -out, -least, Basis.WORK, shift.at()))
                .onCharge(null)
                .missing(missing.more(shift.taken()))
                .worked(shift.at())
                .turned(shift.at())
                .facts();
    }

    /** The same charge is often told twice: by the person who switched it on and by the job's end. */
    private ChargeFacts started(ChargeStarted started) {
        return onCharge != null
                ? this
                : with().onCharge(new OnCharge(started.at(), started.kind(), started.charger()))
                        .turned(started.at())
                        .facts();
    }

    private ChargeFacts ended(ChargeEnded ended, Sheet sheet) {
        Set<FullSign> signs = signs(ended, sheet);
        Edit after = with().onCharge(null)
                .chargeEnded(ended.at(), ended.ending())
                .cycles(cycles.andOne(ended.at()))
                .turned(ended.at());
        boolean partial = onCharge != null && onCharge.kind().isPartial() && ended.ending() != Ending.FULL;
        if (!ended.ending().isBeforeFull() && !partial && FullSign.isEvidence(signs)) {
            return after.full(new Full(Answer.YES, ended.at(), signs)).toTheTop(ended.at());
        }
        Full now = ended.ending().isBeforeFull() || partial
                ? beforeFull(ended)
                : full.isYes() ? full : Full.unknown(ended.at(), signs);
        return after.full(now)
                .missing(missing.less(ended.returned()))
                .range(putBack(ended, sheet, now))
                .facts();
    }

    /** One that was full and is charged a little more stays full; any other is not. */
    private Full beforeFull(ChargeEnded ended) {
        return full.isYes() ? full : Full.no(ended.at());
    }

    private ChargeRange putBack(ChargeEnded ended, Sheet sheet, Full now) {
        if (now.isYes()) {
            return range;
        }
        AmpHours returned = ended.returned();
        if (returned == null) {
            double likely = ended.ending() == Ending.UNSTATED || ended.ending() == Ending.FULL ? 0.9 : range.likely();
            return new ChargeRange(range.low(), likely, 1, Basis.PART_CHARGE, ended.at());
        }
        double in = returned.ampHours() / sheet.capacity();
        return range.moved(KEPT_LEAST * in, KEPT_LIKELY * in, KEPT_MOST * in, Basis.PART_CHARGE, ended.at());
    }

    /** What was said to speak for full, and the balance of Ah where it is on record. */
    private Set<FullSign> signs(ChargeEnded ended, Sheet sheet) {
        EnumSet<FullSign> signs = EnumSet.noneOf(FullSign.class);
        signs.addAll(ended.signs());
        AmpHours returned = ended.returned();
        double wanted = missing.ampHours() * sheet.rules().percent(RuleKey.RETURN_LEAST) / 100.0;
        boolean isBack =
                returned != null && missing.isKnown() && missing.ampHours() > 0 && returned.ampHours() >= wanted;
        if (isBack) {
            signs.add(FullSign.RETURNED);
        } else if (returned != null && missing.isKnown() && missing.ampHours() > 0) {
            // Said to be back, and by the record it is not.
            signs.remove(FullSign.RETURNED);
        }
        return signs;
    }

    /** It follows a full charge; after work it could not make up for one. */
    private ChargeFacts equalised(Equalised equalising) {
        Edit after = with().onCharge(null)
                .equalised(equalising.at())
                .chargeEnded(equalising.at(), Ending.FULL)
                .turned(equalising.at());
        if (full.isNo()) {
            return after.full(Full.unknown(equalising.at(), Set.of())).facts();
        }
        EnumSet<FullSign> signs = EnumSet.of(FullSign.EQUALISED);
        signs.addAll(full.signs());
        return after.full(new Full(Answer.YES, equalising.at(), signs)).toTheTop(equalising.at());
    }

    private ChargeFacts stoodFlat(StoodFlat flat) {
        return with().full(Full.no(flat.at()))
                .range(new ChargeRange(0, 0.05, FLAT_MOST, Basis.STOOD_FLAT, flat.at()))
                .missing(new Missing(missing.ampHours(), false))
                .stoodFlat(flat.at())
                .facts();
    }

    /**
     * A round that can be relied on anchors the charge.
     *
     * @param read the middle gravity of its cells and how many there are
     */
    public ChargeFacts afterReading(GravityRead read, Sheet sheet) {
        double likely = sheet.model().marks().scale().of(read.median()).percent() / 100.0;
        double either = read.isOfMostCells() ? GRAVITY_ERROR : FEW_CELLS_ERROR;
        ChargeRange anchored = ChargeRange.around(likely, either, Basis.GRAVITY, read.at());
        var tolerance = sheet.rules().points(RuleKey.FULL_TOLERANCE);
        boolean inWindow = read.isOfMostCells()
                && read.median().plus(tolerance).compareTo(sheet.model().marks().fullFrom()) >= 0;
        if (onCharge != null) {
            return with().range(anchored).facts();
        } else if (inWindow) {
            EnumSet<FullSign> signs = EnumSet.of(FullSign.GRAVITY);
            signs.addAll(full.isYes() ? full.signs() : Set.of());
            Instant since = full.isYes() && full.since() != null ? full.since() : read.at();
            return with().full(new Full(Answer.YES, since, signs))
                    .missing(Missing.NOTHING)
                    .range(new ChargeRange(FULL_LEAST, 1, 1, Basis.GRAVITY, read.at()))
                    .stoodFlat(null)
                    .facts();
        }
        return with().full(notInWindow(read, sheet)).range(anchored).facts();
    }

    /** A low reading takes the word back, unless it was taken on a full charge that does not reach its window. */
    private Full notInWindow(GravityRead read, Sheet sheet) {
        boolean wantsCharge = read.median().compareTo(sheet.model().marks().rechargeBelow()) < 0;
        boolean onFullCharge = read.state().isFull();
        boolean stays = full.isYes() ? onFullCharge || !wantsCharge : onFullCharge && !wantsCharge;
        return full.isNo() || stays ? full : Full.no(read.at());
    }

    /** @return as it is at a later moment, though nothing was told since */
    public ChargeFacts at(Instant now, Sheet sheet) {
        OnCharge running = onCharge;
        if (running != null && Duration.between(running.since(), now).compareTo(forgotten(running, sheet)) > 0) {
            return with().onCharge(null)
                    .full(Full.unknown(running.since(), Set.of()))
                    .range(new ChargeRange(range.low(), range.likely(), 1, Basis.PART_CHARGE, running.since()))
                    .facts();
        }
        Instant since = full.since();
        Duration good = sheet.rules().duration(RuleKey.FULL_GOOD_FOR);
        boolean stale = running == null
                && full.isYes()
                && since != null
                && Duration.between(lastShown(since), now).compareTo(good) > 0;
        Full known = stale ? new Full(Answer.UNKNOWN, since, full.signs()) : full;
        return with().full(known).range(stood(now)).facts();
    }

    /** What standing has taken out meanwhile. Source: the rule of thumb of {@code store.while}. */
    private ChargeRange stood(Instant now) {
        Instant at = range.at();
        double months = at == null ? 0 : Math.max(0, Duration.between(at, now).toHours() / HOURS_A_MONTH);
        return months == 0
                ? range
                : new ChargeRange(
                        range.low() - OLD_A_MONTH * months,
                        range.likely() - USUAL_A_MONTH * months,
                        range.high() - NEW_A_MONTH * months,
                        range.basis(),
                        at);
    }

    /** A later reading that shows it full is newer evidence than the charge. */
    private Instant lastShown(Instant since) {
        Instant at = range.at();
        return at != null && at.isAfter(since) && range.low() >= FULL_LEAST ? at : since;
    }

    private static Duration forgotten(OnCharge running, Sheet sheet) {
        Duration usual = sheet.rules().duration(RuleKey.CHARGE_LONGEST).multipliedBy(FORGOTTEN_AFTER);
        boolean isLong = running.kind() == ChargeKind.SULFATED || running.kind() == ChargeKind.INITIAL;
        return isLong && LONG_KINDS.compareTo(usual) > 0 ? LONG_KINDS : usual;
    }

    private Edit with() {
        return new Edit(this);
    }

    /** The same facts with some of them changed. */
    private static final class Edit {
        private Full full;
        private ChargeRange range;
        private @Nullable OnCharge onCharge;
        private Missing missing;
        private @Nullable Instant worked;
        private @Nullable Instant chargeEnded;
        private Ending ending;
        private @Nullable Instant equalised;
        private @Nullable Instant stoodFlat;
        private Cycles cycles;
        private @Nullable Instant turned;

        private Edit(ChargeFacts before) {
            full = before.full;
            range = before.range;
            onCharge = before.onCharge;
            missing = before.missing;
            worked = before.worked;
            chargeEnded = before.chargeEnded;
            ending = before.ending;
            equalised = before.equalised;
            stoodFlat = before.stoodFlat;
            cycles = before.cycles;
            turned = before.turned;
        }

        private Edit full(Full now) {
            full = now;
            return this;
        }

        private Edit range(ChargeRange now) {
            range = now;
            return this;
        }

        private Edit onCharge(@Nullable OnCharge now) {
            onCharge = now;
            return this;
        }

        private Edit missing(Missing now) {
            missing = now;
            return this;
        }

        private Edit worked(Instant at) {
            worked = at;
            return this;
        }

        private Edit chargeEnded(Instant at, Ending how) {
            chargeEnded = at;
            ending = how;
            return this;
        }

        private Edit equalised(Instant at) {
            equalised = at;
            return this;
        }

        private Edit stoodFlat(@Nullable Instant at) {
            stoodFlat = at;
            return this;
        }

        private Edit cycles(Cycles now) {
            cycles = now;
            return this;
        }

        private Edit turned(Instant at) {
            turned = at;
            return this;
        }

        /** Charged to the end: nothing is missing, and what it stood through is made good. */
        private ChargeFacts toTheTop(Instant at) {
            return range(new ChargeRange(FULL_LEAST, 1, 1, Basis.FULL_CHARGE, at))
                    .missing(Missing.NOTHING)
                    .stoodFlat(null)
                    .facts();
        }

        private ChargeFacts facts() {
            return new ChargeFacts(
                    full, range, onCharge, missing, worked, chargeEnded, ending, equalised, stoodFlat, cycles, turned);
        }
    }
}
