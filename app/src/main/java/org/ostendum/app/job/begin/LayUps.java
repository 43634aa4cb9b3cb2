package org.ostendum.app.job.begin;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.Job;
import org.ostendum.app.job.JobRunning.PassedGate;
import org.ostendum.app.job.JobViews;
import org.ostendum.app.job.Jobs;
import org.ostendum.app.job.Situations;
import org.ostendum.app.procedure.SiteProcedures;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.ostendum.core.procedure.Procedure;
import org.ostendum.core.procedure.Situation;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Lay-ups begun for a whole row at once. The gates are those of the job. */
@Service
public class LayUps {
    private static final String PROCEDURE = "lay-up";

    private final SiteProcedures procedures;
    private final Situations situations;
    private final JobViews views;
    private final Beginning beginning;
    private final Jobs jobs;

    LayUps(SiteProcedures procedures, Situations situations, JobViews views, Beginning beginning, Jobs jobs) {
        this.procedures = procedures;
        this.situations = situations;
        this.views = views;
        this.beginning = beginning;
        this.jobs = jobs;
    }

    /** @return those under way */
    public List<Job> open() {
        return jobs.open().stream()
                .filter(job -> job.procedureId().equals(PROCEDURE))
                .toList();
    }

    /** @return why it could not be begun; empty where it is under way now */
    @Transactional
    public Optional<String> begin(Battery battery, Person person, Words words) {
        Procedure procedure = procedures.find(PROCEDURE).orElseThrow();
        Situation situation = situations.of(procedure.training(), battery, null, person);
        JobToBegin job =
                JobToBegin.plain(procedure, battery, null, situation, views.gates(procedure, situation, words));
        Optional<String> shut = job.shut().stream()
                .flatMap(line -> Stream.of(line.why(), line.remedy()))
                .reduce((a, b) -> a + " " + b);
        if (shut.isEmpty()) {
            List<PassedGate> passed = new ArrayList<>();
            job.looks().forEach(line -> passed.add(line.looked()));
            beginning.begin(job, person, passed);
        }
        return shut;
    }
}
