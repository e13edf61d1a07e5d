package galecrest.server.parts;

import galecrest.core.parts.PartState;
import galecrest.core.shop.Problem;
import galecrest.server.NewId;
import galecrest.server.access.LeadOrManager;
import galecrest.server.exchange.CsvTable;
import galecrest.server.journal.Journal;
import galecrest.server.parts.PartController.PartForm;
import galecrest.server.parts.PartSheetController.PartLinePreview;
import galecrest.server.parts.PartSheetController.PartsPreview;
import galecrest.server.problem.BadInput;
import galecrest.server.problem.NotThere;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Parts as a CSV table: read with a preview and the problems by line, taken in whole or not at all, written out. */
@Service
@LeadOrManager
class PartSheetService {
    private static final List<String> COLUMNS = List.of(
            "part",
            "quantity",
            "state",
            "vendor",
            "price",
            "promised",
            "needed by",
            "customer brings",
            "kit",
            "specification");
    private static final int MOST_ROWS = 2000;
    /** Deliveries come by noon, where only the day is said. */
    private static final LocalTime NOON = LocalTime.NOON;

    private final PartRepository parts;
    private final PartService checks;
    private final DeskRepository desk;
    private final Journal journal;
    private final Clock clock;

    PartSheetService(PartRepository parts, PartService checks, DeskRepository desk, Journal journal, Clock clock) {
        this.parts = parts;
        this.checks = checks;
        this.desk = desk;
        this.journal = journal;
        this.clock = clock;
    }

    private record Read(List<PartForm> forms, List<PartLinePreview> lines, List<Problem> problems) {}

    PartsPreview preview(String build, byte[] file) {
        Read read = read(build, file);
        return new PartsPreview(read.problems().isEmpty() ? read.lines() : List.of(), read.problems());
    }

    int importSheet(String build, byte[] file) {
        Read read = read(build, file);
        BadInput.throwIfAny(read.problems());
        Instant now = clock.instant();
        journal.change("imported " + read.forms().size() + " parts for the " + desk.build(build), () -> read.forms()
                .forEach(form -> parts.insert(NewId.next(), form, now)));
        return read.forms().size();
    }

    private Read read(String build, byte[] file) {
        if (!parts.isBuild(build)) {
            throw new NotThere("build");
        }
        CsvTable.Read table;
        try {
            table = CsvTable.read(file, MOST_ROWS);
        } catch (CsvTable.Unreadable wrong) {
            return new Read(List.of(), List.of(), List.of(new Problem("file", wrong.getMessage())));
        }
        List<Problem> problems = new ArrayList<>();
        if (!table.header().contains("part")) {
            problems.add(new Problem(
                    "line 1", "There is no column \"part\". The columns are: " + String.join(", ", COLUMNS) + "."));
        }
        table.header().stream()
                .filter(h -> !COLUMNS.contains(h))
                .forEach(h -> problems.add(new Problem("line 1", "The column \"" + h + "\" is not known here.")));
        if (table.rows().size() > MOST_ROWS) {
            problems.add(new Problem("file", "More than " + MOST_ROWS + " lines; split the sheet."));
        }
        List<PartForm> forms = new ArrayList<>();
        List<PartLinePreview> lines = new ArrayList<>();
        boolean readable = problems.isEmpty();
        for (int i = 0; readable && i < table.rows().size(); i++) {
            List<Problem> own = new ArrayList<>();
            PartForm form = form(build, table.rows().get(i), own);
            forms.add(form);
            lines.add(new PartLinePreview(
                    i + 2, form.name(), form.quantity(), table.rows().get(i).getOrDefault("vendor", "")));
            checks.problems(form).forEach(own::add);
            int line = i + 2;
            own.forEach(p -> problems.add(new Problem("line " + line + ", " + p.field(), p.message())));
        }
        return new Read(forms, lines, problems);
    }

    private PartForm form(String build, Map<String, String> row, List<Problem> problems) {
        Cells cells = new Cells(row, problems);
        Instant promised = cells.read("promised", text -> LocalDate.parse(text)
                        .atTime(NOON)
                        .atZone(zone())
                        .toInstant())
                .orElse(null);
        return new PartForm(
                build,
                cells.text("part"),
                cells.read("state", PartSheetService::state).orElse(PartState.WANTED),
                cells.read("vendor", this::vendor).orElse(null),
                cells.read("price", BigDecimal::new).orElse(null),
                promised,
                promised,
                promised,
                15,
                null,
                null,
                cells.read("needed by", text -> works(build, text)).orElse(List.of()),
                cells.read("quantity", Integer::valueOf).orElse(1),
                cells.read("customer brings", PartSheetService::yes).orElse(false),
                cells.text("specification"),
                cells.text("kit"),
                "",
                0);
    }

    /** The cells of a row; what cannot be read becomes a problem of the row. */
    private record Cells(Map<String, String> row, List<Problem> problems) {
        String text(String column) {
            return row.getOrDefault(column, "").strip();
        }

        <T> Optional<T> read(String column, Function<String, T> reader) {
            String text = text(column);
            if (text.isEmpty()) {
                return Optional.empty();
            }
            try {
                return Optional.of(reader.apply(text));
            } catch (DateTimeParseException e) {
                problems.add(new Problem(column, "\"" + text + "\" is no day; write it as 2026-11-30."));
            } catch (NumberFormatException e) {
                problems.add(new Problem(column, "\"" + text + "\" is no number; write 12.50 without a currency."));
            } catch (IllegalArgumentException e) {
                problems.add(new Problem(column, e.getMessage()));
            }
            return Optional.empty();
        }
    }

    private ZoneId zone() {
        return parts.zone();
    }

    private static PartState state(String text) {
        return Arrays.stream(PartState.values())
                .filter(s -> s.said().equals(text.toLowerCase(Locale.ROOT)))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("\"" + text + "\" is no state of a part: "
                        + String.join(
                                ", ",
                                Arrays.stream(PartState.values())
                                        .map(PartState::said)
                                        .toList()) + "."));
    }

    private static boolean yes(String text) {
        return switch (text.toLowerCase(Locale.ROOT)) {
            case "yes" -> true;
            case "no" -> false;
            default -> throw new IllegalArgumentException("\"" + text + "\": say yes or no.");
        };
    }

    private String vendor(String name) {
        return parts.vendorNamed(name)
                .orElseThrow(() -> new IllegalArgumentException(
                        "There is no vendor \"" + name + "\"; note it in the Shop first."));
    }

    private List<String> works(String build, String names) {
        return Stream.of(names.split(";"))
                .map(String::strip)
                .map(name -> parts.jobNamed(build, name)
                        .orElseThrow(() -> new IllegalArgumentException(
                                "The build has no job \"" + name + "\" that could need it.")))
                .toList();
    }

    String export(String build) {
        if (!parts.isBuild(build)) {
            throw new NotThere("build");
        }
        StringBuilder out = new StringBuilder(CsvTable.line(COLUMNS.stream()));
        ZoneId zone = zone();
        parts.rows(build)
                .forEach(r -> out.append(CsvTable.line(Stream.of(
                        r.name(),
                        "" + r.quantity(),
                        r.state().said(),
                        orEmpty(r.vendor()),
                        r.price() == null ? "" : r.price().toPlainString(),
                        r.likely() == null
                                ? ""
                                : r.likely().atZone(zone).toLocalDate().toString(),
                        orEmpty(r.neededBy()),
                        r.own() ? "yes" : "no",
                        r.kit(),
                        r.specification()))));
        return out.toString();
    }

    private static String orEmpty(@Nullable String text) {
        return text == null ? "" : text;
    }
}
