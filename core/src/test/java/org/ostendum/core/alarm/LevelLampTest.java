package org.ostendum.core.alarm;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.ostendum.core.device.TagStatus;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.Volts;

class LevelLampTest {
    @Test
    void aSensorThatHangsDryRings() {
        assertThat(LevelLamp.of("T-1", tag(true)).map(Alarm::kind)).contains(AlarmKind.LEVEL_LOW);
        assertThat(LevelLamp.of("T-1", tag(false))).isEmpty();
    }

    private static TagStatus tag(boolean low) {
        return new TagStatus(1, 7, Volts.of(36), -20, Celsius.of(25), low);
    }
}
