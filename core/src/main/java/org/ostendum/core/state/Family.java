package org.ostendum.core.state;

import org.ostendum.core.judge.Finding;
import org.ostendum.core.judge.FindingCode;

/**
 * Findings that tell the same matter with a different cause: a low cell may be called weak first and a short later. They
 * follow each other instead of standing side by side.
 *
 * @see #clearedAfter
 */
enum Family {
    LOW_CELL("weak-cells", 2, true),
    LEVEL("dry-cells", 1, false),
    OVER("overfilled-cells", 1, false),
    COLOUR("colour-of-sample", 3, false),
    THIRSTY_CELL("thirsty-cells", 3, false),
    UNDERCHARGED("full-window", 2, true),
    UNEVEN("evenness", 1, true),
    STRATIFIED("layered-acid", 2, true),
    THIRST("thirsty-battery", 3, false),
    WORN("worn-battery", 3, false),
    HOT("hot-battery", 1, false),
    HIGH("high-cells", 1, false),
    FREEZING("freezing", 1, false),
    TAP("tapped-blocks", 3, true),
    /** About one round and no longer. */
    READING("", 0, false);

    private final String question;
    private final int clearedAfter;
    private final boolean onFullOnly;

    Family(String question, int clearedAfter, boolean onFullOnly) {
        this.question = question;
        this.clearedAfter = clearedAfter;
        this.onFullOnly = onFullOnly;
    }

    /** @return the judge's question that could have raised it again */
    String question() {
        return question;
    }

    /** @return rounds running that could have shown it and did not, until it is settled */
    int clearedAfter() {
        return clearedAfter;
    }

    /** @return whether only a full battery shows it */
    boolean isOnFullOnly() {
        return onFullOnly;
    }

    static Family of(Finding finding) {
        return of(finding.code());
    }

    static Family of(FindingCode code) {
        return switch (code) {
            case CELL_WEAK, CELL_SHORT, CELL_SULFATED, CELL_DILUTED -> LOW_CELL;
            case CELL_DRY -> LEVEL;
            case CELL_OVERFILLED -> OVER;
            case CELL_COLOUR -> COLOUR;
            case CELL_THIRSTY -> THIRSTY_CELL;
            case BATTERY_UNDERCHARGED, BATTERY_SULFATED -> UNDERCHARGED;
            case BATTERY_UNEVEN -> UNEVEN;
            case BATTERY_STRATIFIED -> STRATIFIED;
            case BATTERY_THIRSTY -> THIRST;
            case BATTERY_WORN -> WORN;
            case BATTERY_HOT -> HOT;
            case PACK_TAP -> TAP;
            case CELL_CONCENTRATED -> HIGH;
            case BATTERY_FREEZING -> FREEZING;
            case READING_IMPOSSIBLE, READING_UNRELIABLE, BLOCK_LOW, BLOCK_REVERSED, VOLTAGE_DISAGREES -> READING;
        };
    }
}
