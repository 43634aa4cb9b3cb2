package org.ostendum.app.csv;

import java.io.FilterReader;
import java.io.IOException;
import java.io.PushbackReader;
import java.io.Reader;

/** Passes over the byte order mark that some spreadsheets write first. */
final class WithoutMark extends FilterReader {
    private static final char MARK = '\uFEFF';

    WithoutMark(Reader text) throws IOException {
        super(new PushbackReader(text, 1));
        int first = in.read();
        if (first != MARK && first >= 0) {
            ((PushbackReader) in).unread(first);
        }
    }
}
