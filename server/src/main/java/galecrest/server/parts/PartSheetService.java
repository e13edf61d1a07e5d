package galecrest.server.parts;

import galecrest.core.parts.PartState;
import galecrest.core.shop.Problem;
import galecrest.server.NewId;
import galecrest.server.access.LeadOrManager;
import galecrest.server.csv.CsvTable;
import galecrest.server.csv.SheetReader;
import galecrest.server.journal.Journal;
import galecrest.server.problem.FormRules;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import galecrest.server.shop.NameRepository;
import galecrest.server.vendor.VendorRepository;
import galecrest.server.vendor.VendorRow;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
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
    /** Deliveries come by noon, where only the day is said. */
    private static final LocalTime NOON = LocalTime.NOON;

    private final PartRepository parts;
    private final PartService checks;
    private final FormRules rules;
    private final VendorRepository vendors;
    private final NameRepository names;
    private final Journal journal;
    private final Clock clock;

    PartSheetService(
            PartRepository parts,
            PartService checks,
            FormRules rules,
            VendorRepository vendors,
            NameRepository names,
            Journal journal,
            Clock clock) {
        this.parts = parts;
        this.checks = checks;
        this.rules = rules;
        this.vendors = vendors;
        this.names = names;
        this.journal = journal;
        this.clock = clock;
    }

    PartsPreviewResponse preview(String build, byte[] file) {
        SheetReader.Read<PartRequest> read = read(build, file);
        return new PartsPreviewResponse(
                read.rows().stream()
                        .map(r -> new PartLinePreview(
                                r.line(),
                                r.form().name(),
                                r.form().quantity(),
                                vendors.known(r.form().vendorId())
                                        .map(VendorRow::name)
                                        .orElse("")))
                        .toList(),
                read.problems());
    }

    int importSheet(String build, byte[] file) {
        SheetReader.Read<PartRequest> read = read(build, file);
        ValidationException.throwIfAny(read.problems());
        Instant now = clock.instant();
        journal.change(
                "imported " + read.rows().size() + " parts for the "
                        + names.build(build).orElse(""),
                () -> read.rows().forEach(row -> parts.insert(NewId.next(), row.form(), now)));
        return read.rows().size();
    }

    private List<Problem> problems(PartRequest form) {
        List<Problem> problems = new ArrayList<>(rules.problems(form));
        problems.addAll(checks.problems(form));
        return problems;
    }

    private SheetReader.Read<PartRequest> read(String build, byte[] file) {
        if (!parts.isBuild(build)) {
            throw new NotFoundException("build");
        }
        return SheetReader.read(file, COLUMNS, cells -> form(build, cells), this::problems);
    }

    private PartRequest form(String build, SheetReader.Cells cells) {
        Instant promised = cells.read("promised", text -> LocalDate.parse(text)
                        .atTime(NOON)
                        .atZone(zone())
                        .toInstant())
                .orElse(null);
        return new PartRequest(
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
                cells.yes("customer brings"),
                cells.text("specification"),
                cells.text("kit"),
                "",
                0);
    }

    private ZoneId zone() {
        return parts.zone();
    }

    private static PartState state(String text) {
        return Arrays.stream(PartState.values())
                .filter(s -> s.label().equals(text.toLowerCase(Locale.ROOT)))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("\"" + text + "\" is no state of a part: "
                        + String.join(
                                ", ",
                                Arrays.stream(PartState.values())
                                        .map(PartState::label)
                                        .toList()) + "."));
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
            throw new NotFoundException("build");
        }
        StringBuilder out = new StringBuilder(CsvTable.line(COLUMNS.stream()));
        ZoneId zone = zone();
        parts.rows(build)
                .forEach(r -> out.append(CsvTable.line(Stream.of(
                        r.name(),
                        "" + r.quantity(),
                        r.state().label(),
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
