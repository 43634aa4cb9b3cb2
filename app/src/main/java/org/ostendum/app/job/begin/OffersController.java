package org.ostendum.app.job.begin;

import java.util.List;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.GateLine;
import org.ostendum.app.job.JobViews;
import org.ostendum.app.job.Jobs;
import org.ostendum.app.job.Situations;
import org.ostendum.app.job.begin.OffersView.Offer;
import org.ostendum.app.procedure.SiteProcedures;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.ostendum.core.procedure.Situation;
import org.ostendum.core.safety.Training;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** What can be done to a battery, and what stands against each. */
@Controller
class OffersController {
    private static final int OF_LATE = 12;

    private final SiteProcedures procedures;
    private final Jobs jobs;
    private final JobViews views;
    private final Beginning beginning;
    private final Situations situations;

    OffersController(SiteProcedures procedures, Jobs jobs, JobViews views, Beginning beginning, Situations situations) {
        this.procedures = procedures;
        this.jobs = jobs;
        this.views = views;
        this.beginning = beginning;
        this.situations = situations;
    }

    @GetMapping("/batteries/{battery}/jobs")
    String offers(Battery battery, Person person, Words words, Model page) {
        Situation situation = situations.of(Training.BATTERY_CARE, battery, null, person);
        List<Offer> offers = procedures.all().stream()
                .filter(p -> p.canBeDoneTo(battery.type().model().duty()) && beginning.suits(p, battery))
                .map(p -> new Offer(
                        p.said(words::phrase),
                        views.gates(p, situation, words).stream()
                                .filter(GateLine::isShut)
                                .toList()))
                .toList();
        page.addAttribute("place", "fleet");
        page.addAttribute("view", new OffersView(battery, offers, jobs.ofBattery(battery.id(), OF_LATE)));
        return "job/offers";
    }
}
