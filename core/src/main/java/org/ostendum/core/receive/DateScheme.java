package org.ostendum.core.receive;

/** How a maker stamps the month of making. */
public enum DateScheme {
    /** A letter for the month, A to L, and the last digit of the year: C6. */
    LETTER_DIGIT,
    /** The same without the letter I: A to H, J to M. */
    LETTER_DIGIT_NO_I,
    /** The last digit of the year, then the letter: 6C. */
    DIGIT_LETTER,
    /** Two digits of the month and two of the year: 0326. */
    MONTH_YEAR,
    /** Two digits of the week and two of the year: 1126. */
    WEEK_YEAR
}
