package org.ostendum.standins;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Locale;
import java.util.Random;
import java.util.function.Supplier;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.sim.RoomBattery;

/**
 * The memory of a handheld hydrometer: each battery measured is a round in a CSV file of the form rounds.csv, which the
 * application takes in. The handheld knows tags, not codes: it calls a battery {@code tag-17} unless told its name.
 */
final class HydrometerMemory {
    private static final String HEADER = "battery,taken_at,state,cell,sg,temperature_c";
    /** Points for each kelvin: readings are not corrected. */
    private static final double POINTS_PER_KELVIN = 0.7;

    private final Path file;
    private final Supplier<Instant> clock;
    private final TagNames names;
    private final Random random = new Random(1180);

    /** What the handheld was told to call a battery. */
    interface TagNames {
        String of(long tag);
    }

    HydrometerMemory(Path file, Supplier<Instant> clock, TagNames names) {
        this.file = file;
        this.clock = clock;
        this.names = names;
    }

    synchronized void measure(long tag, RoomBattery battery) {
        Instant now = clock.get().truncatedTo(ChronoUnit.SECONDS);
        StringBuilder lines = new StringBuilder(Files.exists(file) ? "" : HEADER + "\r\n");
        for (int cell = 1; cell <= battery.cells(); cell++) {
            lines.append(line(tag, now, cell, battery)).append("\r\n");
        }
        try {
            Files.writeString(
                    file, lines, StandardCharsets.UTF_8, StandardOpenOption.CREATE, StandardOpenOption.APPEND);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private String line(long tag, Instant now, int cell, RoomBattery battery) {
        Celsius celsius = battery.celsius();
        double points = battery.gravity(cell).tenths() / 10.0
                - POINTS_PER_KELVIN * (celsius.degrees() - 25)
                + random.nextGaussian();
        return String.format(
                Locale.ROOT, "%s,%s,unknown,%d,%.3f,%.1f", names.of(tag), now, cell, points / 1000, celsius.degrees());
    }
}
