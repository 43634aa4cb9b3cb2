package org.ostendum.app.csv;

/**
 * What is wrong in one place of a file.
 *
 * @param line counted from 1, the header's
 * @param expected what is allowed, as part of a sentence
 */
public record CsvProblem(long line, String column, String value, String expected) {}
