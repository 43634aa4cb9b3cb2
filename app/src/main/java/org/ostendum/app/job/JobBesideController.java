package org.ostendum.app.job;

import org.ostendum.app.words.Words;
import org.ostendum.core.procedure.Run;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** What stands beside the list of jobs for the one in focus: the step at which it stands, and what is left. */
@Controller
class JobBesideController {
    private final Jobs jobs;

    JobBesideController(Jobs jobs) {
        this.jobs = jobs;
    }

    @GetMapping("/jobs/{job}/beside")
    String beside(Job job, Words words, Model page) {
        Run run = JobRunning.run(job, jobs.events(job.id()), words);
        page.addAttribute("job", job);
        page.addAttribute("title", run.procedure().title());
        page.addAttribute("holder", run.holder());
        page.addAttribute("status", run.status());
        page.addAttribute("step", run.current().orElse(null));
        page.addAttribute("left", run.left());
        page.addAttribute("timer", run.current().flatMap(run::timer).orElse(null));
        return "job/beside :: beside";
    }
}
