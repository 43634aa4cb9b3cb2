package org.ostendum.app.draw;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class StrokesTest {
    @ParameterizedTest
    @CsvSource({"0, 0", "1, 1", "1.04, 1", "1.06, 1.1", "-1.5, -1.5", "-0.04, 0", "-0.06, -0.1", "1279.96, 1280"})
    void numbersAreRoundedToTenths(double x, String written) {
        assertThat(Strokes.polyline(List.of(new Point(x, 0)))).isEqualTo(written + ",0");
    }

    @Test
    void anyNumberReadsBackWithinHalfATenth() {
        Random random = new Random(7);
        for (int i = 0; i < 5000; i++) {
            double x = (random.nextDouble() - 0.5) * 4000;
            String written = Strokes.polyline(List.of(new Point(x, 0)));
            assertThat(Double.parseDouble(written.split(",")[0])).isBetween(x - 0.0501, x + 0.0501);
        }
    }

    @Test
    void aPolylineAndAPathAreWrittenAsSvgReadsThem() {
        List<Point> line = List.of(new Point(1, 2), new Point(3.25, 4));
        assertThat(Strokes.polyline(line)).isEqualTo("1,2 3.3,4");
        assertThat(Strokes.path(List.of(line, line))).isEqualTo("M1,2L3.3,4M1,2L3.3,4");
        assertThat(Strokes.circles(List.of(new Point(10, 10)), 2)).isEqualTo("M8,10a2 2 0 1 0 4 0a2 2 0 1 0 -4 0");
    }
}
