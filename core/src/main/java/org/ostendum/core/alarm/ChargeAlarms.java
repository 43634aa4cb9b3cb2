package org.ostendum.core.alarm;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.charge.TimeToFull;
import org.ostendum.core.device.ChargerStatus;
import org.ostendum.core.device.ChargerStatus.Trouble;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rules;

/** What is the matter with one charge. */
public final class ChargeAlarms {
    /** Beyond the late end of what its past says. */
    private static final Duration GRACE = Duration.ofHours(1);

    private final Watched watched;
    private final List<Alarm> alarms = new ArrayList<>();

    private ChargeAlarms(Watched watched) {
        this.watched = watched;
    }

    /**
     * A charge as it stands.
     *
     * @param about code of its battery, of the charger where nobody has said which
     * @param celsius of the electrolyte; null where nothing measures it
     * @param stopsAt temperature from which it is stopped
     * @param idle since when it has waited for current, or nothing has been plugged in; zero while current flows
     * @param whole how long it should take from its start; null where that is unknown
     * @param taken Ah out before it; null where nobody knows
     * @param ownCourse whether the charger follows its own course: a low current of so many hours ends when they do
     */
    public record Watched(
            String about,
            ChargerStatus status,
            @Nullable Celsius celsius,
            Celsius stopsAt,
            Duration idle,
            TimeToFull.@Nullable Estimate whole,
            @Nullable Double taken,
            boolean ownCourse,
            Rules rules) {}

    public static List<Alarm> of(Watched watched) {
        ChargeAlarms finder = new ChargeAlarms(watched);
        finder.temperature();
        finder.start();
        finder.end();
        return finder.alarms;
    }

    private void add(AlarmKind kind, Object... arguments) {
        alarms.add(Alarm.of(kind, watched.about(), arguments));
    }

    private void temperature() {
        Celsius now = watched.celsius();
        if (now != null
                && now.compareTo(watched.stopsAt()) >= 0
                && watched.status().state() != ChargerStatus.State.EMPTY) {
            add(AlarmKind.OVER_TEMPERATURE, watched.about(), now, watched.stopsAt());
        }
    }

    private void start() {
        ChargerStatus status = watched.status();
        if (status.trouble() == Trouble.LOCKOUT) {
            add(AlarmKind.LOCKOUT, watched.about(), status.volts());
        } else if (status.trouble() == Trouble.WRONG_VOLTAGE) {
            add(AlarmKind.WRONG_VOLTAGE, watched.about(), status.volts());
        } else if (status.trouble() == Trouble.NO_OUTPUT || isTooLong(ChargerStatus.State.WAITING)) {
            add(AlarmKind.NOT_STARTED, watched.about());
        } else if (isTooLong(ChargerStatus.State.EMPTY)) {
            add(AlarmKind.UNPLUGGED, watched.about());
        }
    }

    private boolean isTooLong(ChargerStatus.State idle) {
        return watched.status().state() == idle
                && watched.idle().compareTo(watched.rules().duration(RuleKey.STARTS_WITHIN)) >= 0;
    }

    private void end() {
        ChargerStatus status = watched.status();
        if (status.state().isCharging() && status.running().compareTo(longest()) > 0) {
            add(AlarmKind.NO_END, watched.about(), (int) status.running().toHours());
        }
        Double taken = watched.taken();
        if (status.state().isLampLit()
                && watched.ownCourse()
                && taken != null
                && status.ampHours().ampHours() < taken) {
            add(
                    AlarmKind.ENDED_EARLY,
                    watched.about(),
                    (int) Math.round(status.ampHours().ampHours()),
                    (int) Math.round(taken));
        }
    }

    /** The rule's hours, or what this battery's own past makes of it where that is sooner. */
    private Duration longest() {
        Duration rule = watched.rules().duration(RuleKey.CHARGE_LONGEST);
        TimeToFull.Estimate whole = watched.whole();
        if (whole == null || !whole.isLearned() || !watched.ownCourse()) {
            return rule;
        }
        Duration learned = whole.late().plus(GRACE);
        return learned.compareTo(rule) < 0 ? learned : rule;
    }
}
