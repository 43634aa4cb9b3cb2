package org.ostendum.app.wiring;

import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.ledger.LedgerEntry;
import org.ostendum.app.ledger.LedgerPayload;
import org.ostendum.core.event.EntryKind;
import org.springframework.stereotype.Component;

/** What was done to the cables of a pack, as its ledger tells it: how they came off, which were renewed, what that cost. */
@Component
class CableHistory {
    private static final int LOOKED_BACK = 2_000;

    private final Ledger ledger;

    CableHistory(Ledger ledger) {
        this.ledger = ledger;
    }

    /**
     * A time at which the pack was apart or put together.
     *
     * @param told of single cables, such as "3: rotted"; empty where all were sound
     * @param cost of new ones; null where none is known
     */
    public record Work(Instant at, String title, List<Said> told, @Nullable Double cost, String by) {}

    /** What was found of one cable, in a word: rotted, new. */
    public record Said(String cable, String found) {}

    /** @return the newest first */
    List<Work> of(Battery battery) {
        return ledger.ofBattery(battery.id(), null, LOOKED_BACK).stream()
                .filter(entry -> entry.kind() == EntryKind.JOB)
                .filter(CableHistory::isOfPack)
                .map(CableHistory::work)
                .toList();
    }

    private static boolean isOfPack(LedgerEntry line) {
        return PackSteps.isOfPack(
                Objects.requireNonNullElse(line.told(LedgerPayload.OfJob.class).procedure(), ""));
    }

    private static Work work(LedgerEntry line) {
        LedgerPayload.JobDone done = line.told(LedgerPayload.JobDone.class);
        return new Work(
                line.happenedAt(),
                Objects.requireNonNullElse(done.title(), ""),
                line.told(LedgerPayload.JobCourse.class).stepsDone().stream()
                        .flatMap(step -> said(step).stream())
                        .toList(),
                done.cost() == null ? null : (Double) done.cost().doubleValue(),
                line.person());
    }

    private static Optional<Said> said(LedgerPayload.StepDone step) {
        @Nullable String cable = PackSteps.cable(Objects.requireNonNullElse(step.id(), ""));
        String found = PackSteps.told(Objects.requireNonNullElse(step.value(), ""));
        return cable == null || found.isEmpty() ? Optional.empty() : Optional.of(new Said(cable, found));
    }
}
