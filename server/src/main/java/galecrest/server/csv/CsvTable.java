package galecrest.server.csv;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** Tables as CSV files (RFC 4180), in UTF-8, with commas or semicolons. */
public final class CsvTable {
    private static final int MOST_BYTES = 2 * 1024 * 1024;
    private static final char BYTE_ORDER_MARK = '\uFEFF';

    /** What a spreadsheet takes for the beginning of a formula (OWASP, CSV injection). */
    private static final String FORMULA = "=+-@\t\r";

    private CsvTable() {}

    /** A file that is no table. */
    public static final class Unreadable extends Exception {
        private static final long serialVersionUID = 1;

        Unreadable(String message) {
            super(message);
        }
    }

    /** A table; the names of its columns and the keys of its rows are in small letters. */
    public record Read(List<String> header, List<Map<String, String>> rows) {}

    /**
     * The table in a file, up to one row more than the most that are wanted.
     *
     * @throws Unreadable with what is wrong with the file, in the user's words
     */
    public static Read read(byte[] file, int mostRows) throws Unreadable {
        if (file.length > MOST_BYTES) {
            throw new Unreadable("The file has " + file.length / 1024 / 1024 + " MB; a sheet has at most 2 MB.");
        }
        String text;
        try {
            text = StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(file))
                    .toString();
        } catch (CharacterCodingException e) {
            throw new Unreadable("The file is not in UTF-8. Save it again as \"CSV UTF-8\".");
        }
        if (!text.isEmpty() && text.charAt(0) == BYTE_ORDER_MARK) {
            text = text.substring(1);
        }
        if (text.isBlank()) {
            throw new Unreadable("The file is empty.");
        }
        if (text.indexOf('\0') >= 0) {
            throw new Unreadable("This is no text file.");
        }
        return parse(text, mostRows);
    }

    private static Read parse(String text, int mostRows) throws Unreadable {
        String firstLine = text.lines().findFirst().orElse("");
        char delimiter = firstLine.contains(";") && !firstLine.contains(",") ? ';' : ',';
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setDelimiter(delimiter)
                .setHeader()
                .setSkipHeaderRecord(true)
                .setAllowMissingColumnNames(true)
                .setIgnoreEmptyLines(true)
                .get();
        try (CSVParser parser = CSVParser.parse(new StringReader(text), format)) {
            List<String> header = parser.getHeaderNames().stream()
                    .map(h -> h.strip().toLowerCase(Locale.ROOT))
                    .toList();
            List<Map<String, String>> rows = new ArrayList<>();
            for (CSVRecord row : parser) {
                rows.add(cells(row));
                if (rows.size() > mostRows) {
                    break;
                }
            }
            return new Read(header, rows);
        } catch (IOException | UncheckedIOException | IllegalArgumentException | IllegalStateException e) {
            throw new Unreadable("This is no CSV file that can be read: " + e.getMessage());
        }
    }

    private static Map<String, String> cells(CSVRecord row) {
        return row.toMap().entrySet().stream()
                .collect(Collectors.toMap(
                        e -> e.getKey().strip().toLowerCase(Locale.ROOT), e -> unguarded(e.getValue()), (a, b) -> a));
    }

    /** A line of cells; those that a spreadsheet would take for a formula get an apostrophe in front. */
    public static String line(Stream<String> cells) {
        return CSVFormat.RFC4180.format(cells.map(CsvTable::guarded).toArray()) + "\r\n";
    }

    private static String guarded(String cell) {
        return !cell.isEmpty() && FORMULA.indexOf(cell.charAt(0)) >= 0 ? "'" + cell : cell;
    }

    private static String unguarded(String cell) {
        boolean guarded = cell.length() > 1 && cell.charAt(0) == '\'' && FORMULA.indexOf(cell.charAt(1)) >= 0;
        return guarded ? cell.substring(1) : cell;
    }
}
