package org.ostendum.app.ledger;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.capacity.TestKind;
import org.ostendum.core.defect.DefectKind;
import org.ostendum.core.event.BatteryEvent.Fill;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.core.event.Ending;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.event.FullSign;
import org.ostendum.core.judge.Message;
import org.ostendum.core.life.BlockWay;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Coverage;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.procedure.RunEvent;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.Volts;
import org.ostendum.core.rulebook.Severity;
import tools.jackson.databind.JsonNode;

/**
 * What a line of the ledger keeps beside its kind, time, cell and figure. A line keeps one of these or several, whose members stand
 * beside one another in one JSON object; whoever reads a line asks for the one he needs. A member that a line does not keep is null:
 * lines are never written again, and older ones keep less.
 */
public sealed interface LedgerPayload {
    /** Nothing beside. */
    record Nothing() implements LedgerPayload {}

    /** What a person said of it. */
    record Remark(@Nullable String remark) implements LedgerPayload {
        /** @param text blank for none */
        public static Remark of(String text) {
            return new Remark(text.isBlank() ? null : text);
        }
    }

    /** @param dry shipped without electrolyte */
    record Arrival(boolean dry) implements LedgerPayload {}

    /** Where it was put: into a slot or into a machine. */
    record Place(@Nullable String slot, @Nullable String machine) implements LedgerPayload {}

    /** From where to where, in words. */
    record Move(@Nullable String from, @Nullable String to) implements LedgerPayload {}

    /** @param charger its code */
    record Charge(@Nullable ChargeKind charge, @Nullable String charger) implements LedgerPayload {}

    /** How a charge ended, and what spoke for full. */
    record ChargeEnd(@Nullable Ending how, @Nullable List<@Nullable FullSign> evidence) implements LedgerPayload {
        /** @return without signs that this version does not know */
        public List<FullSign> signs() {
            return evidence == null
                    ? List.of()
                    : evidence.stream().filter(Objects::nonNull).toList();
        }
    }

    record Filling(@Nullable Fill fill) implements LedgerPayload {}

    /** What stands on a cell. */
    record Mark(@Nullable String serial, @Nullable String dateCode) implements LedgerPayload {}

    /** @param until when the bridged cell has to be renewed */
    record Bridge(@Nullable Instant until) implements LedgerPayload {}

    /** @param from by place from 1 on, where the block in it stood before */
    record Blocks(@Nullable List<Integer> from) implements LedgerPayload {}

    record Kit(@Nullable String injector) implements LedgerPayload {}

    /** @param part of the rating */
    record Capacity(@Nullable Double part) implements LedgerPayload {}

    /** The discharge test itself. */
    record Test(
            long test,
            @Nullable TestKind kind,
            double amperes,
            double celsius,
            @Nullable Long lastedSeconds,
            @Nullable Double correctedAmpHours)
            implements LedgerPayload {}

    /** @param seal hash of the last line that is signed for */
    record Seal(@Nullable String seal) implements LedgerPayload {}

    /** @param covers number of the last line that is signed for */
    record Signature(int covers, @Nullable String licence) implements LedgerPayload {}

    /** Voltages that were read: under which load, and of how many places. */
    record Voltages(@Nullable String load, int read) implements LedgerPayload {}

    /** @param perCell the middle of the cells, hours after charge and work */
    record RestVoltage(@JsonProperty("restMillivoltsPerCell") @Nullable Volts perCell) implements LedgerPayload {}

    /** @param held against places, in words */
    record HeldAgainst(@Nullable List<String> held) implements LedgerPayload {}

    /**
     * Voltages on charge beside the gravities of a round.
     *
     * @param round the line of the round
     * @param millivolts by cell
     */
    record RoundVolts(@Nullable Long round, @Nullable Map<Integer, Volts> millivolts) implements LedgerPayload {}

    /** What was read in a round. */
    record RoundRead(
            @Nullable RoundState state,
            @JsonProperty("celsiusTenths") @Nullable Celsius temperature,
            @Nullable List<CellReading> cells)
            implements LedgerPayload {
        public List<CellReading> readings() {
            return cells == null ? List.of() : cells;
        }
    }

