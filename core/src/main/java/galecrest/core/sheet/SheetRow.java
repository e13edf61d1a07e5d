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
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** One row of a job sheet, read cell by cell; every problem is kept with its line and column. */
final class SheetRow {
    private static final Pattern AFTER = Pattern.compile(
            "([^\\s:]+)(?:\\s+(FS|SS|FF))?(?:\\s+\\+(\\d{1,5})(m|h)(w)?)?(?:\\s+risk\\s+(\\d{1,3})%\\s+(\\d{1,5})m)?"
                    + "(?:\\s*:\\s*(\\S.{0,199}))?");

    /** Working days of another firm, and minutes to inspect what it did. */
    private static final int MOST_DAYS = 250;

    private static final int MOST_INSPECTION = 10_000;

    private static final Pattern OUTSIDE =
            Pattern.compile("(\\p{L}[^:]{0,60}?)\\s*:\\s*(\\d{1,3})\\s*-\\s*(\\d{1,3})\\s*-\\s*(\\d{1,3})");

    private final int line;
    private final Map<String, String> cells;
    private final JobSheet.Known known;
    private final List<Problem> problems;

    /**
     * A row.
     *
     * @param line its number in the file, the header being line 1
     * @param cells what stands in it by column
     * @param known what the shop knows by name
     * @param problems where is put what cannot be read
     */
    SheetRow(int line, Map<String, String> cells, JobSheet.Known known, List<Problem> problems) {
        this.line = line;
        this.cells = cells;
        this.known = known;
        this.problems = problems;
    }

    /** What stands in that column; empty where nothing does. */
    String cell(String column) {
        return cells.getOrDefault(column, "").strip();
    }

    private void problem(String column, String message) {
        problems.add(JobSheet.at(line, column, message));
    }

    /**
     * The row as a line; what cannot be read is put among the problems and taken as usual.
     *
     * @param refs of all rows of the sheet
     */
    SheetLine read(Set<String> refs) {
        int likely = minutes("likely_min", 0);
        JobSpec spec = new JobSpec(
                cell("job"),
                choice("zone", Zone.class, Zone.ENGINE_BAY),
                yes("on_car", true),
                yes("whole_car", false),
                minutes("low_min", Math.max(1, likely * 2 / 3)),
                likely,
                minutes("high_min", likely * 2),
                crew(cell("crew")),
                station(cell("station")),
                yes("one_go", false),
                cure(),
                choice("cure_locks", CureLock.class, CureLock.NOTHING),
                choice("gate", Gate.class, Gate.EVENT),
                yes("essential", true),
                number("find_percent"),
                number("find_min"));
        Optional<SheetLine.Outside> outside = outside(cell("outside"));
        for (Problem found : spec.problems()) {
            if (outside.isEmpty() || found.field().equals("name")) {
                problem(column(found.field()), found.message());
            }
        }
        if (outside.isPresent() && (likely < 0 || likely > MOST_INSPECTION)) {
            problem("likely_min", "The inspection takes 0 to " + MOST_INSPECTION + " min.");
        }
        return new SheetLine(
                line, cell("ref"), cell("stage"), spec, cell("note"), after(refs), outside, disturbs(cell("disturbs")));
    }

    private Optional<Set<String>> disturbs(String text) {
        if (text.isEmpty()) {
            return Optional.empty();
        }
        Set<String> kinds = new TreeSet<>();
        for (String kind : text.equalsIgnoreCase(JobSheet.NOTHING) ? new String[0] : text.split(";")) {
            String said = kind.strip();
            if (!known.disturbances().isEmpty()
                    && known.disturbances().stream().noneMatch(k -> k.equalsIgnoreCase(said))) {
                problem(
                        "disturbs",
                        "The shop knows no such work as \"" + said + "\" that disturbs what was measured. There are "
                                + String.join(
                                        "; ",
                                        known.disturbances().stream().sorted().toList())
                                + "; or say " + JobSheet.NOTHING + ".");
            }
            kinds.add(said);
        }
        return Optional.of(Set.copyOf(kinds));
    }

