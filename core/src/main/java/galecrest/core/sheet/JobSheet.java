package galecrest.core.sheet;

import galecrest.core.build.Gate;
import galecrest.core.build.Zone;
import galecrest.core.people.Level;
import galecrest.core.shop.Problem;
import galecrest.core.time.Minutes;
import galecrest.core.work.CrewPlace;
import galecrest.core.work.CureLock;
import galecrest.core.work.Link;
import galecrest.core.work.Outwork;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

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

    private static final Pattern AFTER = Pattern.compile(
            "([^\\s:]+)(?:\\s+(FS|SS|FF))?(?:\\s+\\+(\\d{1,5})(m|h)(w)?)?(?:\\s+risk\\s+(\\d{1,3})%\\s+(\\d{1,5})m)?"
                    + "(?:\\s*:\\s*(\\S.{0,199}))?");

    /** Working days of another firm, and minutes to inspect what it did. */
    private static final int MOST_DAYS = 250;

    private static final int MOST_INSPECTION = 10_000;

    private static final Pattern OUTSIDE =
            Pattern.compile("(\\p{L}[^:]{0,60}?)\\s*:\\s*(\\d{1,3})\\s*-\\s*(\\d{1,3})\\s*-\\s*(\\d{1,3})");

    private final List<Problem> problems = new ArrayList<>();
    private final List<Line> lines = new ArrayList<>();
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

    /**
     * A link to another row of the sheet.
     *
     * @param because why that goes before it; empty where nobody says
     */
    public record After(String ref, Link.Type type, Link.Lag lag, Optional<Link.Risk> risk, String because) {}

    /**
     * A row that was understood.
     *
     * @param number its line in the file, the header being line 1
     * @param disturbs the kinds of work that it is and that disturb what was measured; absent where its words say so
     */
    public record Line(
            int number,
            String ref,
            String stage,
            JobSpec spec,
            String note,
            List<After> after,
            Optional<Outside> outside,
            Optional<Set<String>> disturbs) {
        /** A line that is done in the shop, and disturbs what its words say. */
        public Line(int number, String ref, String stage, JobSpec spec, String note, List<After> after) {
            this(number, ref, stage, spec, note, after, Optional.empty(), Optional.empty());
        }

        /** The same line in another stage. */
        public Line withStage(String other) {
            return new Line(number, ref, other, spec, note, after, outside, disturbs);
        }

        /** The same line as another job. */
        public Line withSpec(JobSpec other) {
            return new Line(number, ref, stage, other, note, after, outside, disturbs);
        }

        /** The same line after others. */
        public Line withAfter(List<After> other) {
            return new Line(number, ref, stage, spec, note, other, outside, disturbs);
        }
    }

    /** Work that another firm does, of which the job's own time is to inspect it when it is back. */
    public record Outside(String trade, Outwork.Turnaround days) {}

    /** The lines that are done in the shop; what comes after work outside comes after what that follows. */
    public static List<Line> inTheShop(List<Line> lines) {
        Map<String, Line> outside = new HashMap<>();
        lines.stream().filter(l -> l.outside().isPresent()).forEach(l -> outside.put(l.ref(), l));
        return lines.stream()
                .filter(l -> l.outside().isEmpty())
                .map(l -> l.withAfter(l.after().stream()
                        .flatMap(a ->
                                outside.containsKey(a.ref()) ? outside.get(a.ref()).after().stream() : Stream.of(a))
                        .toList()))
                .toList();
    }

    /** What was read: the lines, or why not, each problem with its place as "line 7, likely_min". */
    public record Read(List<Line> lines, List<Problem> problems) {}

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

    private void problem(int line, String column, String message) {
        problems.add(new Problem("line " + line + ", " + column, message));
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
        Map<String, Integer> refs = new HashMap<>();
        for (int i = 0; i < rows.size(); i++) {
            String ref = cell(rows.get(i), "ref");
            Integer other = ref.isEmpty() ? null : refs.putIfAbsent(ref, i + 2);
            if (other != null) {
                problem(i + 2, "ref", "The ref " + ref + " is used in line " + other + " already.");
            }
        }
        for (int i = 0; i < rows.size(); i++) {
            row(i + 2, rows.get(i), refs.keySet());
        }
        circle();
    }

    private static String cell(Map<String, String> row, String column) {
        return row.getOrDefault(column, "").strip();
    }

    private void row(int line, Map<String, String> row, Set<String> refs) {
        int likely = minutes(line, row, "likely_min", 0);
        JobSpec spec = new JobSpec(
                cell(row, "job"),
                choice(line, row, "zone", Zone.class, Zone.ENGINE_BAY),
                yes(line, row, "on_car", true),
                yes(line, row, "whole_car", false),
                minutes(line, row, "low_min", Math.max(1, likely * 2 / 3)),
                likely,
                minutes(line, row, "high_min", likely * 2),
                crew(line, cell(row, "crew")),
                station(line, cell(row, "station")),
                yes(line, row, "one_go", false),
                cure(line, row),
                choice(line, row, "cure_locks", CureLock.class, CureLock.NOTHING),
                choice(line, row, "gate", Gate.class, Gate.EVENT),
                yes(line, row, "essential", true),
                number(line, row, "find_percent"),
                number(line, row, "find_min"));
        Optional<Outside> outside = outside(line, cell(row, "outside"));
        for (Problem found : spec.problems()) {
            if (outside.isEmpty() || found.field().equals("name")) {
                problem(line, column(found.field()), found.message());
            }
        }
        if (outside.isPresent() && (likely < 0 || likely > MOST_INSPECTION)) {
            problem(line, "likely_min", "The inspection takes 0 to " + MOST_INSPECTION + " min.");
        }
        lines.add(new Line(
                line,
                cell(row, "ref"),
                cell(row, "stage"),
                spec,
                cell(row, "note"),
                after(line, row, refs),
                outside,
                disturbs(line, cell(row, "disturbs"))));
    }

    private Optional<Set<String>> disturbs(int line, String text) {
        if (text.isEmpty()) {
            return Optional.empty();
        }
        Set<String> kinds = new TreeSet<>();
        for (String kind : text.equalsIgnoreCase(NOTHING) ? new String[0] : text.split(";")) {
            String said = kind.strip();
            if (!known.disturbances.isEmpty() && known.disturbances.stream().noneMatch(k -> k.equalsIgnoreCase(said))) {
                problem(
                        line,
                        "disturbs",
                        "The shop knows no such work as \"" + said + "\" that disturbs what was measured. There are "
                                + String.join(
                                        "; ",
                                        known.disturbances.stream().sorted().toList())
                                + "; or say " + NOTHING + ".");
            }
            kinds.add(said);
        }
        return Optional.of(Set.copyOf(kinds));
    }

    private Optional<Outside> outside(int line, String text) {
        if (text.isEmpty()) {
            return Optional.empty();
        }
        Matcher said = OUTSIDE.matcher(text);
        if (said.matches()) {
            int low = Integer.parseInt(said.group(2));
            int likely = Integer.parseInt(said.group(3));
            int high = Integer.parseInt(said.group(4));
            if (low <= likely && likely <= high && high <= MOST_DAYS) {
                return Optional.of(new Outside(said.group(1), new Outwork.Turnaround(low, likely, high)));
            }
        }
        problem(
                line,
                "outside",
                "\"" + text + "\" cannot be read. Say the trade, then its working days at best, likely and at worst,"
                        + " such as \"tuning: 1-2-3\".");
        return Optional.empty();
    }

    private static String column(String field) {
        return switch (field) {
            case "name" -> "job";
            case "lowMinutes" -> "low_min";
            case "likelyMinutes" -> "likely_min";
            case "highMinutes" -> "high_min";
            case "wholeCar" -> "whole_car";
            case "cureMinutes" -> "cure_h";
            case "findPercent" -> "find_percent";
            case "findMinutes" -> "find_min";
            default -> field;
        };
    }

    private int minutes(int line, Map<String, String> row, String column, int otherwise) {
        String text = cell(row, column);
        if (text.isEmpty() && otherwise > 0) {
            return otherwise;
        }
        try {
            return Integer.parseInt(text);
        } catch (NumberFormatException e) {
            problem(line, column, "\"" + text + "\" is no whole number of minutes.");
            return Math.max(1, otherwise);
        }
    }

    private int number(int line, Map<String, String> row, String column) {
        return cell(row, column).isEmpty() ? 0 : minutes(line, row, column, 0);
    }

    private int cure(int line, Map<String, String> row) {
        String text = cell(row, "cure_h");
        if (text.isEmpty()) {
            return 0;
        }
        try {
            double hours = Double.parseDouble(text);
            if (hours >= 0 && hours <= 60 * 24) {
                return (int) Math.round(hours * 60);
            }
        } catch (NumberFormatException e) {
            // said below, as for a number out of range
        }
        problem(line, "cure_h", "\"" + text + "\" is no number of hours between 0 and 1440.");
        return 0;
    }

    private boolean yes(int line, Map<String, String> row, String column, boolean otherwise) {
        String text = cell(row, column).toLowerCase(Locale.ROOT);
        return switch (text) {
            case "" -> otherwise;
            case "yes", "y", "true", "1" -> true;
            case "no", "n", "false", "0" -> false;
            default -> {
                problem(line, column, "\"" + text + "\" is neither yes nor no.");
                yield otherwise;
            }
        };
    }

    private <E extends Enum<E>> E choice(int line, Map<String, String> row, String column, Class<E> type, E otherwise) {
        String text = cell(row, column);
        if (text.isEmpty()) {
            return otherwise;
        }
        String wanted = text.toUpperCase(Locale.ROOT).replace(' ', '_').replace('-', '_');
        for (E value : type.getEnumConstants()) {
            if (value.name().equals(wanted)) {
                return value;
            }
        }
        problem(
                line,
                column,
                "\"" + text + "\" is none of "
                        + String.join(
                                ", ",
                                Arrays.stream(type.getEnumConstants())
                                        .map(v -> v.name().toLowerCase(Locale.ROOT))
                                        .toList())
                        + ".");
        return otherwise;
    }

    private List<CrewPlace> crew(int line, String text) {
        List<CrewPlace> crew = new ArrayList<>();
        for (String place : text.isEmpty() ? new String[0] : text.split("\\+")) {
            String[] said = place.strip().toLowerCase(Locale.ROOT).split(":", 2);
            String skill = said[0].strip();
            if (!skill.isEmpty() && !known.skills.isEmpty() && !known.skills.contains(skill)) {
                problem(
                        line,
                        "crew",
                        "Nobody in the shop has the skill \"" + skill + "\". There are "
                                + String.join(
                                        ", ", known.skills.stream().sorted().toList()) + ".");
            }
            crew.add(new CrewPlace(skill, level(line, said)));
        }
        return crew;
    }

    private Level level(int line, String[] said) {
        if (said.length == 1) {
            return Level.ABLE;
        }
        for (Level level : Level.values()) {
            if (level.name().equalsIgnoreCase(said[1].strip())) {
                return level;
            }
        }
        problem(line, "crew", "\"" + said[1] + "\" is no level; levels are learner, able, lead.");
        return Level.ABLE;
    }

    private String station(int line, String kind) {
        if (!kind.isEmpty() && !known.stations.isEmpty() && !known.stations.contains(kind)) {
            problem(
                    line,
                    "station",
                    "The shop has no station of the kind \"" + kind + "\". There are "
                            + String.join(", ", known.stations.stream().sorted().toList()) + ".");
        }
        return kind;
    }

    private List<After> after(int line, Map<String, String> row, Set<String> refs) {
        List<After> all = new ArrayList<>();
        String text = cell(row, "after");
        for (String one : text.isEmpty() ? new String[0] : text.split(";")) {
            Matcher said = AFTER.matcher(one.strip());
            if (!said.matches()) {
                problem(
                        line,
                        "after",
                        "\"" + one.strip() + "\" cannot be read. Say a ref, then if need be FS, SS or FF,"
                                + " a lag such as +8h (elapsed) or +90mw (working), risk 20% 60m, and why after a colon.");
            } else if (!refs.contains(said.group(1))) {
                problem(line, "after", "There is no line with the ref " + said.group(1) + ".");
            } else {
                all.add(link(said));
            }
        }
        return all;
    }

    private static After link(Matcher said) {
        Link.Type type =
                switch (said.group(2) == null ? "FS" : said.group(2)) {
                    case "SS" -> Link.Type.START_START;
                    case "FF" -> Link.Type.FINISH_FINISH;
                    default -> Link.Type.FINISH_START;
                };
        int lag = said.group(3) == null
                ? 0
                : Integer.parseInt(said.group(3)) * (said.group(4).equals("h") ? 60 : 1);
        Optional<Link.Risk> risk = said.group(6) == null
                ? Optional.empty()
                : Optional.of(new Link.Risk(
                        Math.min(100, Integer.parseInt(said.group(6))) / 100.0,
                        Minutes.of(Integer.parseInt(said.group(7)))));
        return new After(
                said.group(1),
                type,
                new Link.Lag(Minutes.of(lag), said.group(5) != null),
                risk,
                Optional.ofNullable(said.group(8)).map(String::strip).orElse(""));
    }

    private void circle() {
        Map<String, Line> byRef = new LinkedHashMap<>();
        lines.forEach(l -> byRef.put(l.ref(), l));
        for (Line start : lines) {
            List<String> path = new ArrayList<>();
            if (!start.ref().isEmpty() && search(start, start.ref(), byRef, path, new HashSet<>())) {
                Collections.reverse(path);
                problem(start.number(), "after", "The lines close a circle: " + String.join(" → ", path) + ".");
                return;
            }
        }
    }

    private static boolean search(
            Line at, String target, Map<String, Line> byRef, List<String> path, Set<String> seen) {
        path.add(at.spec().name());
        for (After after : at.after()) {
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
