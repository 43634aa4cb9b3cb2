package org.ostendum.app.job;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.inventory.Packs;
import org.ostendum.app.job.ChargerChoice.Choice;
import org.ostendum.app.job.JobRunning.PassedGate;
import org.ostendum.app.procedure.PackSteps;
import org.ostendum.app.procedure.ProcedureFile;
import org.ostendum.app.procedure.SiteProcedures;
import org.ostendum.core.change.Choosing;
import org.ostendum.core.people.Person;
import org.ostendum.core.procedure.Procedure;
import org.ostendum.core.procedure.Situation;
import org.ostendum.core.wiring.School;
import org.springframework.stereotype.Service;

/** Begins a job in the form in which it is run: under the rules of its battery, without what its state answers. */
@Service
class Beginning {
    private static final String CELL_REPAIR = "cell-repair";
    private static final String CHANGE = "change-battery";

    private final SiteProcedures procedures;
    private final Situations situations;
    private final JobRunning running;
    private final Packs packs;
    private final Pool pool;

    Beginning(SiteProcedures procedures, Situations situations, JobRunning running, Packs packs, Pool pool) {
        this.procedures = procedures;
        this.situations = situations;
        this.running = running;
        this.packs = packs;
        this.pool = pool;
    }

    /** What no record tells and no step of the job will ask: it is looked at before. */
    static List<GateLine> looks(Procedure procedure, List<GateLine> gates) {
        return gates.stream()
                .filter(GateLine::isUnknown)
                .filter(line -> procedure.steps().stream().noneMatch(step -> step.answers() == line.gate()))
                .toList();
    }

    /** @return whether a battery is a pack that can be taken apart, for procedures that do that; true for all others */
    boolean suits(Procedure procedure, @Nullable Battery battery) {
        if (procedure.id().equals(CELL_REPAIR)) {
            return battery == null || !battery.type().model().layout().isPack();
        }
        return !PackSteps.isOfPack(procedure.id())
                || (battery != null && packs.of(battery).isPresent());
    }

    private ProcedureFile onPack(Procedure procedure, @Nullable Battery battery, ProcedureFile file, School school) {
        return battery == null
                ? file
                : packs.of(battery)
                        .map(pack -> PackSteps.with(
                                procedure.id(),
                                file,
                                pack,
                                school,
                                battery.type().model().capacity()))
                        .orElse(file);
    }

    /** Who takes another than the first of the order says why; it stays with the job. */
    private ProcedureFile sayingWhy(ProcedureFile file, Battery battery, Machine into, Person person) {
        return Choosing.first(pool.rank(into, person))
                .map(first -> first.pooled().subject().code())
                .filter(first -> !first.equals(battery.code()))
                .map(first -> file.askingFirst(
                        "why-this-one", first + " is the one to take first. Why is " + battery.code() + " taken?"))
                .orElse(file);
    }

    /**
     * @param school in which order the cables of a pack come off or go on
     * @param situation under which its gates were asked
     * @param passed gates that did not stand open: gone through with a reason, or looked at
     * @return the job's id
     */
    long begin(
            Procedure procedure,
            @Nullable Battery battery,
            @Nullable Machine into,
            @Nullable Choice choice,
            Situation situation,
            Person person,
            List<PassedGate> passed,
            School school) {
        ProcedureFile file = onPack(
                procedure,
                battery,
                situations.asRunOn(battery, procedures.file(procedure.id()).orElseThrow(), situation),
                school);
        if (into != null && battery != null && procedure.id().equals(CHANGE)) {
            file = sayingWhy(file, battery, into, person);
        }
        return running.begin(
                new Jobs.NewJob(
                        procedure.id(),
                        procedure.version(),
                        file.json(),
                        situations.roomOf(battery),
                        battery == null ? null : battery.id(),
                        into == null ? null : into.id(),
                        person.id(),
                        choice == null ? null : choice.chargerId(),
                        choice == null ? null : choice.kind()),
                passed);
    }
}
