package org.ostendum.core.alarm;

import java.util.Optional;
import org.ostendum.core.device.TagStatus;

/** The lamp of a level sensor: it watches one cell only, so that it says "look", not "fill". */
public final class LevelLamp {
    private LevelLamp() {}

    public static Optional<Alarm> of(String battery, TagStatus tag) {
        return tag.isLevelLow() ? Optional.of(Alarm.of(AlarmKind.LEVEL_LOW, battery, battery)) : Optional.empty();
    }
}
