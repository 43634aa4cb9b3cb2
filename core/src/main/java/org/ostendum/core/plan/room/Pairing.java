package org.ostendum.core.plan.room;

/**
 * A battery on a charger; a pair that is not listed does not go together. A charge lasts {@code finishMinutes + minutesPerAh × missing
 * Ah}.
 *
 * @param spread standard deviation of the length's logarithm, 0 and up; the length above is the one that one charge in twenty passes
 */
public record Pairing(String battery, String charger, double minutesPerAh, double finishMinutes, double spread) {
    public Pairing(String battery, String charger, double minutesPerAh, double finishMinutes) {
        this(battery, charger, minutesPerAh, finishMinutes, Lateness.USUAL_SPREAD);
    }

    /** @return whole seconds of the charge that puts so much back */
    public long seconds(double missingAh) {
        return Math.round(60 * (finishMinutes + minutesPerAh * missingAh));
    }
}
