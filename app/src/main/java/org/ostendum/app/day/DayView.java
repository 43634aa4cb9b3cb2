package org.ostendum.app.day;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.ostendum.app.alarm.StandingAlarm;
import org.ostendum.app.battery.LedgerLine;
import org.ostendum.app.incident.Incident;
import org.ostendum.core.next.NextThing;

/**
 * A day on one sheet.
 *
 * @param count of the lines written
 * @param most lines that are told
 * @param byBattery the lines in the order of the day, by the battery's code
 * @param underWay jobs, with who has them
 * @param rounds who takes a round, by the battery's code
 * @param things the most urgent of what is to be done
 * @param waiting how many things are in all
 */
record DayView(
        LocalDate day,
        int count,
        int most,
        Map<String, List<LedgerLine>> byBattery,
        List<UnderWay> underWay,
        Map<String, String> rounds,
        List<StandingAlarm> alarms,
        List<Incident> incidents,
        List<NextThing> things,
        int waiting) {
    /** Something open and who has it. */
    record UnderWay(String where, String what, String holder, Instant since, String path) {}
}
