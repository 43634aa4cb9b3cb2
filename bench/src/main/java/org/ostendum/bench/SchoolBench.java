package org.ostendum.bench;

import java.io.PrintStream;
import java.util.List;
import java.util.Locale;
import org.ostendum.core.battery.LayoutText;
import org.ostendum.core.battery.UsualLayout;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.wiring.Pack;
import org.ostendum.core.wiring.School;
import org.ostendum.core.wiring.Tap;
import org.ostendum.core.wiring.WorkOrder;

/** {@code ./ostendum bench schools}: the three orders of taking a pack apart, over every usual layout, with and without a tap. */
final class SchoolBench {
    private static final AmpHours CAPACITY = AmpHours.of(200);
    private static final int[] CELLS_PER_BLOCK = {3, 4, 6};

    private SchoolBench() {}

    static void run(PrintStream out) {
        out.println("blocks  cells  tap   volt-minutes: " + School.NEGATIVE_FIRST + ", " + School.MIDDLE_FIRST + ", "
                + School.LEAST + "; search ms");
        for (int perBlock : CELLS_PER_BLOCK) {
            for (int blocks = 2; blocks <= WorkOrder.MOST_BLOCKS; blocks++) {
                line(out, perBlock, blocks, false);
                line(out, perBlock, blocks, true);
            }
        }
    }

    private static void line(PrintStream out, int perBlock, int blocks, boolean tapped) {
        Pack pack = Pack.of(
                LayoutText.parse(UsualLayout.text(blocks, blocks > 4 ? 2 : 1, perBlock), perBlock),
                tapped ? List.of(new Tap("lights", 1, Math.min(2, blocks))) : List.of());
        StringBuilder line =
                new StringBuilder(String.format(Locale.ROOT, "%6d %6d  %-4s", blocks, perBlock, tapped ? "yes" : "no"));
        for (School school : School.values()) {
            line.append(String.format(
                    Locale.ROOT,
                    "%9.0f",
                    WorkOrder.apart(pack, school, CAPACITY).voltMinutes()));
        }
        long from = System.nanoTime();
        WorkOrder.apart(pack, School.LEAST, CAPACITY);
        out.println(line.append(String.format(Locale.ROOT, "%9.1f", (System.nanoTime() - from) / 1e6)));
    }
}
