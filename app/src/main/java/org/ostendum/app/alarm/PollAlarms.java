package org.ostendum.app.alarm;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.ostendum.app.alarm.Alarms.Belongs;
import org.ostendum.core.alarm.Alarm;
import org.ostendum.core.alarm.AlarmKind;

/** What one poll came to: which alarms could be judged at all, and which of them ring. */
public final class PollAlarms {
    private final Set<String> asked = new HashSet<>();
    private final Map<String, Alarm> ringing = new HashMap<>();
    private Set<Long> onCharge = Set.of();
    private final Map<String, Belongs> belongs = new HashMap<>();

    static String key(AlarmKind kind, String about) {
        return kind + " " + about;
    }

    public void add(List<AlarmKind> kinds, String about, List<Alarm> alarms, Alarms.Belongs to) {
        kinds.forEach(kind -> asked.add(key(kind, about)));
        for (Alarm alarm : alarms) {
            String key = key(alarm.kind(), alarm.about());
            ringing.put(key, alarm);
            belongs.put(key, to);
        }
    }

    /** @param batteries that are on charge: of no other can a charge be amiss */
    public void onCharge(Set<Long> batteries) {
        onCharge = Set.copyOf(batteries);
    }

    /** @return whether it was judged and does not ring */
    boolean isQuiet(StandingAlarm alarm) {
        String key = alarm.key();
        return !ringing.containsKey(key) && (asked.contains(key) || isOfAnEndedCharge(alarm));
    }

    private boolean isOfAnEndedCharge(StandingAlarm alarm) {
        Long battery = alarm.batteryId();
        return battery != null && alarm.kind().isOfCharge() && !onCharge.contains(battery);
    }

    boolean rings(String key) {
        return ringing.containsKey(key);
    }

    List<Alarm> ringing() {
        return new ArrayList<>(ringing.values());
    }

    Belongs belongs(Alarm alarm) {
        return belongs.getOrDefault(key(alarm.kind(), alarm.about()), new Belongs(null, null, null));
    }
}
