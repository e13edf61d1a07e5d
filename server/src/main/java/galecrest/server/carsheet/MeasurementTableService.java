package galecrest.server.carsheet;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.ObjectMapper;
import galecrest.core.shop.Problem;
import galecrest.server.access.AnyHand;
import galecrest.server.access.CurrentUser;
import galecrest.server.access.LeadOrManager;
import galecrest.server.csv.CsvTable;
import galecrest.server.csv.SheetReader;
import galecrest.server.gauge.MeasurementRequest;
import galecrest.server.gauge.MeasurementResponse;
import galecrest.server.gauge.MeasurementService;
import galecrest.server.problem.ValidationException;
import java.time.Clock;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/**
 * The log of measurements as a table, both ways. What a gauge was asked stands in the column {@code asked} as JSON, and is
 * worked out anew when it is taken in.
 */
@Service
class MeasurementTableService {
    private static final List<String> COLUMNS = List.of(
            "gauge",
            "at",
            "what",
            "value",
            "by",
            "driver in",
            "fuel",
            "pressures",
            "bars hooked",
            "instrument",
            "note",
            "stale",
            "asked");

    private final MeasurementService measurements;
    private final Clock clock;
    private final CurrentUser who;
    private final ObjectMapper json = new ObjectMapper();

    MeasurementTableService(MeasurementService measurements, Clock clock, CurrentUser who) {
        this.measurements = measurements;
        this.clock = clock;
        this.who = who;
    }

    @AnyHand
    String export(String build) {
        return Stream.concat(
                        Stream.of(COLUMNS),
                        measurements.of(build).stream()
                                .filter(m -> m.correctedBy() == null)
                                .map(this::row))
                .map(row -> CsvTable.line(row.stream()))
                .collect(Collectors.joining());
    }

    private List<String> row(MeasurementResponse m) {
        return List.of(
                m.gauge(),
                m.at().toString(),
                m.what(),
                m.value(),
                m.by(),
                yes(m.driverIn()),
                m.fuel(),
                m.pressures(),
                yes(m.barsHooked()),
                m.instrument(),
                m.note(),
                m.staleBecause() == null ? "" : m.staleBecause(),
                asked(m));
    }

    private static String yes(@Nullable Boolean so) {
        return so == null ? "" : so ? "yes" : "no";
    }

    private String asked(MeasurementResponse m) {
        try {
            return m.asked() == null ? "" : json.writeValueAsString(m.asked());
        } catch (JsonProcessingException broken) {
            throw new IllegalStateException(broken);
        }
    }

    /** Takes in a table, wholly or not at all; returns how many sheets were new. */
    @LeadOrManager
    int takeIn(String build, byte[] file) {
        SheetReader.Read<MeasurementService.Earlier> read =
                SheetReader.read(file, COLUMNS, this::sheet, sheet -> List.<Problem>of());
        if (!read.problems().isEmpty()) {
            throw new ValidationException(read.problems());
        }
        return measurements.takeIn(
                build,
                read.rows().stream()
                        .map(r -> new MeasurementService.Earlier(
                                r.line(),
                                r.form().form(),
                                r.form().by(),
                                r.form().at()))
                        .toList());
    }

    private MeasurementService.Earlier sheet(SheetReader.Cells cells) {
        Instant now = clock.instant();
        Instant at = cells.read("at", t -> OffsetDateTime.parse(t).toInstant()).orElse(now);
        if (at.isAfter(now)) {
            cells.problems().add(new Problem("at", "is not over yet."));
        }
        String by = cells.text("by").isEmpty() ? who.name() : cells.text("by");
        String gauge = cells.text("gauge").isEmpty() ? "by-hand" : cells.text("gauge");
        Map<String, Object> asked = cells.text("asked").isEmpty()
                ? Map.of("what", cells.text("what"), "value", cells.text("value"))
                : cells.read("asked", this::fields).orElse(Map.of());
        return new MeasurementService.Earlier(
                0,
                new MeasurementRequest(
                        gauge,
                        asked,
                        cells.read("driver in", t -> t.equalsIgnoreCase("yes")).orElse(null),
                        cells.text("fuel"),
                        cells.text("pressures"),
                        cells.read("bars hooked", t -> t.equalsIgnoreCase("yes"))
                                .orElse(null),
                        cells.text("instrument"),
                        cells.text("note"),
                        null),
                by,
                at);
    }

    private Map<String, Object> fields(String text) {
        try {
            return json.readValue(text, new TypeReference<Map<String, Object>>() {});
        } catch (JsonProcessingException broken) {
            throw new IllegalArgumentException("is no JSON object: what the gauge was asked.");
        }
    }
}
