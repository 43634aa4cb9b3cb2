package org.ostendum.core.state;

import java.time.Duration;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.judge.Gravities;
import org.ostendum.core.judge.PastRound;
import org.ostendum.core.measure.Doubt;
import org.ostendum.core.measure.Reliability;
import org.ostendum.core.measure.Round;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.state.fact.Facts;
import org.ostendum.core.state.fact.GravityRead;
import org.ostendum.core.state.fact.Heat;
import org.ostendum.core.state.fact.Sheet;

/** What a round does to the facts, and what they say of the round: whether its gravities can be relied on. */
final class RoundFold {
    /** A site that has not written down a charge for so long writes none down. */
    private static final Duration LOGS_WITHIN = Duration.ofDays(30);
    /** A charge and its cooling at least. */
    private static final Duration CHARGE_BETWEEN = Duration.ofHours(8);

    private RoundFold() {}

    /** @return the round with the reasons to doubt it, by the facts before it */
    static PastRound resolve(Round round, Facts before, Sheet sheet) {
        Facts known = mixing(round, before);
        return new PastRound(
                round,
                Reliability.doubts(
                        round,
                        known.water().watered() == null ? null : known.water().mixed(),
                        known.charge().chargeEnded(),
                        sheet.rules()));
    }

    static Facts after(PastRound past, Facts before, Sheet sheet) {
        Round round = past.round();
        Facts now = mixing(round, before);
        Gravities gravities = past.gravities(sheet.rules().temperatureCorrection());
        now = now.with(now.water().afterLooking(round, sheet));
        now = now.with(now.care().afterRound(round, lowest(gravities, past)));
        Celsius warmest = round.warmest();
        if (warmest != null) {
            now = now.with(now.condition().with(new Heat(warmest, round.takenAt())));
        }
        boolean readable = past.isSound() && !gravities.isEmpty();
        return readable ? now.with(now.charge().afterReading(read(round, gravities, sheet), sheet)) : now;
    }

    private static @Nullable CorrectedGravity lowest(Gravities gravities, PastRound past) {
        boolean falls = past.doubts().contains(Doubt.AFTER_WATER);
        return gravities.isEmpty() || falls ? null : gravities.lowest();
    }

    private static GravityRead read(Round round, Gravities gravities, Sheet sheet) {
        return new GravityRead(
                round.takenAt(),
                round.state(),
                gravities.median(),
                2 * gravities.count() > sheet.model().cells());
    }

    /** Where no charge is ever written down, a round on a full battery hours after the water tells that there was one. */
    private static Facts mixing(Round round, Facts before) {
        Instant watered = before.water().watered();
        Instant charged = before.charge().chargeEnded();
        boolean unlogged =
                charged == null || Duration.between(charged, round.takenAt()).compareTo(LOGS_WITHIN) > 0;
        boolean longAfter =
                watered != null && Duration.between(watered, round.takenAt()).compareTo(CHARGE_BETWEEN) >= 0;
        return unlogged && longAfter && round.state().isFull()
                ? before.with(before.water().mixedByUnlogged())
                : before;
    }
}
