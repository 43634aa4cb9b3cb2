package org.ostendum.app.incident;

import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.safety.IncidentKind;

/**
 * An incident on record.
 *
 * @param version goes up with each writing
 * @param jobId the job that answered it; null for none
 * @param review null while it is open
 */
public record Incident(
        long id,
        int version,
        @Nullable Long jobId,
        Course course,
        Lesson lesson,
        String writtenBy,
        Instant writtenAt,
        @Nullable Review review) {
    /**
     * What happened.
     *
     * @param batteryId the battery it happened at; null for none
     * @param battery its code
     * @param litres that ran out; null where nobody can say
     * @param hurt how many people; null in reports of before that was asked
     * @param aid what was done for those who were hurt, empty where nobody was
     */
    public record Course(
            IncidentKind kind,
            Instant at,
            String place,
            @Nullable Long batteryId,
            @Nullable String battery,
            @Nullable BigDecimal litres,
            @Nullable Integer hurt,
            String what,
            String aid) {}

    /**
     * What is learned from it; may be empty until the review.
     *
     * @param kitRefilledOn null until the kit is full and dated again
     */
    public record Lesson(String cause, String corrective, String prevention, @Nullable LocalDate kitRefilledOn) {}

    /** A lead's last word. */
    public record Review(String by, Instant at, String text) {}

    public boolean isOpen() {
        return review == null;
    }

    /** @return fields of the report without which it cannot be closed, in the form's order */
    public List<String> lacking() {
        List<String> lacking = new ArrayList<>();
        if (lesson.cause().isBlank()) {
            lacking.add("cause");
        }
        if (lesson.corrective().isBlank()) {
            lacking.add("corrective");
        }
        if (lesson.prevention().isBlank()) {
            lacking.add("prevention");
        }
        if (course.kind().usesKit() && lesson.kitRefilledOn() == null) {
            lacking.add("kit");
        }
        return lacking;
    }
}
