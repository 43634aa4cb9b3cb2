package org.ostendum.app.plan;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Objects;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.ostendum.app.api.PlanAnswer;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.plan.run.PlanRuns;
import org.ostendum.app.words.Words;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.room.Task;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** The plan in force for programs: as CSV and as JSON. */
@RestController
class PlanFiles {
    private static final String[] COLUMNS = {
        "start", "end", "what", "battery", "machine", "charger", "place", "person", "pinned", "reason"
    };

    private final Planning planning;
    private final PlanRuns runs;

    PlanFiles(Planning planning, PlanRuns runs) {
        this.planning = planning;
        this.runs = runs;
    }

    private Plan plan() {
        return planning.inForce().flatMap(run -> runs.plan(run.id())).orElseThrow(() -> new NotFound("plan in force"));
    }

    @GetMapping(path = "/api/v1/plan", produces = "application/json")
    PlanAnswer json(Words words) {
        return PlanAnswer.of(plan(), words);
    }

    @GetMapping("/api/v1/plan.csv")
    void csv(Words words, HttpServletResponse response) throws IOException {
        Plan plan = plan();
        response.setContentType("text/csv");
        response.setCharacterEncoding(StandardCharsets.UTF_8);
        response.setHeader("Content-Disposition", "attachment; filename=\"plan.csv\"");
        CSVFormat format = CSVFormat.RFC4180.builder().setHeader(COLUMNS).get();
        try (CSVPrinter out = new CSVPrinter(response.getWriter(), format)) {
            // That a battery works in its machine is nobody's job; programs read it in the JSON.
            for (PlanJob job :
                    plan.jobs().stream().filter(j -> j.what() != Task.USE).toList()) {
                out.printRecord(
                        job.start(),
                        job.end(),
                        isOther(job.what()) ? "job" : job.what().word(),
                        job.battery(),
                        Objects.requireNonNullElse(job.machine(), ""),
                        Objects.requireNonNullElse(job.charger(), ""),
                        Objects.requireNonNullElse(job.charger(), Objects.requireNonNullElse(job.machine(), "")),
                        Objects.requireNonNullElse(job.person(), ""),
                        job.pinned(),
                        reason(job, words));
            }
        }
    }

    /** Kinds of work that the columns of the file have no word for. */
    private static boolean isOther(Task what) {
        return what == Task.WASH || what == Task.TEST;
    }

    private static String reason(PlanJob job, Words words) {
        String why = job.reason() == null ? "" : words.say(job.reason());
        if (!isOther(job.what())) {
            return why;
        }
        String what = words.text("plan.what." + job.what());
        return why.isEmpty() ? what : what + ": " + why;
    }
}
