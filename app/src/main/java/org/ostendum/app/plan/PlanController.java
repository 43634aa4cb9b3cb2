package org.ostendum.app.plan;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.plan.PlanRun.State;
import org.ostendum.app.plan.house.Hours;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.ostendum.core.plan.Plan;
import org.ostendum.core.plan.PlanDifference;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.PlanProblem;
import org.ostendum.core.plan.make.WhatIf;
import org.ostendum.core.plan.room.Task;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The plan: over time and as a list, why each job is where it is, what else could be; searched, taken, pinned. */
@Controller
class PlanController {
    private static final Duration WEEK = Duration.ofDays(7);

    private final PlanRuns runs;
    private final Planning planning;
    private final PlanChanges changes;
    private final Hours hours;
    private final PlannedJobs planned;
    private final HeldReasons held;
    private final PlanAgainstStates states;
    private final ZoneId zone;

    PlanController(
            PlanRuns runs,
            Planning planning,
            PlanChanges changes,
            Hours hours,
            PlannedJobs planned,
            HeldReasons held,
            PlanAgainstStates states,
            ZoneId zone) {
        this.runs = runs;
        this.planning = planning;
        this.changes = changes;
        this.hours = hours;
        this.planned = planned;
        this.held = held;
        this.states = states;
        this.zone = zone;
    }

    /** What a plan holds, in numbers. */
    record Sum(int charges, int changes, int care, int unmet) {
        static Sum of(Plan plan) {
            return new Sum(
                    (int) plan.jobs(Task.CHARGE).count(),
                    (int) plan.jobs(Task.CHANGE).count(),
                    (int) plan.jobs().stream()
                            .filter(job -> job.what().isCare() && !job.isOnBench())
                            .count(),
                    (int) plan.shiftsUnmet());
        }
    }

    @GetMapping("/plan")
    String plan(
            @RequestParam(defaultValue = "charger") String by,
            @RequestParam(defaultValue = "") String job,
            Words words,
            Model page) {
        show(by, job, words, page);
        return "plan/plan";
    }

    @GetMapping("/plan/list")
    String list(Words words, Model page) {
        show("charger", "", words, page);
        return "plan/list";
    }

    private void show(String by, String job, Words words, Model page) {
        page.addAttribute("place", "plan");
        page.addAttribute("by", by);
        page.addAttribute(
                "underWay", runs.newest(State.WAITING, State.SEARCHING).orElse(null));
        page.addAttribute("failed", failed());
        page.addAttribute("noHours", hours.ofMachines().isEmpty());
        page.addAttribute("noPeople", hours.ofPeople().isEmpty());
        Optional<PlanRun> inForce = planning.inForce();
        PlanRun run = runs.newest(State.PROPOSED).or(() -> inForce).orElse(null);
        page.addAttribute("run", run);
        if (run == null) {
            return;
        }
        Plan plan = held.told(runs.plan(run.id()).orElseThrow());
        PlanProblem problem = runs.problem(run.id());
        page.addAttribute("plan", plan);
        page.addAttribute("sum", Sum.of(plan));
        page.addAttribute("certain", Certain.of(problem, plan));
        Map<String, PlanRuns.Mark> marks = runs.marks(run.id());
        page.addAttribute("marks", marks);
        page.addAttribute("since", states.since(plan, marks.keySet(), words.now()));
        page.addAttribute("zone", zone);
        page.addAttribute("timeline", Timeline.of(problem, plan, Timeline.By.of(by), words.now(), zone));
        page.addAttribute("differs", run.state() == State.PROPOSED ? differs(inForce, plan) : null);
        choose(plan, problem, job, page);
    }

    private @Nullable PlanRun failed() {
        return runs.newest(State.values())
                .filter(run -> run.state() == State.FAILED)
                .orElse(null);
    }

    private @Nullable PlanDifference differs(Optional<PlanRun> inForce, Plan plan) {
        return inForce.flatMap(run -> runs.plan(run.id()))
                .map(before -> PlanDifference.between(before, plan))
                .orElse(null);
    }

    private static void choose(Plan plan, PlanProblem problem, String id, Model page) {
        PlanJob chosen = plan.jobs().stream()
                .filter(job -> job.id().equals(id))
                .findFirst()
                .orElse(null);
        page.addAttribute("chosen", chosen);
        page.addAttribute(
                "others",
                chosen == null || chosen.start().isBefore(problem.from())
                        ? List.of()
                        : new WhatIf(problem, plan).others(chosen));
    }

