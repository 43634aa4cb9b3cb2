package org.ostendum.app.job.begin;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Faults;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.inventory.Machines;
import org.ostendum.app.job.GateLine;
import org.ostendum.app.job.JobRunning.PassedGate;
import org.ostendum.app.job.JobViews;
import org.ostendum.app.job.Jobs;
import org.ostendum.app.job.Situations;
import org.ostendum.app.job.begin.ChargerChoice.Choice;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.procedure.SiteProcedures;
import org.ostendum.app.site.Sites;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.ostendum.core.procedure.GateKey;
import org.ostendum.core.procedure.Procedure;
import org.ostendum.core.procedure.RunEvent;
import org.ostendum.core.procedure.Situation;
import org.ostendum.core.safety.Training;
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
    private static final int SHORTEST_REASON = 10;

    private final SiteProcedures procedures;
    private final Machines machines;
    private final Jobs jobs;
    private final JobViews views;
    private final Beginning beginning;
    private final LookOver lookOver;
    private final Situations situations;
    private final ChargerChoice chargers;
    private final Sites sites;

    BeginController(
            SiteProcedures procedures,
            Machines machines,
            Jobs jobs,
            JobViews views,
            Beginning beginning,
            LookOver lookOver,
            Situations situations,
            ChargerChoice chargers,
            Sites sites) {
        this.procedures = procedures;
        this.machines = machines;
        this.jobs = jobs;
        this.views = views;
        this.beginning = beginning;
        this.lookOver = lookOver;
        this.situations = situations;
        this.chargers = chargers;
        this.sites = sites;
    }

    /**
     * What is typed before a job: the machine it goes into, the charger it goes on and what for, and a reason.
     *
     * @param looked whether the person has looked at what no record tells
     * @param over whether all steps are answered at one look
     * @param school in which order the cables of a pack come off
     */
    record Asked(
            String machine, String charger, String kind, String reason, boolean looked, boolean over, School school) {
        static final Asked NOTHING = new Asked("", "", "", "", false, false, School.LEAST);

        static Asked of(Map<String, String> typed) {
            return new Asked(
                    typed.getOrDefault("machine", ""),
                    typed.getOrDefault("charger", ""),
                    typed.getOrDefault("kind", ""),
                    typed.getOrDefault("reason", "").strip(),
                    !typed.getOrDefault("looked", "").isEmpty(),
                    !typed.getOrDefault("over", "").isEmpty(),
                    schoolNamed(typed.getOrDefault("school", "")));
        }
    }

    private static School schoolNamed(String name) {
        return Arrays.stream(School.values())
                .filter(school -> school.name().equals(name))
                .findFirst()
                .orElse(School.LEAST);
    }

    /**
     * A job that could be begun.
     *
     * @param shut gates that stand against it
     */
    record Offer(Procedure procedure, List<GateLine> shut) {}

    @GetMapping("/batteries/{battery}/jobs")
    String offers(Battery battery, Person person, Words words, Model page) {
        Situation situation = situations.of(Training.BATTERY_CARE, battery, null, person);
        page.addAttribute("place", "fleet");
        page.addAttribute("battery", battery);
        page.addAttribute(
                "offers",
                procedures.all().stream()
                        .filter(p -> p.canBeDoneTo(battery.type().model().duty()) && beginning.suits(p, battery))
                        .map(p -> new Offer(
                                p.said(words::phrase),
                                views.gates(p, situation, words).stream()
                                        .filter(GateLine::isShut)
                                        .toList()))
                        .toList());
        page.addAttribute("jobs", jobs.ofBattery(battery.id(), 12));
        return "job/offers";
    }

    @GetMapping("/batteries/{battery}/jobs/{procedure}")
    String before(
            Battery battery,
            Procedure procedure,
            @RequestParam Map<String, String> typed,
            Person person,
            Words words,
            Model page) {
        return show(battery, procedure, Asked.of(typed), Faults.NONE, person, words, page);
    }

    @GetMapping("/room-jobs/{procedure}")
    String beforeInRoom(Procedure procedure, Person person, Words words, Model page) {
        return show(null, procedure, Asked.NOTHING, Faults.NONE, person, words, page);
    }

    private String show(
            @Nullable Battery battery,
            Procedure procedure,
            Asked asked,
            Faults faults,
            Person person,
            Words words,
            Model page) {
        expectFits(procedure, battery);
        @Nullable Choice choice = chargers.of(procedure, battery, asked.charger(), asked.kind());
        List<GateLine> gates = gates(procedure, battery, asked, choice, person, words);
        page.addAttribute("place", battery == null ? "jobs" : "fleet");
        page.addAttribute("battery", battery);
        page.addAttribute("procedure", procedure.said(words::phrase));
        page.addAttribute("gates", gates);
        page.addAttribute("shut", gates.stream().filter(GateLine::isShut).toList());
        page.addAttribute(
                "mayOverride",
                person.isLead() && gates.stream().filter(GateLine::isShut).allMatch(GateLine::mayBeOverridden));
        page.addAttribute("machines", asksForMachine(procedure) ? machines.all() : List.of());
        page.addAttribute("machine", asked.machine());
        page.addAttribute("unknown", gates.stream().anyMatch(GateLine::isUnknown));
        page.addAttribute("looks", Beginning.looks(procedure, gates));
        page.addAttribute("looked", asked.looked());
        page.addAttribute("reason", asked.reason());
        page.addAttribute("school", beginning.isOrdered(procedure) ? asked.school() : null);
        page.addAttribute("schools", School.values());
        page.addAttribute("choice", choice);
        page.addAttribute("faults", faults);
        page.addAttribute("site", sites.site());
        return "job/before";
    }

    /** No page leads to a battery's job without a battery, or to one of another kind; what was typed by hand is not there. */
    private void expectFits(Procedure procedure, @Nullable Battery battery) {
        if (!beginning.suits(procedure, battery)
                || !procedure.canBeDoneTo(
                        battery == null ? null : battery.type().model().duty())) {
            throw new NotFound("job " + procedure.id() + (battery == null ? " of the room" : " for " + battery.code()));
        }
    }

    private List<GateLine> gates(
            Procedure procedure,
            @Nullable Battery battery,
            Asked asked,
            @Nullable Choice choice,
            Person person,
            Words words) {
        return views.gates(procedure, situation(procedure, battery, asked, choice, person), words);
    }

    private Situation situation(
            Procedure procedure, @Nullable Battery battery, Asked asked, @Nullable Choice choice, Person person) {
        Situation situation = situations.of(
                procedure.training(), battery, machine(asked.machine()).orElse(null), person);
        return choice == null || choice.chosen() == null ? situation : situation.on(choice.misfits());
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
        return begin(battery, procedure, Asked.of(typed), person, words, page, flash);
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
        expectFits(procedure, battery);
        Asked asked = Asked.of(typed);
        @Nullable Choice choice = chargers.of(procedure, battery, asked.charger(), asked.kind());
        if (choice != null) {
            chargers.remember(choice, battery, person, words);
        }
        address.addAttribute("charger", asked.charger());
        address.addAttribute("kind", asked.kind());
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
        return begin(null, procedure, Asked.of(typed), person, words, page, flash);
    }

    private Object begin(
            @Nullable Battery battery,
            Procedure procedure,
            Asked asked,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        expectFits(procedure, battery);
        Faults.Finder faults = new Faults.Finder(words);
        String reason = asked.reason();
        @Nullable Machine into = machine(asked.machine()).orElse(null);
        @Nullable Choice choice = chargers.of(procedure, battery, asked.charger(), asked.kind());
        if (asksForMachine(procedure) && into == null) {
            faults.add("machine", "fault.choose");
        }
        List<GateLine> gates = gates(procedure, battery, asked, choice, person, words);
        List<GateLine> shut = gates.stream().filter(GateLine::isShut).toList();
        List<GateLine> looks = Beginning.looks(procedure, gates);
        if (!looks.isEmpty() && !asked.looked()) {
            faults.add("looked", "begin.fault.look");
        }
        if (!shut.isEmpty()) {
            if (!person.isLead() || !shut.stream().allMatch(GateLine::mayBeOverridden)) {
                faults.add("reason", "begin.fault.shut");
            } else if (reason.length() < SHORTEST_REASON || reason.length() > 400) {
                faults.add("reason", "begin.fault.reason", SHORTEST_REASON);
            }
        }
        if (faults.any()) {
            return Faults.page(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    show(battery, procedure, asked, faults.found(), person, words, page),
                    page);
        }
        List<PassedGate> passed = new ArrayList<>();
        shut.forEach(gate -> passed.add(new PassedGate(gate.gate(), RunEvent.Kind.GATE_OVERRIDDEN, reason)));
        looks.forEach(gate -> passed.add(gate.looked()));
        long job = beginning.begin(
                procedure,
                battery,
                into,
                choice,
                situation(procedure, battery, asked, choice, person),
                person,
                passed,
                asked.school());
        if (asked.over() && procedure.canBeLookedOver() && lookOver.goThrough(job, person, words)) {
            flash.addFlashAttribute("told", words.text("begin.over.done", procedure.title()));
            return "redirect:" + (battery == null ? "/jobs" : "/batteries/" + battery.code());
        }
        return "redirect:/jobs/" + job;
    }

    private Optional<Machine> machine(String code) {
        return code.isEmpty() ? Optional.empty() : machines.byCode(code);
    }
}
