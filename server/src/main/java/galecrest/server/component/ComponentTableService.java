package galecrest.server.component;

import galecrest.core.component.Component;
import galecrest.core.component.Counter;
import galecrest.core.component.LifeLimit;
import galecrest.core.shop.Problem;
import galecrest.server.access.AnyHand;
import galecrest.server.access.LeadOrManager;
import galecrest.server.csv.CsvTable;
import galecrest.server.csv.SheetReader;
import galecrest.server.journal.Journal;
import galecrest.server.problem.ValidationException;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/**
 * The components as a table, both ways. A component is known by its name and identity: one that is there already is changed,
 * and stays where it is; a new one is fitted to its car.
 */
@Service
class ComponentTableService {
    private static final Map<Counter, String> BEFORE = before();
    private static final List<String> COLUMNS = Stream.of(
                    Stream.of("name", "identity", "car", "place", "limits", "expires", "safety", "note"),
                    BEFORE.values().stream())
            .flatMap(s -> s)
            .toList();

    private final ComponentService components;
    private final ComponentRepository record;
    private final Journal journal;
    private final Clock clock;

    ComponentTableService(ComponentService components, ComponentRepository record, Journal journal, Clock clock) {
        this.components = components;
        this.record = record;
        this.journal = journal;
        this.clock = clock;
    }

    private static Map<Counter, String> before() {
        Map<Counter, String> columns = new EnumMap<>(Counter.class);
        for (Counter counter : Counter.values()) {
            columns.put(counter, "before " + counter.unit());
        }
        return columns;
    }

    @AnyHand
    String export() {
        Map<String, String> cars = record.cars();
        return Stream.concat(Stream.of(COLUMNS), record.all().stream().map(kept -> row(kept, cars)))
                .map(row -> CsvTable.line(row.stream()))
                .collect(Collectors.joining());
    }

    private List<String> row(ComponentRepository.Kept kept, Map<String, String> cars) {
        Component c = kept.component();
        var on = c.at(clock.instant());
        return Stream.concat(
                        Stream.of(
                                c.name(),
                                c.identity(),
                                on.map(f -> cars.getOrDefault(f.build().value(), ""))
                                        .orElse(""),
                                on.map(f -> f.place()).orElse(""),
                                c.limits().stream()
                                        .map(ComponentTableService::said)
                                        .collect(Collectors.joining("; ")),
                                c.expires().map(LocalDate::toString).orElse(""),
                                c.safety() ? "yes" : "no",
                                kept.note()),
                        BEFORE.keySet().stream().map(counter -> plain(c.before().get(counter))))
                .toList();
    }

    private static String said(LifeLimit limit) {
        return plain(limit.most()) + " " + limit.counter().unit() + (limit.service() ? " service" : "");
    }

    private static String plain(double amount) {
        return BigDecimal.valueOf(amount).stripTrailingZeros().toPlainString();
    }

    /** What a line of the table says: the component, and where it is. */
    private record Line(ComponentRequest form, String car, String place) {}

    /** Takes in a table, wholly or not at all; returns how many components are new. */
    @LeadOrManager
    int takeIn(byte[] file) {
        SheetReader.Read<Line> read =
                SheetReader.read(file, COLUMNS, ComponentTableService::line, line -> List.<Problem>of());
        ValidationException.throwIfAny(read.problems());
        int[] added = new int[1];
        journal.judge(() -> {
            Map<String, String> cars = record.cars().entrySet().stream()
                    .collect(Collectors.toMap(Map.Entry::getValue, Map.Entry::getKey, (first, second) -> first));
            read.rows().forEach(row -> added[0] += take(row, cars));
            return read.rows().isEmpty() ? null : "took in " + read.rows().size() + " components";
        });
        return added[0];
    }

    private int take(SheetReader.Row<Line> row, Map<String, String> cars) {
        Line line = row.form();
        try {
            String called = (line.form().name() + " " + line.form().identity()).strip();
            ComponentRepository.Kept there = components.byName().get(called);
            if (there != null) {
                components.change(there.component().id(), withVersion(line.form(), there.version()));
                return 0;
            }
            String id = components.add(line.form());
            if (!line.car().isEmpty()) {
                String build = cars.get(line.car());
                if (build == null) {
                    throw new ValidationException("car", "There is no car \"" + line.car() + "\".");
                }
                components.fit(id, new FitComponentRequest(build, line.place(), null));
            }
            return 1;
        } catch (ValidationException wrong) {
            throw new ValidationException(wrong.problems().stream()
                    .map(p -> new Problem("line " + row.line() + ", " + p.field(), p.message()))
                    .toList());
        }
    }

    private static ComponentRequest withVersion(ComponentRequest f, int version) {
        return new ComponentRequest(
                f.name(),
                f.identity(),
                f.before(),
                f.limits(),
                f.expires(),
                f.safety(),
                f.note(),
                version,
                f.fittedTo());
    }

    private static Line line(SheetReader.Cells cells) {
        Map<Counter, Double> before = new EnumMap<>(Counter.class);
        BEFORE.forEach((counter, column) ->
                cells.read(column, Double::valueOf).ifPresent(amount -> before.put(counter, amount)));
        List<LimitRequest> limits = Arrays.stream(cells.text("limits").split(";"))
                .map(String::strip)
                .filter(t -> !t.isEmpty())
                .map(t -> limit(t, cells))
                .flatMap(Optional::stream)
                .toList();
        return new Line(
                new ComponentRequest(
                        cells.text("name"),
                        cells.text("identity"),
                        before,
                        limits,
                        cells.read("expires", LocalDate::parse).orElse(null),
                        cells.yes("safety"),
                        cells.text("note"),
                        0,
                        null),
                cells.text("car"),
                cells.text("place"));
    }

    /** "45 h service" or "8 events". */
    private static Optional<LimitRequest> limit(String text, SheetReader.Cells cells) {
        boolean service = text.endsWith(" service");
        String[] words = (service ? text.substring(0, text.length() - " service".length()) : text).split("\\s+", 2);
        for (Counter counter : Counter.values()) {
            if (words.length == 2 && words[1].strip().equals(counter.unit())) {
                try {
                    return Optional.of(new LimitRequest(counter, Double.parseDouble(words[0]), service));
                } catch (NumberFormatException notOne) {
                    break;
                }
            }
        }
        cells.problems()
                .add(new Problem(
                        "limits",
                        "\"" + text + "\" is no limit. Write it like 45 h service, or 8 events; the units are "
                                + Arrays.stream(Counter.values())
                                        .map(Counter::unit)
                                        .collect(Collectors.joining(", "))
                                + "."));
        return Optional.empty();
    }
}
