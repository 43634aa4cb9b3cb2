package org.ostendum.app.incident;

import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.alarm.AlarmService;
import org.ostendum.app.alarm.Alarms.Belongs;
import org.ostendum.app.incident.Incident.Course;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.app.report.DefectReports;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.words.Words;
import org.ostendum.core.alarm.Alarm;
import org.ostendum.core.alarm.AlarmKind;
import org.ostendum.core.defect.DefectKind;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.judge.Message;
import org.ostendum.core.people.Person;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * A report written, in the ledger of the battery it was at, and told as an alarm until a lead has closed it. A battery that it may have
 * broken is neither charged nor sent to work until somebody has looked it over.
 */
@Component
class IncidentReports {
    private static final int LONGEST_TOLD = 120;

    private final Incidents incidents;
    private final BatteryRecord batteryRecord;
    private final DefectReports defects;
    private final AlarmService alarms;

    IncidentReports(Incidents incidents, BatteryRecord batteryRecord, DefectReports defects, AlarmService alarms) {
        this.incidents = incidents;
        this.batteryRecord = batteryRecord;
        this.defects = defects;
        this.alarms = alarms;
    }

    /** @return number of the report; of one that was sent before, the number it has */
    @Transactional
    public long report(IncidentForm form, Course course, @Nullable Battery battery, Person person, Words words) {
        String key = form.key();
        Optional<Incident> sent = key == null ? Optional.empty() : incidents.ofForm(key);
        return sent.map(Incident::id).orElseGet(() -> first(form, course, battery, person, words));
    }

    private long first(IncidentForm form, Course course, @Nullable Battery battery, Person person, Words words) {
        long id = incidents.add(form.job(), form.key(), course, form.lesson(), person.id());
        if (battery != null) {
            note(
                    battery,
                    course.at(),
                    words.text("incident.ledger", id, words.name(course.kind()), course.what()),
                    person);
            keepBack(battery, id, course, person, words);
        }
        int hurt = Objects.requireNonNullElse(course.hurt(), 0);
        Message sentence = Message.of("alarm.INCIDENT", hurt, course.place(), shortened(course.what()));
        alarms.ring(
                new Alarm(AlarmKind.INCIDENT, Long.toString(id), sentence),
                new Belongs(course.batteryId(), null, null));
        return id;
    }

    /** @return whether it could be written: it was open, and nobody had written it since it was read */
    @Transactional
    public boolean rewrite(
            Incident before, IncidentForm form, Course course, @Nullable Battery battery, Person person, Words words) {
        boolean written = incidents.rewrite(before.id(), form, course);
        if (written && battery != null && !wasKeptBack(before.course(), battery)) {
            keepBack(battery, before.id(), course, person, words);
        }
        return written;
    }

    /** Since then it may have been looked over. */
    private static boolean wasKeptBack(Course before, Battery battery) {
        return before.kind().mayBreakBattery() && Objects.equals(before.batteryId(), battery.id());
    }

    private void keepBack(Battery battery, long incident, Course course, Person person, Words words) {
        if (course.kind().mayBreakBattery()) {
            String why = words.text("incident.ledger", incident, words.name(course.kind()), shortened(course.what()));
            defects.report(battery, DefectKind.AFTER_INCIDENT, why, person, words);
        }
    }

    /** @return what whoever reports it does with a battery before anything else; empty for nothing */
    public String atOnce(@Nullable Battery battery, Words words) {
        return battery == null ? "" : defects.atOnce(battery, words);
    }

    /** @return whether it could be closed: it was open, and nobody had written it since it was read */
    @Transactional
    public boolean close(Incident incident, int version, String review, Person person) {
        boolean closed = incidents.close(incident.id(), version, review, person.id());
        if (closed) {
            alarms.settle(AlarmKind.INCIDENT, Long.toString(incident.id()), person.id());
        }
        return closed;
    }

    /** An alarm stands on every page and goes out as a message: the whole is read on the report. */
    private static String shortened(String what) {
        return what.length() <= LONGEST_TOLD ? what : what.substring(0, LONGEST_TOLD) + "…";
    }

    private void note(Battery battery, Instant at, String told, Person person) {
        batteryRecord.lock(battery);
        batteryRecord.record(battery, List.of(NewEntry.of(EntryKind.NOTE, at, person.id(), null, told)));
    }
}