    /** @param imported true for a round that was read elsewhere */
    record RoundTaken(@Nullable Coverage coverage, @Nullable Boolean imported) implements LedgerPayload {}

    /** @param verdict as {@link VerdictText} writes it; its findings are those of the version that found them */
    record Judged(@Nullable JsonNode verdict) implements LedgerPayload {
        /** @return null for a round that was not judged */
        public @Nullable Message sentence() {
            return verdict == null ? null : VerdictText.readMessage(verdict.path("sentence"));
        }

        /** @return null for a round that was not judged */
        public @Nullable Severity severity() {
            return verdict == null
                    ? null
                    : Severity.valueOf(verdict.path("severity").asString());
        }
    }

    /** @param discarded cells of a round that was begun and thrown away */
    record Discarded(@Nullable Integer discarded) implements LedgerPayload {}

    /** One cell of a round, put right. */
    record CellCorrected(@Nullable CellReading was, @Nullable CellReading is, @Nullable String reason)
            implements LedgerPayload {}

    /** What is true of all cells of a round. */
    record RoundHead(@Nullable RoundState state, @JsonProperty("celsiusTenths") @Nullable Celsius temperature) {}

    /** What is true of all cells of a round, put right. */
    record RoundCorrected(@Nullable RoundHead was, @Nullable RoundHead is, @Nullable String reason)
            implements LedgerPayload {
        /** @return whether the line is about a whole round rather than one cell of it */
        public boolean isAboutRound() {
            return is != null && is.state() != null;
        }
    }

    /** @param addedPoints to every gravity of a round, which was read with a hydrometer that reads wrong; negative where it reads high */
    record GravitiesShifted(@Nullable Integer addedPoints, @Nullable String reason) implements LedgerPayload {}

    /** @param takenBack the kind of the line that should never have been written */
    record TakenBack(@Nullable EntryKind takenBack, @Nullable String reason) implements LedgerPayload {}

    /** The way out of bad blocks that was taken. */
    record WayOut(@Nullable BlockWay way, @Nullable List<Integer> blocks) implements LedgerPayload {}

    /** Where a retired battery went, and what it had left. */
    record Leaving(
            @Nullable String recycler,
            @Nullable String receipt,
            @Nullable Double credit,
            @Nullable CorrectedGravity lastGravity,
            @Nullable Double lastPart)
            implements LedgerPayload {}

    /** The job within which it was done, and its procedure. */
    record OfJob(@Nullable Long job, @Nullable String procedure) implements LedgerPayload {}

    /**
     * A job that has ended.
     *
     * @param stopped why it was broken off; null for one that was done
     * @param cost of its parts, in the site's money
     */
    record JobDone(
            int version,
            @Nullable String title,
            @Nullable String stopped,
            @Nullable BigDecimal cost,
            @Nullable List<DefectKind> found)
            implements LedgerPayload {
        public List<DefectKind> defects() {
            return found == null ? List.of() : found;
        }
    }

    /** What a job was done with. */
    record JobEquipment(@Nullable String machine, @Nullable String charger, @Nullable ChargeKind charge)
            implements LedgerPayload {}

    /** How a job went: its steps, the rows that were written, the gates that were overridden. */
    record JobCourse(
            @Nullable List<StepDone> steps, @Nullable List<JsonNode> rows, @Nullable List<Overridden> overridden)
            implements LedgerPayload {
        public List<StepDone> stepsDone() {
            return steps == null ? List.of() : steps;
        }

        public List<Overridden> overrides() {
            return overridden == null ? List.of() : overridden;
        }
    }

    /** A step of a job. */
    record StepDone(
            @Nullable String id,
            @Nullable String text,
            RunEvent.@Nullable Kind how,
            @Nullable String value,
            @Nullable String by,
            @Nullable Instant at) {}

    /** A gate that somebody went through with a reason. */
    record Overridden(String gate, String reason, @Nullable String by) {}
}
