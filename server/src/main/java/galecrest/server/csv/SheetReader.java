package galecrest.server.csv;

import galecrest.core.shop.Problem;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/** Reads a table row by row into forms and gathers what is wrong, by line and column. */
public final class SheetReader {
    public static final int MOST_ROWS = 2000;

    private SheetReader() {}

    /** A row that could be read, with its line in the file; the header is line 1. */
    public record Row<F>(int line, F form) {}

    /** The rows, and all that is wrong with the sheet; it is taken in whole or not at all. */
    public record Read<F>(List<Row<F>> rows, List<Problem> problems) {}

    /**
     * @param columns what a sheet may have; the first of them it must have
     * @param reader makes a form of the cells of a row
     * @param checks what is wrong with a form
     */
    public static <F> Read<F> read(
            byte[] file, List<String> columns, Function<Cells, F> reader, Function<F, List<Problem>> checks) {
        CsvTable.Read table;
        try {
            table = CsvTable.read(file, MOST_ROWS);
        } catch (CsvTable.Unreadable wrong) {
            return new Read<>(List.of(), List.of(new Problem("file", wrong.getMessage())));
        }
        List<Problem> problems = new ArrayList<>();
        if (!table.header().contains(columns.get(0))) {
            problems.add(new Problem(
                    "line 1",
                    "There is no column \"" + columns.get(0) + "\". The columns are: " + String.join(", ", columns)
                            + "."));
        }
        table.header().stream()
                .filter(h -> !columns.contains(h))
                .forEach(h -> problems.add(new Problem("line 1", "The column \"" + h + "\" is not known here.")));
        if (table.rows().size() > MOST_ROWS) {
            problems.add(new Problem("file", "More than " + MOST_ROWS + " lines; split the sheet."));
        }
        List<Row<F>> rows = new ArrayList<>();
        boolean readable = problems.isEmpty();
        for (int i = 0; readable && i < table.rows().size(); i++) {
            int line = i + 2;
            List<Problem> own = new ArrayList<>();
            F form = reader.apply(new Cells(table.rows().get(i), own));
            rows.add(new Row<>(line, form));
            own.addAll(checks.apply(form));
            own.forEach(p -> problems.add(new Problem("line " + line + ", " + p.field(), p.message())));
        }
        return new Read<>(problems.isEmpty() ? rows : List.of(), problems);
    }

    /** The cells of a row; what cannot be read becomes a problem of the row. */
    public record Cells(Map<String, String> row, List<Problem> problems) {
        public String text(String column) {
            return row.getOrDefault(column, "").strip();
        }

        /** What a cell says; empty where it is empty or cannot be read. */
        public <T> Optional<T> read(String column, Function<String, T> reader) {
            String text = text(column);
            if (text.isEmpty()) {
                return Optional.empty();
            }
            try {
                return Optional.of(reader.apply(text));
            } catch (DateTimeParseException e) {
                problems.add(new Problem(
                        column,
                        "\"" + text + "\" is no day or time; write a day as 2026-11-30, a time as 2026-11-30 09:00."));
            } catch (NumberFormatException e) {
                problems.add(new Problem(column, "\"" + text + "\" is no number; write 12.50 without a currency."));
            } catch (IllegalArgumentException e) {
                problems.add(new Problem(column, e.getMessage()));
            }
            return Optional.empty();
        }

        /** Yes or no; no where the cell is empty. */
        public boolean yes(String column) {
            return read(column, text -> switch (text.toLowerCase(Locale.ROOT)) {
                        case "yes" -> true;
                        case "no" -> false;
                        default -> throw new IllegalArgumentException("\"" + text + "\": say yes or no.");
                    })
                    .orElse(false);
        }
    }
}