    private Optional<SheetLine.Outside> outside(String text) {
        if (text.isEmpty()) {
            return Optional.empty();
        }
        Matcher said = OUTSIDE.matcher(text);
        if (said.matches()) {
            int low = Integer.parseInt(said.group(2));
            int likely = Integer.parseInt(said.group(3));
            int high = Integer.parseInt(said.group(4));
            if (low <= likely && likely <= high && high <= MOST_DAYS) {
                return Optional.of(new SheetLine.Outside(said.group(1), new Outwork.Turnaround(low, likely, high)));
            }
        }
        problem(
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

    private int minutes(String column, int otherwise) {
        String text = cell(column);
        if (text.isEmpty() && otherwise > 0) {
            return otherwise;
        }
        try {
            return Integer.parseInt(text);
        } catch (NumberFormatException e) {
            problem(column, "\"" + text + "\" is no whole number of minutes.");
            return Math.max(1, otherwise);
        }
    }

    private int number(String column) {
        return cell(column).isEmpty() ? 0 : minutes(column, 0);
    }

    private int cure() {
        String text = cell("cure_h");
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
        problem("cure_h", "\"" + text + "\" is no number of hours between 0 and 1440.");
        return 0;
    }

    private boolean yes(String column, boolean otherwise) {
        String text = cell(column).toLowerCase(Locale.ROOT);
        return switch (text) {
            case "" -> otherwise;
            case "yes", "y", "true", "1" -> true;
            case "no", "n", "false", "0" -> false;
            default -> {
                problem(column, "\"" + text + "\" is neither yes nor no.");
                yield otherwise;
            }
        };
    }

    private <E extends Enum<E>> E choice(String column, Class<E> type, E otherwise) {
        String text = cell(column);
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

    private List<CrewPlace> crew(String text) {
        List<CrewPlace> crew = new ArrayList<>();
        for (String place : text.isEmpty() ? new String[0] : text.split("\\+")) {
            String[] said = place.strip().toLowerCase(Locale.ROOT).split(":", 2);
            String skill = said[0].strip();
            if (!skill.isEmpty() && !known.skills().isEmpty() && !known.skills().contains(skill)) {
                problem(
                        "crew",
                        "Nobody in the shop has the skill \"" + skill + "\". There are "
                                + String.join(
                                        ", ", known.skills().stream().sorted().toList()) + ".");
            }
            crew.add(new CrewPlace(skill, level(said)));
        }
        return crew;
    }

    private Level level(String[] said) {
        if (said.length == 1) {
            return Level.ABLE;
        }
        for (Level level : Level.values()) {
            if (level.name().equalsIgnoreCase(said[1].strip())) {
                return level;
            }
        }
        problem("crew", "\"" + said[1] + "\" is no level; levels are learner, able, lead.");
        return Level.ABLE;
    }

    private String station(String kind) {
        if (!kind.isEmpty() && !known.stations().isEmpty() && !known.stations().contains(kind)) {
            problem(
                    "station",
                    "The shop has no station of the kind \"" + kind + "\". There are "
                            + String.join(
                                    ", ", known.stations().stream().sorted().toList()) + ".");
        }
        return kind;
    }

    private List<SheetLine.After> after(Set<String> refs) {
        List<SheetLine.After> all = new ArrayList<>();
        String text = cell("after");
        for (String one : text.isEmpty() ? new String[0] : text.split(";")) {
            Matcher said = AFTER.matcher(one.strip());
            if (!said.matches()) {
                problem(
                        "after",
                        "\"" + one.strip() + "\" cannot be read. Say a ref, then if need be FS, SS or FF,"
                                + " a lag such as +8h (elapsed) or +90mw (working), risk 20% 60m, and why after a colon.");
            } else if (!refs.contains(said.group(1))) {
                problem("after", "There is no line with the ref " + said.group(1) + ".");
            } else {
                all.add(link(said));
            }
        }
        return all;
    }

    private static SheetLine.After link(Matcher said) {
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
        return new SheetLine.After(
                said.group(1),
                type,
                new Link.Lag(Minutes.of(lag), said.group(5) != null),
                risk,
                Optional.ofNullable(said.group(8)).map(String::strip).orElse(""));
    }
}
