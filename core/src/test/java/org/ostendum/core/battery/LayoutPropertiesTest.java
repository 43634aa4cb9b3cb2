package org.ostendum.core.battery;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

class LayoutPropertiesTest {
    private static final String FACINGS = "<>^v";

    /** Any order of the cases in any grid, each facing anywhere. */
    private static String text(int rows, int columns, Random random) {
        List<Integer> numbers = new ArrayList<>();
        for (int i = 1; i <= rows * columns; i++) {
            numbers.add(i);
        }
        Collections.shuffle(numbers, random);
        StringBuilder text = new StringBuilder();
        for (int i = 0; i < numbers.size(); i++) {
            text.append(i == 0 ? "" : i % columns == 0 ? "/" : " ").append(numbers.get(i));
            text.append(FACINGS.charAt(random.nextInt(4)));
        }
        return text.toString();
    }

    @Property
    void aLayoutsTextReadsBackToIt(
            @ForAll @IntRange(min = 1, max = 6) int rows,
            @ForAll @IntRange(min = 1, max = 6) int columns,
            @ForAll long seed) {
        CellLayout layout = LayoutText.parse(text(rows, columns, new Random(seed)), 3);
        assertThat(LayoutText.parse(layout.text(), 3)).isEqualTo(layout);
        assertThat(layout.cells()).isEqualTo(3 * rows * columns);
    }

    @Property
    void anyTextIsALayoutOrAFaultThatSaysWhere(@ForAll String text) {
        try {
            assertThat(LayoutText.parse(text, 1).cells()).isPositive();
        } catch (LayoutFault e) {
            assertThat(e.kind()).isNotNull();
            assertThat(e.piece()).isNotNull();
        }
    }
}
