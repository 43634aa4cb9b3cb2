package org.ostendum.core.complaint;

import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.defect.DefectKind;

/** What may stand behind a complaint. */
public enum Cause {
    LOW_LEVEL(DefectKind.LOW_LEVEL),
    DIRTY_TOP(DefectKind.DIRTY_TOP),
    /** Loose, grown over, or worn. */
    BAD_CONNECTION(DefectKind.LOOSE_POST),
    /** Its charges are broken off or too short. */
    UNDERCHARGED(null),
    WEAK_CELL(null),
    /** It stood empty. */
    SULFATED(null),
    WORN_OUT(null),
    CHARGER_GIVES_TOO_LITTLE(null),
    CHARGER_GIVES_TOO_MUCH(null),
    /** So flat that its charger does not begin. */
    TOO_FLAT(null),
    /** Brakes, motor, controller: not the battery. */
    MACHINE(null),
    /** It is asked for more than it was bought for. */
    HARD_WORK(null);

    private final @Nullable DefectKind defect;

    Cause(@Nullable DefectKind defect) {
        this.defect = defect;
    }

    /** @return the defect that it is, once found; empty for what is none */
    public Optional<DefectKind> defect() {
        return Optional.ofNullable(defect);
    }
}
