package org.ostendum.app.state;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.db.Payload;
import org.ostendum.core.judge.BatteryCourse;
import org.ostendum.core.quantity.CorrectedGravity;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;

/** A battery's course as JSON: seconds since 1970, middle and lowest gravity in tenths of a point, one after the other. */
final class CourseText {
    private static final int FIGURES = 3;

    private CourseText() {}

    static String write(BatteryCourse course) {
        ArrayNode figures = Payload.object().putArray("course");
        course.marks().forEach(mark -> figures.add(mark.takenAt().getEpochSecond())
                .add(mark.median().tenths())
                .add(mark.lowest().tenths()));
        return figures.toString();
    }

    static BatteryCourse read(@Nullable String text) {
        if (text == null) {
            return BatteryCourse.NONE;
        }
        JsonNode figures = Payload.read(text);
        List<BatteryCourse.Mark> marks = new ArrayList<>();
        for (int i = 0; i + FIGURES <= figures.size(); i += FIGURES) {
            marks.add(new BatteryCourse.Mark(
                    Instant.ofEpochSecond(figures.get(i).asLong()),
                    new CorrectedGravity(figures.get(i + 1).asInt()),
                    new CorrectedGravity(figures.get(i + 2).asInt())));
        }
        return new BatteryCourse(marks);
    }
}
