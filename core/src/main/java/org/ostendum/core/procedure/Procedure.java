package org.ostendum.core.procedure;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.safety.Dress;
import org.ostendum.core.safety.Hazard;
import org.ostendum.core.safety.Training;

/**
 * How a job is done: read from a file, never changed while a run of it is under way.
 *
 * @param id name of the file, such as {@code water}
 * @param version counts up with every change of the file, from 1
 * @param title the job in a few words
 * @param purpose why it is done, in a sentence
 * @param scope what it is done to
 * @param precautions what is asked of whoever does it, before it is begun
 * @param steps in their order
 * @param stops what ends it early, and what is done then
 * @param conduct how it is run and what its end means
 * @param sources what it carries out, and what comes before it
 */
public record Procedure(
        String id,
        int version,
        String title,
        String purpose,
        Scope scope,
        Precautions precautions,
        List<Step> steps,
        List<StopCondition> stops,
        Conduct conduct,
        Sources sources) {

    /** What a job is done to. */
    public enum Subject {
        BATTERY,
        ROOM
    }

    /** What a finished job did to the battery. */
    public enum Happening {
        /** Filled to the mark. */
        WATER,
        /** Plates just covered, before a charge. */
        COVER,
        CHARGE_END,
        EQUALISE_END,
        WASH,
        /** Drawn off down to the mark. */
        DREW_OFF,
        ACID_ADJUSTED,
        CHARGER_CHECKED,
        /** Blocks of a pack changed places: the steps of the exchange say which. */
        BLOCKS_MOVED,
        /** One cell was taken out and another put in: the step of the quantity says which, that of the evidence its serial. */
        CELL_REPLACED,
        /** One cell was bridged: the step of the quantity says which, that of the evidence for how many days. */
        CELL_BRIDGED,
        /** A watering kit was fitted: the step of the quantity names its probe's cell, that of the evidence its injectors. */
        KIT_FITTED,
        KIT_LOOKED_AT,
        KIT_TAKEN_OFF,
        /** It went into the machine that the job was begun for. */
        MOVED,
        /** Its first charge is over. */
        COMMISSIONED,
        /** Put away for a time. */
        STORED,
        /** Back from its stand among those put away. */
        BROUGHT_BACK
    }

    /**
     * @param happening that the end of the job means
     * @param quantityFrom the step whose measurement is its quantity; null for none
     * @param evidenceFrom the step whose answer says by what a charge was full, or that it was not; null for none
     */
    public record Records(Happening happening, @Nullable String quantityFrom, @Nullable String evidenceFrom) {}

    /** @param duties of the batteries it is for; none for all */
    public record Scope(Subject subject, Set<Duty> duties) {
        public Scope {
            duties = Set.copyOf(duties);
        }
    }

    /**
     * @param training without which it can be read but not begun
     * @param dress what is worn
     * @param hazards what may hurt
     * @param gates what must hold before it is begun
     */
    public record Precautions(Training training, Set<Dress> dress, Set<Hazard> hazards, List<GateKey> gates) {
        public Precautions {
            dress = Set.copyOf(dress);
            hazards = Set.copyOf(hazards);
            gates = List.copyOf(gates);
        }
    }

    /**
     * @param records what its end means for the battery's history; null for nothing but the job itself
     * @param report whether its end leaves an incident report to be written and reviewed
     * @param lookOver whether who knows the job may answer all its steps at one look, if nothing is wrong
     * @param holds whether nothing else is done with the battery until it ends: it lies open, or in pieces
     */
    public record Conduct(@Nullable Records records, boolean report, boolean lookOver, boolean holds) {}

    /**
     * @param practices keys of the practices it carries out, such as {@code water.when}
     * @param references what comes before it: local codes, the maker's manual, standards
     */
    public record Sources(List<String> practices, List<String> references) {
        public Sources {
            practices = List.copyOf(practices);
            references = List.copyOf(references);
        }
    }

    public Procedure {
        steps = List.copyOf(steps);
        stops = List.copyOf(stops);
    }

    public Subject subject() {
        return scope.subject();
    }

    public Set<Duty> duties() {
        return scope.duties();
    }

    public Training training() {
        return precautions.training();
    }

    public Set<Dress> dress() {
        return precautions.dress();
    }

    public Set<Hazard> hazards() {
        return precautions.hazards();
    }

    public List<GateKey> gates() {
        return precautions.gates();
    }

    public @Nullable Records records() {
        return conduct.records();
    }

    public List<String> practices() {
        return sources.practices();
    }

    public List<String> references() {
        return sources.references();
    }

    /** The same procedure with each of its texts said anew, as in another language. */
    public Procedure said(UnaryOperator<String> anew) {
        return new Procedure(
                id,
                version,
                anew.apply(title),
                anew.apply(purpose),
                scope,
                precautions,
                steps.stream().map(step -> step.said(anew)).toList(),
                stops.stream().map(stop -> stop.said(anew)).toList(),
                conduct,
                new Sources(practices(), references().stream().map(anew).toList()));
    }

    public boolean isFor(Duty duty) {
        return duties().isEmpty() || duties().contains(duty);
    }

    /**
     * @param duty of the battery it would be done to; null for a job on the room itself
     * @return whether it can be done there at all
     */
    public boolean canBeDoneTo(@Nullable Duty duty) {
        return duty == null ? subject() == Subject.ROOM : subject() == Subject.BATTERY && isFor(duty);
    }

    public Optional<Step> step(String stepId) {
        return steps.stream().filter(s -> s.id().equals(stepId)).findFirst();
    }

    public Optional<StopCondition> stop(String stopId) {
        return stops.stream().filter(s -> s.id().equals(stopId)).findFirst();
    }

    int indexOf(String stepId) {
        for (int i = 0; i < steps.size(); i++) {
            if (steps.get(i).id().equals(stepId)) {
                return i;
            }
        }
        return -1;
    }

    /** @return whether one look answers all its steps: a site may have added one that wants a figure */
    public boolean canBeLookedOver() {
        return conduct.lookOver()
                && steps.stream().allMatch(step -> step.rightAnswer().isPresent());
    }
}
