package org.ostendum.core.alarm;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * Devices of which nothing sensible has been heard: what they watch is unwatched. When a whole line is silent that is one
 * alarm, about the line.
 */
public final class Silence {
    /** So long a cable may be out for a moment. */
    public static final Duration PATIENCE = Duration.ofMinutes(1);

    private Silence() {}

    /**
     * How long one device has said nothing sensible.
     *
     * @param device how the site calls it
     * @param line on which it hangs
     */
    public record Unheard(String device, String line, Duration since) {
        private int minutes() {
            return (int) since.toMinutes();
        }
    }

    /**
     * @param devices all that should be heard
     * @param patience from how long on silence is told, above zero
     */
    public static List<Alarm> of(List<Unheard> devices, Duration patience) {
        Map<String, List<Unheard>> lines =
                devices.stream().collect(Collectors.groupingBy(Unheard::line, TreeMap::new, Collectors.toList()));
        List<Alarm> alarms = new ArrayList<>();
        lines.forEach((line, on) -> {
            if (isSilent(on, patience)) {
                int minutes = on.stream().mapToInt(Unheard::minutes).max().orElse(0);
                alarms.add(Alarm.of(AlarmKind.LINE_SILENT, line, line, on.size(), minutes));
            } else {
                on.stream()
                        .filter(u -> u.since().compareTo(patience) >= 0)
                        .forEach(u -> alarms.add(Alarm.of(AlarmKind.NOT_HEARD, u.device(), u.device(), u.minutes())));
            }
        });
        return alarms;
    }

    /** Its devices fall silent one after the other as they are asked, so that one speaks for those that follow. */
    private static boolean isSilent(List<Unheard> on, Duration patience) {
        return on.size() > 1
                && on.stream().anyMatch(u -> u.since().compareTo(patience) >= 0)
                && on.stream().allMatch(u -> u.since().compareTo(patience.dividedBy(2)) >= 0);
    }
}
