package org.ostendum.app.incident;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Objects;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.words.Words;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** All incidents on a page and as a file: what is open, and what a year came to. */
@Controller
class IncidentsController {
    private static final String[] COLUMNS = {
        "number",
        "happened",
        "kind",
        "place",
        "battery",
        "hurt",
        "litres",
        "what",
        "first_aid",
        "cause",
        "corrective",
        "prevention",
        "written_by",
        "closed",
        "closed_by",
        "review"
    };

    private final Incidents incidents;
    private final ZoneId zone;

    IncidentsController(Incidents incidents, ZoneId zone) {
        this.incidents = incidents;
        this.zone = zone;
    }

    /**
     * What twelve months came to.
     *
     * @param harmless incidents in which nobody was hurt
     */
    record Year(int count, int hurt, int harmless) {
        static Year of(List<Incident> all, Instant from) {
            List<Incident> within =
                    all.stream().filter(i -> !i.course().at().isBefore(from)).toList();
            int hurt = within.stream().mapToInt(Year::hurt).sum();
            int harmless = (int) within.stream().filter(i -> hurt(i) == 0).count();
            return new Year(within.size(), hurt, harmless);
        }

        private static int hurt(Incident incident) {
            return Objects.requireNonNullElse(incident.course().hurt(), 0);
        }
    }

    @GetMapping("/incidents")
    String incidents(Words words, Model page) {
        List<Incident> all = incidents.all();
        Instant yearAgo = words.now().atZone(zone).minusYears(1).toInstant();
        page.addAttribute("place", "safety");
        page.addAttribute("incidents", all);
        page.addAttribute("open", all.stream().filter(Incident::isOpen).count());
        page.addAttribute("year", Year.of(all, yearAgo));
        return "incident/incidents";
    }

    @GetMapping("/incidents/register.csv")
    void csv(HttpServletResponse response) throws IOException {
        response.setContentType("text/csv");
        response.setCharacterEncoding(StandardCharsets.UTF_8);
        response.setHeader("Content-Disposition", "attachment; filename=\"incidents.csv\"");
        CSVFormat format = CSVFormat.RFC4180.builder().setHeader(COLUMNS).get();
        try (CSVPrinter out = new CSVPrinter(response.getWriter(), format)) {
            for (Incident incident : incidents.all()) {
                out.printRecord(line(incident));
            }
        }
    }

    private static Object[] line(Incident incident) {
        Incident.Course course = incident.course();
        Incident.Lesson lesson = incident.lesson();
        Incident.@Nullable Review review = incident.review();
        return new Object[] {
            incident.id(),
            course.at(),
            course.kind(),
            course.place(),
            course.battery(),
            course.hurt(),
            course.litres(),
            course.what(),
            course.aid(),
            lesson.cause(),
            lesson.corrective(),
            lesson.prevention(),
            incident.writtenBy(),
            review == null ? null : review.at(),
            review == null ? null : review.by(),
            review == null ? null : review.text()
        };
    }
}
