package org.ostendum.core.water;

import java.time.Duration;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rules;

/**
 * Which water may be poured. Practice {@code water.what}: purified; tap water only where the site has had it analysed, lately
 * and within the limits.
 *
 * @param found days since the analysis, or mg for each litre, by the reason
 * @param limit likewise
 */
public record WaterQuality(Reason reason, double found, double limit) {
    public enum Reason {
        /** Nobody has analysed the tap's water. */
        PURIFIED,
        /** It may be used. */
        TAP,
        OLD,
        CHLORIDE,
        IRON,
        RESIDUE
    }

    /**
     * An analysis of the tap's water, mg for each litre.
     *
     * @param residue of everything that is left when it is boiled away
     */
    public record Analysis(Instant at, double chloride, double iron, double residue) {}

    public boolean isTap() {
        return reason == Reason.TAP;
    }

    /** @param analysis the newest; null for none */
    public static WaterQuality of(@Nullable Analysis analysis, Instant now, Rules rules) {
        if (analysis == null) {
            return new WaterQuality(Reason.PURIFIED, 0, 0);
        }
        double chloride = rules.number(RuleKey.WATER_CHLORIDE);
        double iron = rules.number(RuleKey.WATER_IRON);
        double residue = rules.number(RuleKey.WATER_RESIDUE);
        long days = Duration.between(analysis.at(), now).toDays();
        double goodFor = rules.number(RuleKey.WATER_ANALYSIS);
        if (analysis.chloride() > chloride) {
            return new WaterQuality(Reason.CHLORIDE, analysis.chloride(), chloride);
        } else if (analysis.iron() > iron) {
            return new WaterQuality(Reason.IRON, analysis.iron(), iron);
        } else if (analysis.residue() > residue) {
            return new WaterQuality(Reason.RESIDUE, analysis.residue(), residue);
        }
        return new WaterQuality(days > goodFor ? Reason.OLD : Reason.TAP, days, goodFor);
    }
}
