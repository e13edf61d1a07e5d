package galecrest.server.carsheet;

import galecrest.core.gauge.Measured;
import galecrest.core.gauge.chassis.Corner;
import galecrest.server.access.AnyHand;
import galecrest.server.gauge.MeasurementResponse;
import galecrest.server.gauge.MeasurementService;
import galecrest.server.pdf.PdfSheet;
import galecrest.server.restriction.RestrictionService;
import galecrest.server.shop.NameRepository;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** The sheets that hang on the car: legible in black and white, with room to write. */
@Service
class PaperService {
    /** What helps while the perches are turned and says nothing of the car. */
    private static final Set<String> ON_SCREEN = Set.of("exact turns", "raise", "height change");

    private static final int BLANK_ROWS = 14;

    private final MeasurementService measurements;
    private final RestrictionService restrictions;
    private final NameRepository names;
    private final Clock clock;

    PaperService(MeasurementService measurements, RestrictionService restrictions, NameRepository names, Clock clock) {
        this.measurements = measurements;
        this.restrictions = restrictions;
        this.names = names;
        this.clock = clock;
    }

    private PdfSheet titled(String build, String title) {
        PdfSheet sheet = PdfSheet.titled(measurements.car(build) + ": " + title)
                .line(names.shop() + ", printed " + at(clock.instant()));
        restrictions.of(build).forEach(r -> sheet.line("RESTRICTED: " + r));
        return sheet;
    }

    private String at(Instant instant) {
        var local = instant.atZone(names.zone());
        return names.says().year(local) + " " + names.says().time(local);
    }

    /** The last sheet of each kind that counts, in the order of measuring. */
    private List<MeasurementResponse> last(String build) {
        Map<String, MeasurementResponse> last = new LinkedHashMap<>();
        measurements.of(build).stream()
                .filter(m -> m.correctedBy() == null)
                .forEach(m -> last.putIfAbsent(m.what(), m));
        return last.values().stream()
                .sorted(Comparator.comparingInt(m ->
                        Measured.of(m.gauge(), m.what()).map(Measured::ordinal).orElse(Integer.MAX_VALUE)))
                .toList();
    }

    @AnyHand
    byte[] setUp(String build) {
        PdfSheet sheet = titled(build, "set-up sheet");
        List<MeasurementResponse> last = last(build);
        sheet.table(
                List.of("measured", "value", "when, by whom", "how the car stood", "true?"),
                last.stream()
                        .map(m -> List.of(
                                m.what(),
                                m.value(),
                                at(m.at()) + ", " + m.by(),
                                state(m),
                                m.staleBecause() == null ? "yes" : "STALE: " + m.staleBecause()))
                        .toList());
        last.forEach(m -> corners(sheet, m));
        return sheet.line("Settle the car before each reading. Stands, not the jack, before anyone goes under.")
                .pdf();
    }

    private static String state(MeasurementResponse m) {
        return Stream.of(
                        m.driverIn() == null ? "" : m.driverIn() ? "driver in" : "no driver",
                        m.fuel(),
                        m.pressures(),
                        m.barsHooked() == null ? "" : m.barsHooked() ? "bars hooked" : "bars unhooked",
                        m.instrument())
                .filter(s -> !s.isBlank())
                .collect(Collectors.joining(", "));
    }

    /** What a sheet says of each corner, as a table. */
    private static void corners(PdfSheet sheet, MeasurementResponse m) {
        if (m.answered() == null) {
            return;
        }
        List<List<String>> rows = new ArrayList<>();
        m.answered().forEach((field, value) -> {
            if (!ON_SCREEN.contains(field)
                    && value instanceof Map<?, ?> four
                    && four.containsKey(Corner.NAMES.get(0))) {
                rows.add(Stream.concat(Stream.of(field), Corner.NAMES.stream().map(c -> said(four.get(c))))
                        .toList());
            }
        });
        if (!rows.isEmpty()) {
            sheet.heading(m.what());
            sheet.table(Stream.concat(Stream.of(""), Corner.NAMES.stream()).toList(), rows);
        }
    }

    private static String said(@Nullable Object figure) {
        return figure instanceof Map<?, ?> map && map.get("said") != null ? String.valueOf(map.get("said")) : "";
    }

    @AnyHand
    byte[] strings(String build) {
        PdfSheet sheet = titled(build, "string sheet");
        last(build).stream()
                .filter(m -> m.gauge().equals("strings"))
                .findFirst()
                .ifPresent(m -> {
                    sheet.line("Last: " + m.value() + ", " + at(m.at()) + ", " + m.by() + "."
                            + (m.staleBecause() == null ? "" : " STALE: " + m.staleBecause() + "."));
                    corners(sheet, m);
                });
        sheet.heading("Now");
        sheet.table(
                List.of("string to rim", "front edge", "rear edge", "difference"),
                Corner.NAMES.stream().map(c -> List.of(c, " ", " ", " ")).toList());
        sheet.table(
                List.of("wheelbase", "front track", "rear track", "across the rim", "driver in", "fuel"),
                List.of(List.of(" ", " ", " ", " ", " ", " ")));
        return sheet.line("Car level and settled, on plates that slide; pressures set; steering centred and held.")
                .line(
                        "Strings at hub height, as far from the hubs in front as behind. Toe-in: the front edge is further away.")
                .line("Measured by ______________________   on ______________________")
                .pdf();
    }

    @AnyHand
    byte[] torque(String build) {
        PdfSheet sheet = titled(build, "torque sheet");
        List<List<String>> rows = new ArrayList<>();
        last(build).stream()
                .filter(m -> m.gauge().equals("torque-sheet") && m.answered() != null)
                .findFirst()
                .ifPresent(m -> {
                    if (m.answered().get("fasteners") instanceof List<?> all) {
                        all.forEach(one -> rows.add(fastener(one)));
                    }
                });
        for (int i = rows.size(); i < BLANK_ROWS; i++) {
            rows.add(List.of(" ", " ", " ", " ", " ", " "));
        }
        return sheet.table(List.of("fastener", "torque", "pass by pass", "marked", "by", "checked by"), rows)
                .line("The maker's figure, order and lubricant go before any table. Whoever checks is not who did it.")
                .pdf();
    }

    private static List<String> fastener(Object one) {
        Map<?, ?> row = (Map<?, ?>) one;
        return List.of(
                text(row.get("fastener")),
                said(row.get("torque")),
                text(row.get("passes")),
                Boolean.TRUE.equals(row.get("marked")) ? "yes" : " ",
                text(row.get("by")),
                text(row.get("checked by")));
    }

    private static String text(@Nullable Object value) {
        return value == null || value.toString().isEmpty() ? " " : value.toString();
    }
}
