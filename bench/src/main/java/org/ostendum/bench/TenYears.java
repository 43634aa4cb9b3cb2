package org.ostendum.bench;

import java.time.Duration;
import java.time.Instant;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Ten years of weekly rounds of a battery, as a program sends them to be judged. */
final class TenYears {
    private static final int CELLS = 20;
    private static final Instant FIRST = Instant.parse("2016-01-04T20:00:00Z");

    private TenYears() {}

    /** @return the body of {@code POST /api/v1/judge} */
    static String body() {
        Random random = new Random(1);
        String rounds = IntStream.range(0, ScratchSite.WEEKS)
                .mapToObj(week -> round(FIRST.plus(Duration.ofDays(7L * week)), random))
                .collect(Collectors.joining(","));
        return "{\"model\":{\"kind\":\"flooded\",\"cells\":" + CELLS
                + ",\"capacityAh\":700,\"rateHours\":6,\"sgFull\":1.285,\"sgEmpty\":1.14,\"use\":\"motive\"},"
                + "\"asOf\":\"" + FIRST.plus(Duration.ofDays(7L * ScratchSite.WEEKS)) + "\",\"rounds\":[" + rounds
                + "]}";
    }

    private static String round(Instant at, Random random) {
        String cells = IntStream.rangeClosed(1, CELLS)
                .mapToObj(cell -> "{\"cell\":" + cell + ",\"sg\":"
                        + (1284 + Math.round(random.nextGaussian() * 3)) / 1000.0 + "}")
                .collect(Collectors.joining(","));
        return "{\"takenAt\":\"" + at + "\",\"state\":\"full_charge\",\"temperatureC\":24,\"cells\":[" + cells + "]}";
    }
}
