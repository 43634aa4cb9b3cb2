package org.ostendum.app.job.begin;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Faults;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Machines;
import org.ostendum.app.job.JobRunning.PassedGate;
import org.ostendum.app.job.begin.ChargerChoice.Choice;
import org.ostendum.app.site.Sites;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.ostendum.core.procedure.GateKey;
import org.ostendum.core.procedure.Procedure;
import org.ostendum.core.procedure.RunEvent;
import org.ostendum.core.procedure.Situation;
import org.ostendum.core.wiring.School;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Before a job: what it wants, which gates stand open, and going through one with a reason. */
@Controller
class BeginController {
    private final Machines machines;
    private final JobsToBegin toBegin;
    private final Beginning beginning;
    private final LookOver lookOver;
    private final ChargerChoice chargers;
    private final Sites sites;
    private final PlannedWork planned;

    BeginController(
            Machines machines,
            JobsToBegin toBegin,
            Beginning beginning,
            LookOver lookOver,
            ChargerChoice chargers,
            Sites sites,
            PlannedWork planned) {
        this.machines = machines;
        this.toBegin = toBegin;
        this.beginning = beginning;
        this.lookOver = lookOver;
        this.chargers = chargers;
        this.sites = sites;
        this.planned = planned;
    }

    @GetMapping("/batteries/{battery}/jobs/{procedure}")
    String before(
            Battery battery,
            Procedure procedure,
            @RequestParam Map<String, String> typed,
            Person person,
            Words words,
            Model page) {
        JobToBegin job = toBegin.of(procedure, battery, BeginForm.of(typed), person, words);
        return show(job, Faults.NONE, person, words, page);
    }

    @GetMapping("/room-jobs/{procedure}")
    String beforeInRoom(Procedure procedure, Person person, Words words, Model page) {
        JobToBegin job = toBegin.of(procedure, null, BeginForm.EMPTY, person, words);
        return show(job, Faults.NONE, person, words, page);
    }

    private String show(JobToBegin job, Faults faults, Person person, Words words, Model page) {
        Procedure procedure = job.procedure();
        page.addAttribute("place", job.battery() == null ? "jobs" : "fleet");
        page.addAttribute("faults", faults);
        page.addAttribute(
                "view",
                new BeforeView(
                        job,
                        procedure.said(words::phrase),
                        job.mayBeOverriddenBy(person),
                        asksForMachine(procedure) ? machines.all() : List.of(),
                        beginning.isOrdered(procedure) ? List.of(School.values()) : List.of(),
                        sites.site().guides(),
                        late(job)));
        return "job/before";
    }

    private PlannedWork.@Nullable Late late(JobToBegin job) {
        @Nullable Battery battery = job.battery();
        Situation.@Nullable Subject subject = job.situation().battery();
        return battery == null || subject == null
                ? null
                : planned.late(battery, subject.state(), job.procedure().id()).orElse(null);
    }

    private static boolean asksForMachine(Procedure procedure) {
        return procedure.gates().stream().anyMatch(GateKey::isOfMachine);
    }

    @PostMapping("/batteries/{battery}/jobs/{procedure}")
    Object begin(
            Battery battery,
            Procedure procedure,
            @RequestParam Map<String, String> typed,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        JobToBegin job = toBegin.of(procedure, battery, BeginForm.of(typed), person, words);
        return begin(job, person, words, page, flash);
    }

    /** A charger is chosen: what does not fit is told, and stays with the charger if it must never be joined. */
    @PostMapping("/batteries/{battery}/jobs/{procedure}/charger")
    String choose(
            Battery battery,
            Procedure procedure,
            @RequestParam Map<String, String> typed,
            Person person,
            Words words,
            RedirectAttributes address) {
        toBegin.expectFits(procedure, battery);
        BeginForm form = BeginForm.of(typed);
        @Nullable Choice choice = chargers.of(procedure, battery, form.charger(), form.kind());
        if (choice != null) {
            chargers.remember(choice, battery, person, words);
        }
        address.addAttribute("charger", form.charger());
        address.addAttribute("kind", form.kind());
        return "redirect:/batteries/" + battery.code() + "/jobs/" + procedure.id();
    }

    @PostMapping("/room-jobs/{procedure}")
    Object beginInRoom(
            Procedure procedure,
            @RequestParam Map<String, String> typed,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        JobToBegin job = toBegin.of(procedure, null, BeginForm.of(typed), person, words);
        return begin(job, person, words, page, flash);
    }

    private Object begin(JobToBegin job, Person person, Words words, Model page, RedirectAttributes flash) {
        Faults faults = faults(job, person, words);
        if (faults.any()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(job, faults, person, words, page), page);
        }
        List<PassedGate> passed = new ArrayList<>();
        String reason = job.form().reason();
        job.shut().forEach(gate -> passed.add(new PassedGate(gate.gate(), RunEvent.Kind.GATE_OVERRIDDEN, reason)));
        job.looks().forEach(gate -> passed.add(gate.looked()));
        long begun = beginning.begin(job, person, passed);
        if (job.form().over() && job.procedure().canBeLookedOver() && lookOver.goThrough(begun, person, words)) {
            flash.addFlashAttribute(
                    "told", words.text("begin.over.done", job.procedure().title()));
            return "redirect:"
                    + (job.battery() == null
                            ? "/jobs"
                            : "/batteries/" + job.battery().code());
        }
        return "redirect:/jobs/" + begun;
    }

    private static Faults faults(JobToBegin job, Person person, Words words) {
        Faults.Finder faults = new Faults.Finder(words);
        if (asksForMachine(job.procedure()) && job.into() == null) {
            faults.add("machine", "fault.choose");
        }
        if (!job.looks().isEmpty() && !job.form().looked()) {
            faults.add("looked", "begin.fault.look");
        }
        if (!job.shut().isEmpty()) {
            if (!job.mayBeOverriddenBy(person)) {
                faults.add("reason", "begin.fault.shut");
            } else if (!job.form().hasReason()) {
                faults.add("reason", "begin.fault.reason", BeginForm.SHORTEST_REASON);
            }
        }
        return faults.found();
    }
}
