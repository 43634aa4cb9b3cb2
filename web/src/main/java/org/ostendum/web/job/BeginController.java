package org.ostendum.web.job;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.procedure.GateKey;
import org.ostendum.core.procedure.Procedure;
import org.ostendum.core.procedure.Procedure.Subject;
import org.ostendum.core.procedure.Situation;
import org.ostendum.core.safety.Training;
import org.ostendum.web.page.Faults;
import org.ostendum.web.page.NotFound;
import org.ostendum.web.procedures.ProcedureFile;
import org.ostendum.web.procedures.SiteProcedures;
import org.ostendum.web.store.Batteries;
import org.ostendum.web.store.Battery;
import org.ostendum.web.store.Jobs;
import org.ostendum.web.store.Machine;
import org.ostendum.web.store.Machines;
import org.ostendum.web.store.Person;
import org.ostendum.web.words.Words;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Before a job: what it wants, which gates stand open, and going through one with a reason. */
@Controller
class BeginController {
    private static final int SHORTEST_REASON = 10;

    private final SiteProcedures procedures;
    private final Batteries batteries;
    private final Machines machines;
    private final Jobs jobs;
    private final JobDesk desk;
    private final JobRunning running;
    private final Situations situations;

    BeginController(
            SiteProcedures procedures,
            Batteries batteries,
            Machines machines,
            Jobs jobs,
            JobDesk desk,
            JobRunning running,
            Situations situations) {
        this.procedures = procedures;
        this.batteries = batteries;
        this.machines = machines;
        this.jobs = jobs;
        this.desk = desk;
        this.running = running;
        this.situations = situations;
    }

    /**
     * A job that could be begun.
     *
     * @param shut gates that stand against it
     */
    record Offer(Procedure procedure, List<GateLine> shut) {}

    @GetMapping("/batteries/{code}/jobs")
    String offers(@PathVariable String code, Person person, Words words, Model page) {
        Battery battery = battery(code);
        Situation situation = situations.of(Training.BATTERY_CARE, battery, null, person);
        page.addAttribute("place", "fleet");
        page.addAttribute("battery", battery);
        page.addAttribute(
                "offers",
                procedures.all().stream()
                        .filter(p -> p.subject() == Subject.BATTERY)
                        .filter(p -> p.isFor(battery.type().model().duty()))
                        .map(p -> new Offer(
                                p,
                                desk.gates(p, situation, words).stream()
                                        .filter(GateLine::isShut)
                                        .toList()))
                        .toList());
        page.addAttribute("jobs", jobs.ofBattery(battery.id(), 12));
        return "job/offers";
    }

    @GetMapping("/batteries/{code}/jobs/{procedure}")
    String before(
            @PathVariable String code,
            @PathVariable String procedure,
            @RequestParam(defaultValue = "") String machine,
            Person person,
            Words words,
            Model page) {
        return show(battery(code), procedure(procedure), machine, "", Faults.NONE, person, words, page);
    }

    @GetMapping("/room-jobs/{procedure}")
    String beforeInRoom(@PathVariable String procedure, Person person, Words words, Model page) {
        return show(null, procedure(procedure), "", "", Faults.NONE, person, words, page);
    }

    private String show(
            @Nullable Battery battery,
            Procedure procedure,
            String machine,
            String reason,
            Faults faults,
            Person person,
            Words words,
            Model page) {
        List<GateLine> gates = desk.gates(procedure, battery, machine(machine).orElse(null), person, words);
        page.addAttribute("place", battery == null ? "jobs" : "fleet");
        page.addAttribute("battery", battery);
        page.addAttribute("procedure", procedure);
        page.addAttribute("gates", gates);
        page.addAttribute("shut", gates.stream().filter(GateLine::isShut).toList());
        page.addAttribute(
                "mayOverride",
                person.isLead() && gates.stream().filter(GateLine::isShut).allMatch(GateLine::mayBeOverridden));
        page.addAttribute("machines", asksForMachine(procedure) ? machines.all() : List.of());
        page.addAttribute("machine", machine);
        page.addAttribute("reason", reason);
        page.addAttribute("faults", faults);
        return "job/before";
    }

    private static boolean asksForMachine(Procedure procedure) {
        return procedure.gates().contains(GateKey.RIGHT_WEIGHT);
    }

    @PostMapping("/batteries/{code}/jobs/{procedure}")
    Object begin(
            @PathVariable String code,
            @PathVariable String procedure,
            @RequestParam(defaultValue = "") String machine,
            @RequestParam(defaultValue = "") String reason,
            Person person,
            Words words,
            Model page) {
        return begin(battery(code), procedure(procedure), machine, reason.strip(), person, words, page);
    }

    @PostMapping("/room-jobs/{procedure}")
    Object beginInRoom(
            @PathVariable String procedure,
            @RequestParam(defaultValue = "") String reason,
            Person person,
            Words words,
            Model page) {
        return begin(null, procedure(procedure), "", reason.strip(), person, words, page);
    }

    private Object begin(
            @Nullable Battery battery,
            Procedure procedure,
            String machine,
            String reason,
            Person person,
            Words words,
            Model page) {
        Faults.Finder faults = new Faults.Finder(words);
        @Nullable Machine into = machine(machine).orElse(null);
        if (asksForMachine(procedure) && into == null) {
            faults.add("machine", "fault.choose");
        }
        List<GateLine> shut = desk.gates(procedure, battery, into, person, words).stream()
                .filter(GateLine::isShut)
                .toList();
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
                    show(battery, procedure, machine, reason, faults.found(), person, words, page),
                    page);
        }
        Map<GateKey, String> overridden = new EnumMap<>(GateKey.class);
        shut.forEach(gate -> overridden.put(gate.gate(), reason));
        ProcedureFile file =
                situations.asRunOn(battery, procedures.file(procedure.id()).orElseThrow());
        long job = running.begin(
                new Jobs.NewJob(
                        procedure.id(),
                        procedure.version(),
                        file.json(),
                        situations.roomOf(battery),
                        battery == null ? null : battery.id(),
                        into == null ? null : into.id(),
                        person.id()),
                overridden);
        return "redirect:/jobs/" + job;
    }

    private Optional<Machine> machine(String code) {
        return code.isEmpty() ? Optional.empty() : machines.byCode(code);
    }

    private Battery battery(String code) {
        return batteries.byCode(code).orElseThrow(() -> new NotFound("battery " + code));
    }

    private Procedure procedure(String id) {
        return procedures.find(id).orElseThrow(() -> new NotFound("procedure " + id));
    }
}
