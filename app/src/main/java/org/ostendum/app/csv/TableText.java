package org.ostendum.app.csv;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;

/** Tables as spreadsheets give them, with tabs or semicolons between the cells, made into CSV by RFC 4180. */
public final class TableText {
    private static final String MARK = "\uFEFF";

    private TableText() {}

    /** @return the same table with commas; as it is where it has them already or is no table */
    public static byte[] csv(byte[] content) {
        String text = new String(content, StandardCharsets.UTF_8);
        String bare = text.startsWith(MARK) ? text.substring(1) : text;
        String header = bare.strip().lines().findFirst().orElse("");
        char between = header.contains("\t") ? '\t' : header.contains(",") ? ',' : header.contains(";") ? ';' : ',';
        return between == ',' ? content : withCommas(bare.strip(), between);
    }

    private static byte[] withCommas(String text, char between) {
        CSVFormat given = CSVFormat.RFC4180.builder().setDelimiter(between).get();
        StringBuilder out = new StringBuilder();
        try (CSVParser lines = CSVParser.parse(text, given);
                CSVPrinter csv = new CSVPrinter(out, CSVFormat.RFC4180)) {
            csv.printRecords(lines);
        } catch (IOException | UncheckedIOException e) {
            // What cannot be read so is told by the reader of the file, with its line.
            return text.getBytes(StandardCharsets.UTF_8);
        }
        return out.toString().getBytes(StandardCharsets.UTF_8);
    }

    /** @return the first column of the header, in small letters; empty where there is none */
    public static String firstColumn(byte[] csv) {
        String text = new String(csv, StandardCharsets.UTF_8);
        String bare = text.startsWith(MARK) ? text.substring(1) : text;
        String header = bare.strip().lines().findFirst().orElse("");
        return header.split(",", 2)[0].replace("\"", "").strip().toLowerCase(java.util.Locale.ROOT);
    }
}
