package org.ostendum.core.judge;

import java.util.List;

/** Cell numbers, ascending, as one word of a sentence: "cell 9", "cells 3, 4 and 9". */
public record Cells(List<Integer> numbers) {
    public Cells {
        numbers = numbers.stream().sorted().toList();
    }

    public static Cells of(int cell) {
        return new Cells(List.of(cell));
    }

    public boolean isEmpty() {
        return numbers.isEmpty();
    }
}
