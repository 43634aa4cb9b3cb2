package org.ostendum.app.state;

import java.time.Instant;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.ledger.LedgerEntry;
import org.ostendum.app.ledger.LedgerPayload;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Round;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.Volts;

/** Rounds as the lines of a battery's ledger tell them, with all that later lines have put right. */
final class RoundsTold {
    private final Map<Long, Told> byEntry = new HashMap<>();
    private final Map<Integer, Long> entryOfSeq = new HashMap<>();

    private RoundsTold() {}

    /** A round while its lines are gone through. */
    private static final class Told {
        private final Instant takenAt;
        private RoundState state;
        private @Nullable Celsius temperature;
        private final Map<Integer, CellReading> cells = new TreeMap<>();

        Told(LedgerEntry line) {
            LedgerPayload.RoundRead read = line.told(LedgerPayload.RoundRead.class);
            takenAt = line.happenedAt();
            state = Objects.requireNonNull(read.state());
            temperature = read.temperature();
            read.readings().forEach(this::put);
        }

        void put(CellReading reading) {
            cells.put(reading.cell(), reading);
        }

        Round round() {
            return new Round(takenAt, state, temperature, List.copyOf(cells.values()));
        }
    }

    /**
     * @param lines of one battery, oldest first
     * @return its rounds that hold, by the ids of their lines
     */
    static Map<Long, Round> of(List<LedgerEntry> lines) {
        RoundsTold told = new RoundsTold();
        lines.forEach(told::take);
        Map<Long, Round> rounds = new HashMap<>();
        told.byEntry.forEach((entry, round) -> rounds.put(entry, round.round()));
        return rounds;
    }

    private void take(LedgerEntry line) {
        if (line.kind() == EntryKind.ROUND) {
            byEntry.put(line.id(), new Told(line));
            entryOfSeq.put(line.seq(), line.id());
        } else if (line.kind() == EntryKind.CORRECTION && entryOfSeq.containsKey(line.correctsSeq())) {
            correct(entryOfSeq.get(line.correctsSeq()), line);
        } else if (line.kind() == EntryKind.VOLTAGE) {
            putVolts(line.told(LedgerPayload.RoundVolts.class));
        }
    }

    private void correct(@Nullable Long entry, LedgerEntry correction) {
        Told round = entry == null ? null : byEntry.get(entry);
        if (correction.told(LedgerPayload.TakenBack.class).takenBack() != null) {
            byEntry.remove(entry);
        } else if (round != null) {
            correct(round, correction);
        }
    }

    private static void correct(Told round, LedgerEntry correction) {
        LedgerPayload.RoundCorrected whole = correction.told(LedgerPayload.RoundCorrected.class);
        Integer points = correction.told(LedgerPayload.GravitiesShifted.class).addedPoints();
        if (points != null) {
            List.copyOf(round.cells.values()).forEach(was -> round.put(Corrections.shifted(was, points)));
        } else if (whole.isAboutRound()) {
            LedgerPayload.RoundHead is = Objects.requireNonNull(whole.is());
            round.state = Objects.requireNonNull(is.state());
            round.temperature = is.temperature();
        } else {
            round.put(Objects.requireNonNull(
                    correction.told(LedgerPayload.CellCorrected.class).is()));
        }
    }

    private void putVolts(LedgerPayload.RoundVolts read) {
        Map<Integer, Volts> byCell = read.millivolts();
        if (byCell != null) {
            roundOf(read).ifPresent(round -> putVolts(round, byCell));
        }
    }

    /** Lines of before this was kept told it of the newest round. */
    private Optional<Told> roundOf(LedgerPayload.RoundVolts read) {
        return read.round() != null
                ? Optional.ofNullable(byEntry.get(read.round()))
                : byEntry.values().stream().max(Comparator.comparing(told -> told.takenAt));
    }

    private static void putVolts(Told round, Map<Integer, Volts> millivolts) {
        millivolts.forEach((cell, volts) -> {
            CellReading was = round.cells.get(cell);
            if (was != null) {
                round.put(Corrections.withVolts(was, volts));
            }
        });
    }
}
