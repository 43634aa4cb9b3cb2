package org.ostendum.core.alarm;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class AlarmKindTest {
    /** Gone with the charge: what cannot be any more once nothing charges. */
    @ParameterizedTest
    @CsvSource({
        "GAS_STOP, false, false",
        "GAS_HIGH, false, false",
        "FAN_OFF, false, false",
        "LEVEL_LOW, false, false",
        "LINE_SILENT, false, true",
        "NOT_HEARD, false, true",
        "OVER_TEMPERATURE, true, false",
        "NO_END, true, false",
        "ENDED_EARLY, true, false",
        "LOCKOUT, true, false",
        "WRONG_VOLTAGE, true, false",
        "NOT_STARTED, true, false",
        "UNPLUGGED, true, false"
    })
    void anAlarmIsOfOneChargeOrOfTheRoom(AlarmKind kind, boolean ofCharge, boolean ofSilence) {
        assertThat(kind.isOfCharge()).isEqualTo(ofCharge);
        assertThat(kind.isOfSilence()).isEqualTo(ofSilence);
    }
}
