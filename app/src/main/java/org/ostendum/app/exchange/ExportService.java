package org.ostendum.app.exchange;

import java.io.IOException;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.event.GivenEvent;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.state.ClosedRound;
import org.ostendum.app.state.Rounds;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.ReadingNote;
import org.ostendum.core.measure.Round;
import org.ostendum.core.quantity.Celsius;
import org.springframework.stereotype.Service;

/** Writes what is on record in the forms that can be taken in again. */
@Service
class ExportService {
    private final Batteries batteries;
    private final Rounds rounds;
    private final Ledger ledger;
    private final ZoneId zone;

    ExportService(Batteries batteries, Rounds rounds, Ledger ledger, ZoneId zone) {
        this.batteries = batteries;
        this.rounds = rounds;
        this.ledger = ledger;
        this.zone = zone;
    }

    /** @param code of one battery, empty for all */
    void rounds(String code, Appendable out) throws IOException {
        try (CSVPrinter csv = printer(out, RoundsCsv.COLUMNS)) {
            for (Battery battery : asked(code)) {
                for (ClosedRound closed : rounds.history(battery.id(), Integer.MAX_VALUE)) {
                    Round round = closed.past().round();
                    for (CellReading reading : round.readings()) {
                        csv.printRecord(line(battery, round, reading));
                    }
                }
            }
        }
    }

    private List<Object> line(Battery battery, Round round, CellReading reading) {
        @Nullable Celsius temperature = round.temperatureOf(reading);
        return List.of(
                battery.code(),
                round.takenAt().atZone(zone).toOffsetDateTime(),
                RoundsCsv.word(round.state()),
                reading.cell(),
                reading.gravity() == null
                        ? ""
                        : BigDecimal.valueOf(reading.gravity().points(), 3),
                temperature == null ? "" : BigDecimal.valueOf(temperature.tenths(), 1),
                reading.volts() == null
                        ? ""
                        : BigDecimal.valueOf(reading.volts().millivolts(), 3),
                reading.volts() == null ? "" : reading.onCharge(),
                "",
                note(reading));
    }

    private static String note(CellReading reading) {
        return String.join(
                " ",
                Stream.of(
                                reading.tooLow() ? "too_low" : "",
                                reading.level() == null ? "" : RoundsCsv.levelWord(reading.level()),
                                ReadingNote.telling(reading.colour()))
                        .filter(s -> !s.isEmpty())
                        .toList());
    }

    /** @param code of one battery, empty for all */
    void events(String code, Appendable out) throws IOException {
        try (CSVPrinter csv = printer(out, EventsCsv.COLUMNS)) {
            for (Battery battery : asked(code)) {
                for (BatteryEvent event : ledger.events(battery.id(), Instant.EPOCH)) {
                    @Nullable GivenEvent given = GivenEvent.of(event);
                    if (given != null) {
                        csv.printRecord(line(battery, given));
                    }
                }
            }
        }
    }

    private List<Object> line(Battery battery, GivenEvent event) {
        return List.of(
                battery.code(),
                event.at().atZone(zone).toOffsetDateTime(),
                event.type().word(),
                event.quantity() == null
                        ? ""
                        : BigDecimal.valueOf(event.quantity())
                                .stripTrailingZeros()
                                .toPlainString(),
                event.type().unit(),
                event.cell() == null ? "" : event.cell(),
                event.note(),
                event.how(),
                String.join(" ", event.evidence()),
                event.charger());
    }

    private static CSVPrinter printer(Appendable out, List<String> columns) throws IOException {
        return CSVFormat.RFC4180
                .builder()
                .setHeader(columns.toArray(String[]::new))
                .get()
                .print(out);
    }

    private List<Battery> asked(String code) {
        return code.isEmpty()
                ? batteries.ever()
                : batteries.byCode(code).stream().toList();
    }
}
