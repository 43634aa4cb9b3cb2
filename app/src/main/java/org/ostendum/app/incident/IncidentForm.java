package org.ostendum.app.incident;

import jakarta.validation.constraints.PastOrPresent;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Needed;
import org.ostendum.app.form.Text;
import org.ostendum.app.form.Within;
import org.ostendum.app.incident.Incident.Course;
import org.ostendum.app.incident.Incident.Lesson;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.words.Words;
import org.ostendum.core.safety.IncidentKind;

/**
 * The report of an incident as typed.
 *
 * @param job number of the job that answered it; null for none
 * @param key by which the form is known when it is sent twice
 * @param at when it was, as people say it; nothing for just now
 * @param battery code of the battery it was at; empty for none
 * @param litres that ran out; null where nobody can say
 * @param hurt how many people, 0 for nobody
 * @param helped what was done for them
 * @param kit day on which the kit was filled again; null for not yet
 * @param review a lead's last word; only asked where he closes it
 * @param version of the report as it was shown
 */
record IncidentForm(
        @Nullable Long job,
        @Nullable String key,
        @Needed(message = Needed.CHOICE) @Nullable IncidentKind kind,
        @Nullable String at,
        @Needed @Text(max = SHORT) String place,
        @Nullable String battery,
        @Within(min = "0", max = "9999") @Nullable Double litres,
        @Needed @Within(min = "0", max = "99") @Nullable Integer hurt,
        @Needed @Text(max = LONGEST) String what,
        @Text(max = LONGEST) @Nullable String helped,
        @Text(max = LONGEST) @Nullable String cause,
        @Text(max = LONGEST) @Nullable String corrective,
        @Text(max = LONGEST) @Nullable String prevention,
        @PastOrPresent(message = "{fault.date.future}") @Nullable LocalDate kit,
        @Nullable String review,
        @Nullable Integer version) {
    static final int LONGEST = 1000;
    private static final int SHORT = 120;
    private static final DateTimeFormatter MOMENT = DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm", Locale.ROOT);

    /** An empty form. */
    static IncidentForm blank(@Nullable Long job, @Nullable IncidentKind kind, @Nullable String battery) {
        String key = UUID.randomUUID().toString();
        return new IncidentForm(job, key, kind, "", "", battery, null, null, "", "", "", "", "", null, "", 0);
    }

    static IncidentForm of(Incident incident, @Nullable String review, Words words) {
        Course course = incident.course();
        Lesson lesson = incident.lesson();
        return new IncidentForm(
                incident.jobId(),
                null,
                course.kind(),
                MOMENT.format(course.at().atZone(words.zone())),
                course.place(),
                course.battery(),
                course.litres() == null ? null : (Double) course.litres().doubleValue(),
                course.hurt(),
                course.what(),
                course.aid(),
                lesson.cause(),
                lesson.corrective(),
                lesson.prevention(),
                lesson.kitRefilledOn(),
                review,
                incident.version());
    }

    /** @return whether somebody was hurt and nothing is said of what was done for him */
    boolean lacksAid() {
        return hurt != null && hurt > 0 && (helped == null || helped.isBlank());
    }

    Course course(Instant happened, @Nullable Battery known) {
        return new Course(
                Objects.requireNonNull(kind),
                happened,
                place,
                known == null ? null : (Long) known.id(),
                known == null ? null : known.code(),
                litres == null ? null : BigDecimal.valueOf(litres),
                hurt,
                what,
                text(helped));
    }

    Lesson lesson() {
        return new Lesson(text(cause), text(corrective), text(prevention), kit);
    }

    private static String text(@Nullable String typed) {
        return typed == null ? "" : typed.strip();
    }
}
