package org.ostendum.app.wiring;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.draw.WiringDrawing;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Packs;
import org.ostendum.app.inventory.Packs.CableNote;
import org.ostendum.app.job.Job;
import org.ostendum.app.job.SpecialJob;
import org.ostendum.app.procedure.ProcedureFile;
import org.ostendum.app.words.Words;
import org.ostendum.core.procedure.Run;
import org.ostendum.core.procedure.Step;
import org.ostendum.core.wiring.Cable;
import org.ostendum.core.wiring.Pack;
import org.ostendum.core.wiring.Potentials;
import org.ostendum.core.wiring.Reach;
import org.ostendum.core.wiring.Wiring;
import org.springframework.stereotype.Component;

/** Taking a pack apart and putting it together: a step for each of its cables, drawn with what is live. */
@Component
class PackJobs implements SpecialJob {
    private final Packs packs;
    private final StringCheck string;

    PackJobs(Packs packs, StringCheck string) {
        this.packs = packs;
        this.string = string;
    }

    /**
     * A pack that is taken apart or put together, as it stands.
     *
     * @param bagged cables that are off
     * @param unsound those off that have to be renewed, with what is wrong
     */
    public record PackAt(WiringDrawing drawing, Reach reach, int bagged, List<Part> unsound) {
        /** @return what the new ones cost, as far as prices are known; null where none is */
        public @Nullable BigDecimal cost() {
            return unsound.stream()
                    .map(Part::price)
                    .filter(Objects::nonNull)
                    .reduce(BigDecimal::add)
                    .orElse(null);
        }
    }

    /**
     * A cable to renew.
     *
     * @param told how it came off
     * @param price null where nobody has said
     */
    public record Part(String number, String where, String told, @Nullable BigDecimal price) {}

    @Override
    public boolean isOf(String procedure) {
        return PackSteps.isOfPack(procedure);
    }

    @Override
    public boolean suits(@Nullable Battery battery) {
        return battery != null && packs.of(battery).isPresent();
    }

    @Override
    public boolean isOrdered() {
        return true;
    }

    @Override
    public ProcedureFile written(ProcedureFile file, Begun begun) {
        return packs.of(begun.battery())
                .map(pack -> PackSteps.with(
                        begun.procedure(),
                        file,
                        pack,
                        begun.school(),
                        begun.battery().type().model().capacity()))
                .orElse(file);
    }

    @Override
    public Optional<String> against(Job job, Run run, Step step, String value, Battery battery, Words words) {
        return string.against(run, step, battery, words);
    }

    @Override
    public Optional<Beside> beside(Job job, Run run, Battery battery) {
        return packs.of(battery)
                .map(pack -> new Beside("wiring/at :: pack", at(run, battery, pack, packs.cableNotes(battery.id()))));
    }

    private static PackAt at(Run run, Battery battery, Pack pack, Map<String, CableNote> notes) {
        Wiring now = PackSteps.wiring(run, pack);
        return new PackAt(
                WiringDrawing.of(
                        now,
                        battery.type().cablesLeft(),
                        run.current().map(step -> PackSteps.cable(step.id())).orElse(null)),
                Potentials.of(now).reach(battery.type().model().capacity()),
                pack.cables().size() - now.on().size(),
                pack.cables().stream()
                        .filter(cable -> isToRenew(PackSteps.told(run, cable)))
                        .map(cable -> part(cable, PackSteps.told(run, cable), notes.get(cable.number())))
                        .toList());
    }

    private static boolean isToRenew(String told) {
        return !told.isEmpty() && !told.equals(PackSteps.NEW);
    }

    private static Part part(Cable cable, String told, @Nullable CableNote note) {
        return new Part(cable.number(), PackSteps.where(cable), told, note == null ? null : note.price());
    }

    /** What the new cables cost, at the prices of the day. */
    @Override
    public Optional<BigDecimal> cost(Run run, Battery battery) {
        Map<String, CableNote> notes = packs.cableNotes(battery.id());
        return packs.of(battery).stream()
                .flatMap(pack -> pack.cables().stream())
                .filter(cable -> PackSteps.told(run, cable).equals(PackSteps.NEW))
                .map(cable -> notes.get(cable.number()))
                .filter(note -> note != null && note.price() != null)
                .map(note -> Objects.requireNonNull(note.price()))
                .reduce(BigDecimal::add);
    }
}
