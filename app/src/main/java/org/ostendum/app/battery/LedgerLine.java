package org.ostendum.app.battery;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.ledger.LedgerEntry;
import org.ostendum.app.ledger.LedgerPayload;
import org.ostendum.app.words.Words;
import org.ostendum.core.event.Ending;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.judge.Message;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.rulebook.Severity;

/**
 * A line of the ledger in words.
 *
 * @param detail what was read, poured or changed; empty for nothing
 * @param verdict what the judge held then; null where nothing was judged
 * @param severity of that verdict
 * @param corrected whether a later line corrects this one
 */
public record LedgerLine(
        long id,
        int seq,
        String battery,
        String when,
        String what,
        String detail,
        @Nullable String verdict,
        @Nullable String severity,
        String who,
        boolean corrected) {
    /** Written down later than this, the line says when. */
    private static final Duration SOON = Duration.ofHours(12);

    public static LedgerLine of(LedgerEntry entry, Words words) {
        LedgerPayload.Judged judged = entry.kind() == EntryKind.ROUND
                ? entry.told(LedgerPayload.Judged.class)
                : new LedgerPayload.Judged(null);
        @Nullable Message sentence = judged.sentence();
        @Nullable Severity severity = judged.severity();
        return new LedgerLine(
                entry.id(),
                entry.seq(),
                entry.batteryCode(),
                words.moment(entry.happenedAt()),
                words.name(entry.kind()),
                detail(entry, words),
                sentence == null ? null : words.say(sentence),
                severity == null ? null : severity.name(),
                entry.person(),
                entry.correctedBySeq() != null);
    }

    private static String detail(LedgerEntry entry, Words words) {
        List<String> parts = new ArrayList<>();
        add(parts, main(entry, words));
        if (entry.kind() == EntryKind.VOLTAGE) {
            parts.addAll(or(entry.told(LedgerPayload.HeldAgainst.class).held(), List.of()));
        }
        parts.addAll(job(entry, words));
        add(parts, words.phrase(or(entry.told(LedgerPayload.Remark.class).remark(), "")));
        if (entry.correctsSeq() != null) {
            parts.add(words.text("line.corrects", entry.correctsSeq()));
        }
        if (entry.correctedBySeq() != null) {
            parts.add(words.text("line.corrected-by", entry.correctedBySeq()));
        }
        if (Duration.between(entry.happenedAt(), entry.recordedAt()).compareTo(SOON) > 0) {
            parts.add(words.text("line.late", entry.recordedAt()));
        }
        return String.join(" · ", parts);
    }

    private static void add(List<String> parts, String part) {
        if (!part.isEmpty()) {
            parts.add(part);
        }
    }

    private static String main(LedgerEntry entry, Words words) {
        return switch (entry.kind()) {
            case ROUND -> round(entry, words);
            case CORRECTION -> CorrectionLine.of(entry, words);
            case NOTE -> discarded(entry, words);
            case MOVED -> moved(entry, words);
            case WATER, DREW_OFF ->
                entry.quantity() == null ? "" : words.volume(entry.quantity().doubleValue());
            case CHARGE_END -> charge(entry, words);
            case DISCHARGE -> amount("line.amp-hours", entry, words);
            case LEVEL -> cell(entry, words) + ", " + amount("line.millimetres", entry, words);
            case EQUALISE_END, STANDING_FLAT -> amount("line.hours", entry, words);
            case TEMPERATURE_MAX, TEMPERATURE ->
                entry.quantity() == null
                        ? ""
                        : words.temperature(Celsius.of(entry.quantity().doubleValue()));
            case CELL_REPLACED, CELL_MARKED -> marked(entry, words);
            case CELL_BRIDGED -> bridged(entry, words);
            case BLOCKS_MOVED -> blocks(entry, words);
            case KIT_FITTED -> or(entry.told(LedgerPayload.Kit.class).injector(), "");
            case VOLTAGE -> voltage(entry, words);
            case ACID_ADJUSTED -> entry.cell() == null ? "" : cell(entry, words);
            case ADDED,
                    CHARGE_START,
                    WASH,
                    KIT_LOOKED_AT,
                    KIT_TAKEN_OFF,
                    JOB,
                    CHARGER_CHECKED,
                    DEFECT,
                    DEFECT_RIGHTED,
                    HELD,
                    RELEASED,
                    COMMISSIONED,
                    STORED,
                    SIGNED,
                    RETIRED -> "";
            case CAPACITY ->
                words.text(
                        "line.capacity",
                        words.decimal(entry.quantity()),
                        Math.round(100
                                * or(entry.told(LedgerPayload.Capacity.class).part(), 0.0)));
        };
    }

    private static String round(LedgerEntry entry, Words words) {
        LedgerPayload.RoundRead read = entry.told(LedgerPayload.RoundRead.class);
        return words.text(
                "line.round",
                read.readings().size(),
                words.name(Objects.requireNonNull(
                        entry.told(LedgerPayload.RoundTaken.class).coverage())),
                words.name(Objects.requireNonNull(read.state())));
    }

    private static String discarded(LedgerEntry entry, Words words) {
        @Nullable Integer cells = entry.told(LedgerPayload.Discarded.class).discarded();
        return cells == null ? "" : words.text("line.discarded", cells);
    }

    private static String cell(LedgerEntry entry, Words words) {
        return words.text("line.correction.cell", entry.cell() == null ? 0 : entry.cell());
    }

    private static String marked(LedgerEntry entry, Words words) {
        if (entry.cell() == null) {
            return "";
        }
        LedgerPayload.Mark mark = entry.told(LedgerPayload.Mark.class);
        return Stream.of(cell(entry, words), or(mark.serial(), ""), or(mark.dateCode(), ""))
                .filter(part -> !part.isEmpty())
                .collect(Collectors.joining(", "));
    }

    private static String bridged(LedgerEntry entry, Words words) {
        @Nullable Instant until = entry.told(LedgerPayload.Bridge.class).until();
        return words.text(
                "line.bridged", entry.cell() == null ? 0 : entry.cell(), until == null ? "–" : words.date(until));
    }

    /** Only those that stand elsewhere now. */
    private static String blocks(LedgerEntry entry, Words words) {
        List<Integer> from = or(entry.told(LedgerPayload.Blocks.class).from(), List.of());
        return IntStream.range(0, from.size())
                .filter(place -> from.get(place) != place + 1)
                .mapToObj(place -> words.text("line.block-moved", from.get(place), place + 1))
                .collect(Collectors.joining(", "));
    }

    private static String voltage(LedgerEntry entry, Words words) {
        LedgerPayload.Voltages read = entry.told(LedgerPayload.Voltages.class);
        return words.text("line.volts", read.read(), words.text("VoltageRound.Load." + read.load()));
    }

    private static String moved(LedgerEntry entry, Words words) {
        LedgerPayload.Move move = entry.told(LedgerPayload.Move.class);
        if (move.to() != null) {
            return words.text("line.moved", or(move.from(), ""), move.to());
        }
        LedgerPayload.Place place = entry.told(LedgerPayload.Place.class);
        return or(place.machine(), or(place.slot(), ""));
    }

    /** How a charge ended, by what was said of it. */
    private static String charge(LedgerEntry entry, Words words) {
        LedgerPayload.ChargeEnd end = entry.told(LedgerPayload.ChargeEnd.class);
        List<String> parts = new ArrayList<>();
        parts.add(words.text("ending." + or(end.how(), Ending.UNSTATED).word()));
        end.signs().forEach(sign -> parts.add(words.text("ending." + sign.word())));
        add(parts, amount("line.amp-hours", entry, words));
        return String.join(", ", parts);
    }

    /** What a job leaves in the ledger besides its figure. */
    private static List<String> job(LedgerEntry entry, Words words) {
        LedgerPayload.JobDone done = entry.told(LedgerPayload.JobDone.class);
        List<String> parts = new ArrayList<>();
        if (done.title() != null) {
            parts.add(words.phrase(done.title()));
            if (done.stopped() != null) {
                parts.add(words.text("line.stopped", done.stopped()));
            }
            done.defects().forEach(found -> parts.add(words.name(found)));
            entry.told(LedgerPayload.JobCourse.class)
                    .overrides()
                    .forEach(gate -> parts.add(
                            words.text("line.overridden", words.text("GateKey." + gate.gate()), gate.reason())));
        }
        if (done.cost() != null) {
            parts.add(words.money(done.cost().doubleValue()));
        }
        return parts;
    }

    private static String amount(String key, LedgerEntry entry, Words words) {
        return entry.quantity() == null ? "" : words.text(key, entry.quantity());
    }

    private static <T> T or(@Nullable T kept, T otherwise) {
        return Objects.requireNonNullElse(kept, otherwise);
    }
}
