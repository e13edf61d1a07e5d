package galecrest.server.outwork.sheet;

import galecrest.core.build.Gate;
import galecrest.core.money.Amount;
import galecrest.core.shop.Problem;
import galecrest.server.access.LeadOrManager;
import galecrest.server.csv.CsvTable;
import galecrest.server.csv.SheetReader;
import galecrest.server.journal.Journal;
import galecrest.server.outwork.OutworkRepository;
import galecrest.server.outwork.OutworkSheetRequest;
import galecrest.server.problem.FormRules;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import galecrest.server.vendor.VendorRepository;
import galecrest.server.work.OutworkRequest;
import galecrest.server.work.WorkService;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Outside work as a CSV table: read with a preview and the problems by line, taken in whole or not at all. */
@Service
@LeadOrManager
class OutworkSheetService {
    private static final List<String> COLUMNS = List.of(
            "work",
            "vendor",
            "whole car",
            "gate",
            "slot from",
            "slot to",
            "days low",
            "days likely",
            "days high",
            "way out, min",
            "way back, min",
            "look over, min",
            "price",
            "driver",
            "trailer",
            "specification");
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm", Locale.ROOT);
    /** What a row is taken to mean that does not say how long it takes; the form begins with the same. */
    private static final int DAYS = 3;

    private static final int MINUTES = 30;

    private final OutworkRepository outwork;
    private final VendorRepository vendors;
    private final WorkService works;
    private final FormRules rules;
    private final Journal journal;

    OutworkSheetService(
            OutworkRepository outwork, VendorRepository vendors, WorkService works, FormRules rules, Journal journal) {
        this.outwork = outwork;
        this.vendors = vendors;
        this.works = works;
        this.rules = rules;
        this.journal = journal;
    }

    private record Line(OutworkRequest form, OutworkSheetRequest sheet) {}

    OutworkPreviewResponse preview(String build, byte[] file) {
        SheetReader.Read<Line> read = read(build, file);
        return new OutworkPreviewResponse(
                read.rows().stream()
                        .map(r -> new OutworkLinePreview(
                                r.line(),
                                r.form().form().name(),
                                vendors.name(r.form().form().vendorId()).orElse(""),
                                r.form().form().likelyDays()))
                        .toList(),
                read.problems());
    }

    int importSheet(String build, byte[] file) {
        SheetReader.Read<Line> read = read(build, file);
        ValidationException.throwIfAny(read.problems());
        journal.change("imported " + read.rows().size() + " pieces of outside work", () -> read.rows()
                .forEach(row -> outwork.change(
                        works.insertOutwork(row.form().form()), row.form().sheet())));
        return read.rows().size();
    }

    private SheetReader.Read<Line> read(String build, byte[] file) {
        String zone = outwork.zoneOf(build).orElseThrow(() -> new NotFoundException("build"));
        return SheetReader.read(file, COLUMNS, cells -> line(build, cells, ZoneId.of(zone)), this::problems);
    }

    private Line line(String build, SheetReader.Cells cells, ZoneId zone) {
        Function<String, Instant> time =
                text -> LocalDateTime.parse(text, TIME).atZone(zone).toInstant();
        int likely = cells.read("days likely", Integer::valueOf).orElse(DAYS);
        OutworkRequest form = new OutworkRequest(
                build,
                null,
                cells.text("work"),
                cells.read("vendor", this::vendor).orElse(""),
                cells.yes("whole car"),
                cells.read("way out, min", Integer::valueOf).orElse(MINUTES),
                cells.read("slot from", time).orElse(null),
                cells.read("slot to", time).orElse(null),
                cells.read("days low", Integer::valueOf).orElse(likely),
                likely,
                cells.read("days high", Integer::valueOf).orElse(likely),
                cells.read("way back, min", Integer::valueOf).orElse(MINUTES),
                cells.read("look over, min", Integer::valueOf).orElse(MINUTES),
                cells.read("gate", OutworkSheetService::gate).orElse(Gate.EVENT),
                true,
                null,
                List.of(),
                0);
        return new Line(
                form,
                new OutworkSheetRequest(
                        cells.text("specification"),
                        cells.text("driver"),
                        cells.yes("trailer"),
                        cells.read("price", BigDecimal::new).orElse(null)));
    }

    private List<Problem> problems(Line line) {
        List<Problem> problems = new ArrayList<>(rules.problems(line.form()));
        problems.addAll(WorkService.problems(line.form()));
        if (line.form().vendorId().isEmpty()) {
            problems.add(new Problem("vendor", "Which of the vendors does it?"));
        }
        if (!Amount.isPrice(line.sheet().price())) {
            problems.add(new Problem("price", Amount.PRICE));
        }
        return problems;
    }

    private String vendor(String name) {
        return vendors.named(name)
                .orElseThrow(() -> new IllegalArgumentException(
                        "There is no vendor \"" + name + "\"; note it in the Shop first."));
    }

    private static String said(Gate gate) {
        return gate.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    private static Gate gate(String text) {
        return Arrays.stream(Gate.values())
                .filter(g -> said(g).equals(text.toLowerCase(Locale.ROOT)))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("\"" + text + "\" is no gate: "
                        + Arrays.stream(Gate.values())
                                .map(OutworkSheetService::said)
                                .collect(Collectors.joining(", "))
                        + "."));
    }

    String export(String build) {
        ZoneId zone = ZoneId.of(outwork.zoneOf(build).orElseThrow(() -> new NotFoundException("build")));
        StringBuilder out = new StringBuilder(CsvTable.line(COLUMNS.stream()));
        outwork.ofBuild(build)
                .forEach(r -> out.append(CsvTable.line(Stream.of(
                        r.name(),
                        r.vendor(),
                        r.wholeCar() ? "yes" : "no",
                        said(r.gate()),
                        time(r.slotFrom(), zone),
                        time(r.slotTo(), zone),
                        "" + r.lowDays(),
                        "" + r.likelyDays(),
                        "" + r.highDays(),
                        "" + r.outMinutes(),
                        "" + r.backMinutes(),
                        "" + r.inspectionMinutes(),
                        r.price() == null ? "" : r.price().toPlainString(),
                        r.driver(),
                        r.trailer() ? "yes" : "no",
                        r.specification()))));
        return out.toString();
    }

    private static String time(@Nullable Instant at, ZoneId zone) {
        return at == null ? "" : TIME.format(at.atZone(zone));
    }
}
