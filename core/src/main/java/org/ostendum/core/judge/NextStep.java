package org.ostendum.core.judge;

import java.util.Locale;
import org.jspecify.annotations.Nullable;

/** The job a finding or a date asks for, the most pressing first. */
public enum NextStep {
    COVER_PLATES("cover-plates"),
    COOL(null),
    RIGHT_DEFECT(null),
    /** It is planned, and the battery held until then: what can be put right at once goes before it. */
    REPAIR_CELL("cell-repair"),
    COMMISSION("commission-dry"),
    COMPARE_HYDROMETER("hydrometer"),
    READ_AGAIN("round"),
    READ_CHARGE_VOLTS("volts"),
    DRAW_OFF("draw-off"),
    CHARGE("charge"),
    EQUALISE("equalise"),
    LONG_CHARGE("equalise-sulfated"),
    CHECK_CHARGER("check-charger"),
    LOOK_AT_KIT("kit-look"),
    WORK_UP("complaint"),
    READ_AFTER_EQUALISE("round"),
    WATER("water"),
    ADJUST_ACID("acid-adjust"),
    MOVE_TAP("rotate-blocks"),
    TEST_CAPACITY("capacity"),
    TAKE_ROUND("round"),
    WASH("wash"),
    NONE(null);

    private final @Nullable String job;

    NextStep(@Nullable String job) {
        this.job = job;
    }

    /** @return the procedure that does it, {@code round}, {@code volts} or {@code hydrometer} for readings; null where none does */
    public @Nullable String job() {
        return job;
    }

    /** @return the word programs outside know it by */
    public String word() {
        return this == TAKE_ROUND ? "round" : name().toLowerCase(Locale.ROOT);
    }

    /** @return whether it is done with a hydrometer */
    public boolean isReading() {
        return this == COMPARE_HYDROMETER || this == READ_AGAIN || this == READ_AFTER_EQUALISE || this == TAKE_ROUND;
    }

    /** @return whether current flows into the battery for it */
    public boolean isCharge() {
        return this == CHARGE || this == EQUALISE || this == LONG_CHARGE || this == COMMISSION;
    }
}
