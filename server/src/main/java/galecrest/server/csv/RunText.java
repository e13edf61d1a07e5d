package galecrest.server.csv;

import galecrest.core.dyno.RunTable;
import galecrest.server.problem.ValidationException;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * Makes a table of a run file, whatever the road's program wrote: commas, semicolons or tabs; points or commas in the numbers; a
 * line of units below the header, or lines about the shop above it; UTF-8, or what was usual before it.
 */
public final class RunText {
    private static final int MOST_BYTES = 32 * 1024 * 1024;
    private static final int MOST_ROWS = 400_000;
    private static final int MOST_COLUMNS = 200;
    /** So many lines tell what the file is like. */
    private static final int LOOKED_AT = 60;

    private static final Charset BEFORE_UTF_8 = Charset.forName("windows-1252");
    private static final Pattern NUMBER = Pattern.compile("[-+]?\\d{1,12}(?:[.,]\\d{1,12})?(?:[eE][-+]?\\d{1,3})?");
    private static final Pattern WITH_COMMA = Pattern.compile("[-+]?\\d+,\\d+");
    private static final Pattern WITH_POINT = Pattern.compile("[-+]?\\d+\\.\\d+");

    private RunText() {}

    /** The table of a file; a file that is none is refused with the reason. */
    public static RunTable table(byte[] file) {
        if (file.length > MOST_BYTES) {
            throw new ValidationException(
                    "file",
                    "The file has " + file.length / 1024 / 1024 + " MB; a run has at most 32 MB. Split it by runs.");
        }
        String text = text(file);
        List<String> head =
                text.lines().filter(l -> !l.isBlank()).limit(LOOKED_AT).toList();
        if (head.isEmpty()) {
            throw new ValidationException("file", "The file is empty.");
        }
        char part = part(head);
        List<String[]> rows = new ArrayList<>();
        List<Integer> lines = new ArrayList<>();
        read(text, part, rows, lines);
        int first = firstRow(rows);
        if (first < 0) {
            throw new ValidationException(
                    "file", "There are no numbers in columns in it. Export the run as CSV, a line for each sample.");
        }
        return table(rows, lines, first, part);
    }

    private static String text(byte[] file) {
        for (byte b : file) {
            if (b >= 0 && b < ' ' && b != '\n' && b != '\r' && b != '\t') {
                throw new ValidationException(
                        "file", "This is no text file. Export the run from the road's program as CSV.");
            }
        }
        String text;
        try {
            text = StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(file))
                    .toString();
        } catch (CharacterCodingException older) {
            text = new String(file, BEFORE_UTF_8);
        }
        return text.startsWith("\uFEFF") ? text.substring(1) : text;
    }

    /** What parts the columns: of semicolons, tabs and commas the first that stands in most lines. */
    private static char part(List<String> head) {
        for (char part : new char[] {';', '\t'}) {
            if (head.stream().filter(l -> l.indexOf(part) >= 0).count() * 2 > head.size()) {
                return part;
            }
        }
        return ',';
    }

    private static void read(String text, char part, List<String[]> rows, List<Integer> lines) {
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setDelimiter(part)
                .setIgnoreEmptyLines(true)
                .get();
        try (CSVParser parser = CSVParser.parse(new StringReader(text), format)) {
            for (CSVRecord row : parser) {
                if (row.size() > MOST_COLUMNS) {
                    throw new ValidationException("file", "More than " + MOST_COLUMNS + " columns: this is no run.");
                }
                rows.add(row.values());
                lines.add((int) parser.getCurrentLineNumber());
                if (rows.size() > MOST_ROWS) {
                    throw new ValidationException("file", "More than " + MOST_ROWS + " lines: split the file by runs.");
                }
            }
        } catch (IOException | UncheckedIOException | IllegalStateException broken) {
            throw new ValidationException(
                    "file",
                    "It cannot be read as CSV: a quotation mark is not closed, or something stands behind one.");
        }
    }

    /** Where the samples begin: the first of two lines alike that are mostly numbers; −1 where there are none. */
    private static int firstRow(List<String[]> rows) {
        for (int i = 0; i < Math.min(rows.size(), LOOKED_AT); i++) {
            boolean last = i + 1 == rows.size();
            if (isMostlyNumbers(rows.get(i))
                    && (last || (rows.get(i + 1).length == rows.get(i).length && isMostlyNumbers(rows.get(i + 1))))) {
                return i;
            }
        }
        return -1;
    }

    private static boolean isMostlyNumbers(String[] cells) {
        long numbers = Arrays.stream(cells)
                .filter(c -> NUMBER.matcher(c.strip()).matches()
                        || c.strip().equalsIgnoreCase("nan")
                        || Character.isDigit((c.strip() + " ").charAt(0)))
                .count();
        return cells.length > 1 && numbers * 2 > cells.length;
    }

    private static RunTable table(List<String[]> rows, List<Integer> lines, int first, char part) {
        List<String> notices = new ArrayList<>();
        int columns = rows.get(first).length;
        boolean units = first > 1 && looksLikeUnits(rows.get(first - 1), rows.get(first - 2), columns);
        int headerAt = units ? first - 2 : first - 1;
        String[] header = headerAt >= 0 && rows.get(headerAt).length >= columns / 2 + 1
                ? Arrays.copyOf(rows.get(headerAt), columns)
                : new String[columns];
        List<String> names = new ArrayList<>();
        for (int i = 0; i < columns; i++) {
            String name = header[i] == null ? "" : header[i].strip();
            String unit = units && i < rows.get(first - 1).length ? rows.get(first - 1)[i].strip() : "";
            String full = name.isEmpty() ? "column " + (i + 1) : unit.isEmpty() ? name : name + " (" + unit + ")";
            names.add(names.contains(full) ? full + ", column " + (i + 1) : full);
        }
        if (names.stream().allMatch(n -> n.startsWith("column "))) {
            notices.add("The columns have no names: say what each of them holds.");
        }
        List<String[]> samples = List.copyOf(rows.subList(first, rows.size()));
        boolean comma = part != ',' && count(samples, WITH_COMMA) > count(samples, WITH_POINT);
        if (comma) {
            notices.add("The numbers have a comma where others have a point.");
        }
        return new RunTable(names, samples, lines.get(first), comma, notices);
    }

    /** Short words without a number below names: rpm, kW, Nm. */
    private static boolean looksLikeUnits(String[] cells, String[] above, int columns) {
        return cells.length == columns
                && above.length == columns
                && Arrays.stream(cells).allMatch(c -> c.strip().length() <= 6)
                && Arrays.stream(cells).anyMatch(c -> !c.isBlank());
    }

    private static long count(List<String[]> rows, Pattern pattern) {
        return IntStream.range(0, Math.min(rows.size(), LOOKED_AT))
                .mapToObj(rows::get)
                .flatMap(Arrays::stream)
                .filter(c -> pattern.matcher(c.strip()).matches())
                .count();
    }
}
