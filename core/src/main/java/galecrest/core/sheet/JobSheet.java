package galecrest.core.sheet;

import galecrest.core.shop.Problem;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * A job sheet: the jobs of a build as rows of a table. Reading finds every problem by line and column, and takes the
 * whole sheet or nothing. The columns are described in {@code docs/formats.md}.
 */
public final class JobSheet {
    /** The columns in the order in which a sheet is written. */
    public static final List<String> COLUMNS = List.of(
            "ref",
            "stage",
            "job",
            "zone",
            "on_car",
            "whole_car",
            "low_min",
            "likely_min",
            "high_min",
            "crew",
            "station",
            "one_go",
            "cure_h",
            "cure_locks",
            "gate",
            "essential",
            "find_percent",
            "find_min",
            "after",
            "note",
            "outside",
            "disturbs");
    /** A sheet without these cannot be read. */
    public static final List<String> NEEDED = List.of("job", "likely_min", "crew");
    /** A job that disturbs nothing, whatever its words say. */
    public static final String NOTHING = "nothing";
    /** Longer sheets than any car needs are refused. */
    public static final int MOST_ROWS = 2_000;

    private final List<Problem> problems = new ArrayList<>();
    private final List<SheetLine> lines = new ArrayList<>();
    private final Known known;

    private JobSheet(Known known) {
        this.known = known;
    }

    /**
     * What the shop knows by name; of what is empty, any name is taken.
     *
     * @param skills that somebody has
     * @param stations kinds of station
     * @param disturbances kinds of work that disturb what was measured
     */
    public record Known(Set<String> skills, Set<String> stations, Set<String> disturbances) {
        /** Takes any name. */
        public static final Known ANYTHING = new Known(Set.of(), Set.of(), Set.of());
    }

    /** What was read: the lines, or why not, each problem with its place as "line 7, likely_min". */
    public record Read(List<SheetLine> lines, List<Problem> problems) {}

    /**
     * Reads the rows of a sheet.
     *
     * @param header the names of its columns
     * @param rows the cells of each row by column, the first of them line 2
     * @param known what the shop knows by name
     */
    public static Read read(List<String> header, List<Map<String, String>> rows, Known known) {
        JobSheet sheet = new JobSheet(known);
        sheet.header(header);
        if (sheet.problems.isEmpty()) {
            sheet.rows(rows);
        }
        return new Read(List.copyOf(sheet.lines), List.copyOf(sheet.problems));
    }

    private void header(List<String> header) {
        List<String> missing = NEEDED.stream().filter(c -> !header.contains(c)).toList();
        if (!missing.isEmpty()) {
            problem(
                    1,
                    String.join(", ", missing),
                    "The column is missing. Needed are " + String.join(", ", NEEDED) + ".");
        }
        for (String column : header) {
            if (!COLUMNS.contains(column)) {
                problem(1, column, "There is no such column. The columns are " + String.join(", ", COLUMNS) + ".");
            }
        }
    }

    /** A problem with its place, as "line 7, likely_min". */
    static Problem at(int line, String column, String message) {
        return new Problem("line " + line + ", " + column, message);
    }

    private void problem(int line, String column, String message) {
        problems.add(at(line, column, message));
    }

    private void rows(List<Map<String, String>> rows) {
        if (rows.size() > MOST_ROWS) {
            problem(
                    MOST_ROWS + 2,
                    "job",
                    "A sheet has at most " + MOST_ROWS + " jobs; this one has " + rows.size() + ".");
            return;
        }
        if (rows.isEmpty()) {
            problem(2, "job", "The sheet has no jobs.");
        }
        List<SheetRow> all = new ArrayList<>();
        for (int i = 0; i < rows.size(); i++) {
            all.add(new SheetRow(i + 2, rows.get(i), known, problems));
        }
        Map<String, Integer> refs = new HashMap<>();
        for (int i = 0; i < rows.size(); i++) {
            String ref = all.get(i).cell("ref");
            Integer other = ref.isEmpty() ? null : refs.putIfAbsent(ref, i + 2);
            if (other != null) {
                problem(i + 2, "ref", "The ref " + ref + " is used in line " + other + " already.");
            }
        }
        all.forEach(row -> lines.add(row.read(refs.keySet())));
        circle();
    }

    private void circle() {
        Map<String, SheetLine> byRef = new LinkedHashMap<>();
        lines.forEach(l -> byRef.put(l.ref(), l));
        for (SheetLine start : lines) {
            List<String> path = new ArrayList<>();
            if (!start.ref().isEmpty() && search(start, start.ref(), byRef, path, new HashSet<>())) {
                Collections.reverse(path);
                problem(start.number(), "after", "The lines close a circle: " + String.join(" → ", path) + ".");
                return;
            }
        }
    }

    private static boolean search(
            SheetLine at, String target, Map<String, SheetLine> byRef, List<String> path, Set<String> seen) {
        path.add(at.spec().name());
        for (SheetLine.After after : at.after()) {
            if (after.ref().equals(target)) {
                path.add(byRef.get(target).spec().name());
                return true;
            }
            if (seen.add(after.ref()) && search(byRef.get(after.ref()), target, byRef, path, seen)) {
                return true;
            }
        }
        path.remove(path.size() - 1);
        return false;
    }
}
