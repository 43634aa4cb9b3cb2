package org.ostendum.app.csv;

import java.util.List;

/**
 * What a file came to.
 *
 * @param lines what could be read
 * @param unknown columns that are left unread
 */
public record FileRead<T>(List<T> lines, CsvProblems problems, List<String> unknown) {}
