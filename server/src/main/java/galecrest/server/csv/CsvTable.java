package galecrest.server.csv;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * Tables as CSV files (RFC 4180): with commas; or with semicolons or tabs, as spreadsheets save them where numbers have a
 * comma, and then numbers and days are read as they are written there.
 */
public final class CsvTable {
    private static final int MOST_BYTES = 2 * 1024 * 1024;
    private static final Charset BEFORE_UTF_8 = Charset.forName("windows-1252");
    private static final String PARTS = ",;\t";
    private static final Pattern WITH_COMMA = Pattern.compile("[-+]?\\d{1,12},\\d{1,6}");
    private static final Pattern DAY = Pattern.compile("(\\d{1,2})\\.(\\d{1,2})\\.(\\d{4})( \\d{1,2}:\\d{2})?");
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
        String text = text(file);
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

    /** In UTF-8, else in what spreadsheets of Western Europe write where nobody asks them for it. */
    private static String text(byte[] file) {
        try {
            return StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(file))
                    .toString();
        } catch (CharacterCodingException older) {
            return new String(file, BEFORE_UTF_8);
        }
    }

    /** What parts the columns: of comma, semicolon and tab the one that stands most often in the first line, outside quotes. */
    private static char delimiter(String text) {
        int[] found = new int[PARTS.length()];
        boolean quoted = false;
        for (int i = 0; i < text.length() && (quoted || text.charAt(i) != '\n'); i++) {
            char c = text.charAt(i);
            quoted ^= c == '"';
            int part = quoted ? -1 : PARTS.indexOf(c);
            if (part >= 0) {
                found[part]++;
            }
        }
        int most = 0;
        for (int i = 1; i < found.length; i++) {
            most = found[i] > found[most] ? i : most;
        }
        return PARTS.charAt(most);
    }

    private static Read parse(String text, int mostRows) throws Unreadable {
        char delimiter = delimiter(text);
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
                rows.add(cells(row, delimiter != ','));
                if (rows.size() > mostRows) {
                    break;
                }
            }
            return new Read(header, rows);
        } catch (IOException | UncheckedIOException | IllegalArgumentException | IllegalStateException e) {
            throw new Unreadable("This is no CSV file that can be read: " + e.getMessage());
        }
    }

    private static Map<String, String> cells(CSVRecord row, boolean european) {
        return row.toMap().entrySet().stream()
                .collect(Collectors.toMap(
                        e -> e.getKey().strip().toLowerCase(Locale.ROOT),
                        e -> said(unguarded(e.getValue()), european),
                        (a, b) -> a));
    }

    /**
     * A figure or a day as it is written where commas part no columns: "12,50" is 12.50, "3.12.2026" is 2026-12-03.
     */
    private static String said(String cell, boolean european) {
        if (!european) {
            return cell;
        }
        String text = cell.strip();
        if (WITH_COMMA.matcher(text).matches()) {
            return text.replace(",", ".");
        }
        Matcher day = DAY.matcher(text);
        return day.matches()
                ? String.format(
                        Locale.ROOT,
                        "%s-%02d-%02d%s",
                        day.group(3),
                        Integer.parseInt(day.group(2)),
                        Integer.parseInt(day.group(1)),
                        day.group(4) == null ? "" : day.group(4))
                : cell;
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
