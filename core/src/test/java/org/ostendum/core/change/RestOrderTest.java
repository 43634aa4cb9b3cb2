package org.ostendum.core.change;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

class RestOrderTest {
    private static RestOrder of(String code, @Nullable Integer hours, int cycles) {
        return new RestOrder(code, hours == null ? null : Duration.ofHours(hours), cycles);
    }

    @Test
    void restComesBeforeCyclesAndCyclesBeforeTheCode() {
        List<String> order = Stream.of(
                        of("never full", null, 0),
                        of("B", 30, 5),
                        of("A", 35, 5),
                        of("worked less", 26, 2),
                        of("long", 60, 90))
                .sorted()
                .map(RestOrder::code)
                .toList();
        assertThat(order).containsExactly("long", "worked less", "A", "B", "never full");
    }
}
