package org.ostendum.core.alarm;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import org.ostendum.core.device.AirStatus;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rules;

/** What is the matter with a room's air. */
public final class AirAlarms {
    private AirAlarms() {}

    /**
     * @param room its name
     * @param charging batteries on charge in it
     */
    public static List<Alarm> of(String room, AirStatus air, int charging, Rules rules) {
        List<Alarm> alarms = new ArrayList<>();
        BigDecimal percent = BigDecimal.valueOf(Math.round(air.fraction() * 10_000), 2);
        if (percent.compareTo(rules.value(RuleKey.HYDROGEN_STOP)) >= 0) {
            alarms.add(Alarm.of(AlarmKind.GAS_STOP, room, room, percent));
        } else if (percent.compareTo(rules.value(RuleKey.HYDROGEN_ALARM)) >= 0) {
            alarms.add(Alarm.of(AlarmKind.GAS_HIGH, room, room, percent));
        }
        if (!air.isFanOn() && charging > 0) {
            alarms.add(Alarm.of(AlarmKind.FAN_OFF, room, room, charging));
        }
        return alarms;
    }
}
