package org.ostendum.core.judge;

/**
 * One figure a finding rests on.
 *
 * @param name in the words of the contract, such as {@code belowMedian}
 * @param value a quantity or a whole number
 */
public record Evidence(String name, Object value) {}
