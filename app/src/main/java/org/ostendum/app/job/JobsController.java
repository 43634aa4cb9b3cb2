package org.ostendum.app.job;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.ostendum.app.capacity.CapacityTests;
import org.ostendum.app.complaint.Complaints;
import org.ostendum.app.defect.Defects;
import org.ostendum.app.incident.Incidents;
import org.ostendum.app.photo.Photos;
import org.ostendum.app.procedure.SiteProcedures;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.ostendum.core.procedure.Run;
import org.ostendum.core.procedure.Timer;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** All jobs of the site: under way, gone through a gate, found wrong, ended. */
@Controller
class JobsController {
    private static final int ENDED_TOLD = 12;

    private final Jobs jobs;
    private final Overrides overrides;
    private final Defects defects;
    private final Incidents incidents;
    private final Complaints complaints;
    private final CapacityTests tests;
    private final SiteProcedures procedures;
    private final Photos photos;

    JobsController(
            Jobs jobs,
            Overrides overrides,
            Defects defects,
            Incidents incidents,
            Complaints complaints,
            CapacityTests tests,
            SiteProcedures procedures,
            Photos photos) {
        this.jobs = jobs;
        this.overrides = overrides;
        this.defects = defects;
        this.incidents = incidents;
        this.complaints = complaints;
        this.tests = tests;
        this.procedures = procedures;
        this.photos = photos;
    }

    @GetMapping("/jobs")
    String jobs(Words words, Model page) {
        List<Job> open = jobs.open();
        page.addAttribute("place", "jobs");
        page.addAttribute(
                "view",
                new JobsView(
                        procedures.titles(words),
                        open,
                        timers(open),
                        jobs.ended(ENDED_TOLD),
                        overrides.unseen(),
                        defects.open(),
                        photos.ofOpenDefects(),
                        defects.recurring(),
                        complaints.open(),
                        tests.open(),
                        incidents.open()));
        return "job/jobs";
    }

    /** The clocks that run at the step where each job stands, by the job's id. */
    private Map<Long, Timer> timers(List<Job> open) {
        Map<Long, Timer> timers = new HashMap<>();
        for (Job job : open) {
            Run run = JobRunning.run(job, jobs.events(job.id()));
            run.current().flatMap(run::timer).ifPresent(timer -> timers.put(job.id(), timer));
        }
        return timers;
    }

    @PostMapping("/overrides/{id}/seen")
    String seen(@PathVariable long id, Person person) {
        overrides.see(id, person.id());
        return "redirect:/jobs";
    }
}
