package org.ostendum.app.change;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.change.LiftMeasures.Hoist;
import org.ostendum.app.draw.BeamSketch;
import org.ostendum.app.draw.Sketch;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.Job;
import org.ostendum.app.job.SpecialJob.Beside;
import org.ostendum.app.words.Words;
import org.ostendum.core.change.RollerBed;
import org.ostendum.core.procedure.Run;
import org.ostendum.core.procedure.Step;
import org.springframework.stereotype.Component;

/** What is drawn beside a change: the beam over the very battery, or the roller bed at the very heights. */
@Component
class LiftViews {
    private static final Set<String> AT_HOOKS = Set.of("hooks", "lift");
    private static final Set<String> AT_BED = Set.of("bed", "rolled", "cart", "carted");

    private final LiftMeasures measures;
    private final Batteries batteries;

    LiftViews(LiftMeasures measures, Batteries batteries) {
        this.measures = measures;
        this.batteries = batteries;
    }

    /**
     * A battery on a beam.
     *
     * @param hoist null where the beam is not on record
     * @param eyes mm; null where nobody has measured
     */
    record OnBeam(long job, Battery battery, @Nullable Hoist hoist, @Nullable Integer eyes) {
        public boolean isDrawn() {
            return hoist != null && eyes != null && hoist.beam().reaches(eyes);
        }

        /** Whether no notch of the beam comes near the eyes. */
        public boolean isBeyond() {
            return hoist != null && eyes != null && !isDrawn();
        }

        public Sketch sketch(Words words) {
            Hoist known = Objects.requireNonNull(hoist);
            return BeamSketch.of(
                    known.beam(), Objects.requireNonNull(eyes), battery.type().weightKg(), words);
        }

        /** Whether the chains hang so askew that another beam is better. */
        public boolean isAskew() {
            return isDrawn()
                    && !Objects.requireNonNull(hoist)
                            .beam()
                            .lift(Objects.requireNonNull(eyes), battery.type().weightKg())
                            .hang()
                            .isStraight();
        }
    }

    /** A roller bed beside a place, its rollers known. */
    record BedAt(String place, int rollers, RollerBed bed) {}

    /** Where the bed goes in a change. */
    record OnBed(List<BedAt> at) {}

    Optional<Beside> beside(Job job, Run run, Battery battery, String changer) {
        String step = run.current().map(Step::id).orElse("");
        if (AT_HOOKS.contains(step)) {
            return Optional.of(new Beside(
                    "change/lift :: beams",
                    lifted(job, battery).stream()
                            .map(one -> onBeam(job, one, changer))
                            .toList()));
        }
        List<BedAt> at = AT_BED.contains(step) ? onBed(job, battery) : List.of();
        return at.isEmpty() ? Optional.empty() : Optional.of(new Beside("change/lift :: bed", new OnBed(at)));
    }

    /** What a beam would have to lift beyond its limit, or without anybody knowing. */
    record TooHeavy(Battery battery, int limitKilograms) {
        boolean isUnknown() {
            return isUnweighed(battery);
        }
    }

    private static boolean isUnweighed(Battery battery) {
        return battery.type().weightKg() == 0;
    }

    /** @return the battery that is too heavy for the beam of a changer, or that nobody has weighed; empty where the beam has no limit */
    Optional<TooHeavy> tooHeavy(Job job, Battery battery, String changer) {
        @Nullable Integer limit = hoist(changer).map(Hoist::limitKilograms).orElse(null);
        return limit == null
                ? Optional.empty()
                : lifted(job, battery).stream()
                        .filter(one -> one.type().weightKg() > limit || isUnweighed(one))
                        .map(one -> new TooHeavy(one, limit))
                        .findFirst();
    }

    /** What goes in; before it what comes out, where that is of another model and so has other eyes. */
    private List<Battery> lifted(Job job, Battery battery) {
        Optional<Battery> old = job.machineId() == null ? Optional.empty() : batteries.inMachine(job.machineId());
        return old.filter(out -> out.type().id() != battery.type().id())
                .map(out -> List.of(out, battery))
                .orElse(List.of(battery));
    }

    private OnBeam onBeam(Job job, Battery battery, String changer) {
        return new OnBeam(
                job.id(),
                battery,
                hoist(changer).orElse(null),
                measures.eyes(battery.type().id()).orElse(null));
    }

    /** @param changer id of its station as answered; anything else for none */
    Optional<Hoist> hoist(String changer) {
        return changer.matches("\\d{1,18}") ? measures.hoist(Long.parseLong(changer)) : Optional.empty();
    }

    private List<BedAt> onBed(Job job, Battery battery) {
        List<BedAt> at = new ArrayList<>();
        if (battery.slotId() != null) {
            measures.rollersOfPlace(battery.slotId())
                    .ifPresent(mm -> at.add(new BedAt(
                            Objects.requireNonNullElse(battery.place(), battery.code()), mm, RollerBed.beside(mm))));
        }
        if (job.machineId() != null) {
            measures.rollersOfMachine(job.machineId())
                    .ifPresent(mm ->
                            at.add(new BedAt(Objects.requireNonNullElse(job.machine(), ""), mm, RollerBed.beside(mm))));
        }
        return at;
    }
}