    /** What is best so far, asked again and again while a search runs. */
    @GetMapping("/plan/progress")
    String progress(Model page) {
        page.addAttribute(
                "underWay", runs.newest(State.WAITING, State.SEARCHING).orElse(null));
        page.addAttribute("asked", true);
        return "plan/progress :: progress";
    }

    @PostMapping("/plan")
    String ask(@RequestParam(defaultValue = "day") String ahead, Person person, Words words, RedirectAttributes flash) {
        if (runs.newest(State.WAITING, State.SEARCHING).isPresent()) {
            flash.addFlashAttribute("told", words.text("plan.searching.already"));
        } else {
            planning.ask(ahead.equals("week") ? WEEK : Planning.DAY, "", person.id());
        }
        return "redirect:/plan";
    }

    @PostMapping("/plan/{id}/stop")
    String stop(@PathVariable long id) {
        runs.askToStop(id);
        return "redirect:/plan";
    }

    @PostMapping("/plan/{id}/take")
    String take(@PathVariable long id, Person person, Words words, RedirectAttributes flash) {
        boolean taken = runs.take(id, person.id(), words.now());
        flash.addFlashAttribute("told", words.text(taken ? "plan.taken" : "plan.gone"));
        return "redirect:/plan";
    }

    @PostMapping("/plan/{id}/drop")
    String drop(@PathVariable long id, Words words) {
        runs.drop(id, words.now());
        return "redirect:/plan";
    }

    @PostMapping("/plan/{id}/pin")
    String pin(@PathVariable long id, @RequestParam String job, @RequestParam(defaultValue = "charger") String by) {
        changes.pin(known(id).id(), job);
        return "redirect:/plan?by=" + Timeline.By.of(by).word() + "&job=" + job;
    }

    /** The way a person wants it: pinned, and proposed. */
    @PostMapping("/plan/{id}/move")
    String move(
            @PathVariable long id,
            @RequestParam String job,
            @RequestParam String charger,
            @RequestParam Instant start,
            Person person,
            Words words,
            RedirectAttributes flash) {
        Optional<String> moved = changes.move(known(id).id(), job, charger, start, person, words);
        if (moved.isEmpty()) {
            flash.addFlashAttribute("fault", words.text("plan.move.not", charger, words.moment(start)));
            return "redirect:/plan?job=" + job;
        }
        return "redirect:/plan?job=" + moved.get();
    }

    @PostMapping("/plan/{id}/forbid")
    String forbid(
            @PathVariable long id, @RequestParam String job, Person person, Words words, RedirectAttributes flash) {
        changes.forbid(known(id).id(), job, person, words);
        flash.addFlashAttribute("told", words.text("plan.mishap.told"));
        return "redirect:/plan";
    }

    private PlanRun known(long id) {
        return runs.byId(id)
                .filter(run -> run.state() == State.PROPOSED || run.state() == State.IN_FORCE)
                .orElseThrow(() -> new NotFound("plan " + id));
    }

    /** The next jobs of a person, and those that are anybody's. */
    @GetMapping("/plan/mine")
    String mine(Person person, Words words, Model page) {
        page.addAttribute("place", "plan");
        PlanRun run = planning.inForce().orElse(null);
        page.addAttribute("run", run);
        if (run != null) {
            page.addAttribute("jobs", planned.runList(person.login(), words.now()));
            page.addAttribute("reasons", NotPossible.values());
        }
        return "plan/mine";
    }

    @PostMapping("/plan/{id}/done")
    String done(@PathVariable long id, @RequestParam String job, Person person, Words words, RedirectAttributes flash) {
        if (changes.done(known(id).id(), job, person, words)) {
            flash.addFlashAttribute("told", words.text("plan.done"));
        } else {
            flash.addFlashAttribute("fault", words.text("plan.done.open"));
        }
        return "redirect:/plan/mine";
    }

    @PostMapping("/plan/{id}/not-possible")
    String notPossible(
            @PathVariable long id,
            @RequestParam String job,
            @RequestParam @Nullable NotPossible why,
            Person person,
            Words words,
            RedirectAttributes flash) {
        if (why == null) {
            flash.addFlashAttribute("fault", words.text("fault.choose"));
            return "redirect:/plan/mine";
        }
        changes.notPossible(known(id).id(), job, why, person, words);
        flash.addFlashAttribute("told", words.text("plan.not-possible.told"));
        return "redirect:/plan/mine";
    }
}
