package org.ostendum.app.notice;

import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.ostendum.app.alarm.Alarms;
import org.ostendum.app.alarm.StandingAlarm;
import org.ostendum.app.page.Wording;
import org.ostendum.app.people.People;
import org.ostendum.app.words.Words;
import org.ostendum.core.alarm.Telling;
import org.ostendum.core.people.Person;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;

/**
 * Tells those who do not look. What is to be told follows from the alarms on record alone, so that a start begins where the
 * last stop left off; each alarm is told once by each rule, tried again where it did not go out, and no more once somebody
 * has seen it or its cause is gone.
 */
@Service
class NoticeService {
    private static final Logger LOG = LoggerFactory.getLogger(NoticeService.class);

    private final Notices notices;
    private final Alarms alarms;
    private final People people;
    private final Wording wording;
    private final Clock clock;
    private final ZoneId zone;
    private final Map<NoticeRule.Way, Sending> ways = new EnumMap<>(NoticeRule.Way.class);

    NoticeService(
            Notices notices,
            Alarms alarms,
            People people,
            Wording wording,
            Clock clock,
            ZoneId zone,
            List<Sending> sendings) {
        this.notices = notices;
        this.alarms = alarms;
        this.people = people;
        this.wording = wording;
        this.clock = clock;
        this.zone = zone;
        sendings.forEach(sending -> ways.put(sending.way(), sending));
    }

    boolean isOpen(NoticeRule.Way way) {
        return sending(way).isOpen();
    }

    private Sending sending(NoticeRule.Way way) {
        return java.util.Objects.requireNonNull(ways.get(way));
    }

    @Scheduled(fixedDelayString = "${ostendum.notices.every}")
    void tell() {
        List<NoticeRule> rules = notices.rules();
        if (rules.isEmpty()) {
            return;
        }
        List<StandingAlarm> unseen = alarms.open().stream()
                .filter(a -> a.stands() && !a.isAcknowledged())
                .toList();
        for (NoticeRule rule : rules) {
            Optional<Person> reader = people.byId(rule.personId()).filter(Person::active);
            reader.ifPresent(person ->
                    unseen.stream().filter(alarm -> isDue(rule, alarm)).forEach(alarm -> tell(rule, alarm, person)));
        }
    }

    private boolean isDue(NoticeRule rule, StandingAlarm alarm) {
        return !alarm.raisedAt().isBefore(rule.madeAt())
                && rule.telling().isDue(alarm.kind(), alarm.raisedAt(), clock.instant(), zone);
    }

    private void tell(NoticeRule rule, StandingAlarm alarm, Person reader) {
        Notices.Progress progress = notices.progress(alarm.id(), rule.id());
        Instant next = progress.nextAt();
        if (progress.sent() || next == null || next.isAfter(clock.instant())) {
            return;
        }
        Words words = wording.of(reader);
        try {
            sending(rule.way())
                    .send(
                            rule.address(),
                            new NoticeMessage(
                                    alarm.kind().name(),
                                    alarm.kind().severity().name(),
                                    alarm.about(),
                                    words.say(alarm.sentence()),
                                    alarm.raisedAt(),
                                    words.text("notice.subject", words.name(alarm.kind()), alarm.about())));
            notices.sent(progress.id());
        } catch (Sending.SendingFailed e) {
            int tries = progress.tries() + 1;
            LOG.warn(
                    "Alarm {} could not be told to {}, try {} of {}: {}",
                    alarm.id(),
                    rule.address(),
                    tries,
                    Telling.MOST_TRIES,
                    e.getMessage());
            notices.failed(progress.id(), tries, String.valueOf(e.getMessage()));
        }
    }

    /** @return what the other side said where a trial did not arrive; empty where it did */
    Optional<String> trial(NoticeRule rule, Person reader) {
        Words words = wording.of(reader);
        try {
            sending(rule.way())
                    .send(
                            rule.address(),
                            new NoticeMessage(
                                    "trial",
                                    "FIT",
                                    "",
                                    words.text("notice.trial"),
                                    clock.instant(),
                                    words.text("notice.trial.subject")));
            return Optional.empty();
        } catch (Sending.SendingFailed e) {
            return Optional.of(String.valueOf(e.getMessage()));
        }
    }
}
