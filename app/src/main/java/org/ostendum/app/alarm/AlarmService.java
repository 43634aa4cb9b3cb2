package org.ostendum.app.alarm;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.live.LiveEvents;
import org.ostendum.core.alarm.Alarm;
import org.ostendum.core.alarm.AlarmKind;
import org.springframework.stereotype.Service;

/**
 * Raises alarms and clears them. One that rings or falls quiet must do so in two rounds running, for a word may be
 * rustle; only silence speaks for itself.
 */
@Service
public class AlarmService {
    private final Alarms alarms;
    private final Clock clock;
    private final LiveEvents live;
    private volatile List<StandingAlarm> open = List.of();
    private @Nullable PollAlarms before;

    AlarmService(Alarms alarms, Clock clock, LiveEvents live) {
        this.alarms = alarms;
        this.clock = clock;
        this.live = live;
    }

    /** @return those that stand or that nobody has acknowledged, as of the last poll */
    public List<StandingAlarm> open() {
        return open;
    }

    /** @return those nobody has acknowledged, the gravest first */
    public List<StandingAlarm> ringing() {
        return open.stream()
                .filter(alarm -> !alarm.isAcknowledged())
                .sorted((a, b) -> a.kind().compareTo(b.kind()))
                .toList();
    }

    public void reconcile(PollAlarms now) {
        Instant at = clock.instant();
        List<StandingAlarm> known = alarms.open();
        Set<String> standing = known.stream()
                .filter(StandingAlarm::stands)
                .map(StandingAlarm::key)
                .collect(Collectors.toSet());
        boolean changed = false;
        for (Alarm alarm : now.ringing()) {
            String key = PollAlarms.key(alarm.kind(), alarm.about());
            if (!standing.contains(key) && isConfirmed(alarm.kind(), key)) {
                changed |= alarms.raise(alarm, now.belongs(alarm), at);
            }
        }
        for (StandingAlarm alarm : known) {
            if (alarm.stands() && now.isQuiet(alarm) && wasQuiet(alarm)) {
                alarms.clear(alarm.id(), at);
                changed = true;
            }
        }
        before = now;
        open = changed ? alarms.open() : known;
        if (changed) {
            live.alarms();
        }
    }

    /** Raises one that no device has told, so that no second word is waited for. */
    public void ring(Alarm alarm, Alarms.Belongs belongs) {
        if (alarms.raise(alarm, belongs, clock.instant())) {
            changed();
        }
    }

    /** Clears those of a kind that stand about something else than what rings still. */
    public void quiet(AlarmKind kind, Set<String> ringing) {
        List<StandingAlarm> gone = alarms.open().stream()
                .filter(alarm -> alarm.kind() == kind && alarm.stands() && !ringing.contains(alarm.about()))
                .toList();
        gone.forEach(alarm -> alarms.clear(alarm.id(), clock.instant()));
        if (!gone.isEmpty()) {
            changed();
        }
    }

    /** Clears one because a person has seen to its cause, so that nobody has to acknowledge it any more. */
    public void settle(AlarmKind kind, String about, long personId) {
        String key = PollAlarms.key(kind, about);
        for (StandingAlarm alarm : alarms.open()) {
            if (alarm.key().equals(key)) {
                alarms.acknowledge(alarm.id(), personId, clock.instant(), null);
                alarms.clear(alarm.id(), clock.instant());
            }
        }
        changed();
    }

    private void changed() {
        open = alarms.open();
        live.alarms();
    }

    private boolean isConfirmed(AlarmKind kind, String key) {
        PollAlarms last = before;
        return kind.isOfSilence() || (last != null && last.rings(key));
    }

    private boolean wasQuiet(StandingAlarm alarm) {
        PollAlarms last = before;
        return alarm.kind().isOfSilence() || (last != null && last.isQuiet(alarm));
    }

    /** @return whether nobody had before */
    boolean acknowledge(long id, long personId, @Nullable String done) {
        boolean first = alarms.acknowledge(id, personId, clock.instant(), done);
        open = alarms.open();
        live.alarms();
        return first;
    }

    List<StandingAlarm> past(int most) {
        return alarms.past(most);
    }
}
