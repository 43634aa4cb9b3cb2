package org.ostendum.core.judge;

/**
 * One figure that something rests on.
 *
 * @param name in the words of the contract, such as {@code belowMedian}
 * @param value a quantity, a whole number or a word
 */
public record Figure(String name, Object value) {}
