package galecrest.server.event;

import galecrest.core.shop.Problem;
import galecrest.core.tyre.TyreSet;
import galecrest.server.access.AnyHand;
import galecrest.server.access.LeadOrManager;
import galecrest.server.csv.CsvTable;
import galecrest.server.csv.SheetReader;
import galecrest.server.journal.Journal;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import galecrest.server.shop.NameRepository;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** The tyre plan of an event as a table, both ways: the sets of each car, the session that each serves, and who chose it. */
@Service
class TyreTableService {
    private static final List<String> COLUMNS =
            List.of("car", "set", "kind", "state", "cycles", "made_on", "session", "by_hand");

    private final EventRepository record;
    private final TyreService tyres;
    private final NameRepository names;
    private final Journal journal;

    TyreTableService(EventRepository record, TyreService tyres, NameRepository names, Journal journal) {
        this.record = record;
        this.tyres = tyres;
        this.names = names;
        this.journal = journal;
    }

    private EventResponse event(String id) {
        return record.find(id).orElseThrow(() -> new NotFoundException("event"));
    }

    @AnyHand
    String export(String id) {
        EventResponse event = event(id);
        List<Stream<String>> rows = new ArrayList<>();
        rows.add(COLUMNS.stream());
        for (TyrePlanResponse plan : tyres.plans(id)) {
            String car = names.build(plan.buildId()).orElse("");
            for (TyreSetResponse set : tyres.sets()) {
                if (set.buildId().equals(plan.buildId())) {
                    List<TyrePlanResponse.ServedResponse> served = plan.served().stream()
                            .filter(s -> s.setId().equals(set.id()))
                            .toList();
                    if (served.isEmpty()) {
                        rows.add(row(car, set, "", false));
                    }
                    served.forEach(s -> rows.add(row(car, set, session(event, s.sessionId()), s.locked())));
                }
            }
        }
        return rows.stream().map(CsvTable::line).collect(Collectors.joining());
    }

    private static String session(EventResponse event, String id) {
        return event.sessions().stream()
                .filter(s -> s.id().equals(id))
                .map(EventResponse.EventSessionResponse::name)
                .findFirst()
                .orElse("");
    }

    private static Stream<String> row(String car, TyreSetResponse set, String session, boolean byHand) {
        return Stream.of(
                car,
                set.name(),
                word(set.kind()),
                word(set.state()),
                String.valueOf(set.cycles()),
                set.madeOn() == null ? "" : set.madeOn().toString(),
                session,
                byHand ? "yes" : "no");
    }

    private static String word(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT);
    }

    /** What a line of the table says. */
    private record Line(
            String car,
            String set,
            TyreSet.Kind kind,
            TyreSet.State state,
            int cycles,
            @Nullable LocalDate madeOn,
            String session,
            boolean byHand) {}

    /**
     * Takes in a table, wholly or not at all: sets that are not there are added, those that are get the state of the table,
     * what was chosen by hand is chosen. Returns how many sets are new.
     */
    @LeadOrManager
    int takeIn(String id, byte[] file) {
        SheetReader.Read<Line> read = SheetReader.read(
                file,
                COLUMNS,
                cells -> new Line(
                        cells.text("car"),
                        cells.text("set"),
                        cells.read("kind", t -> TyreSet.Kind.valueOf(t.toUpperCase(Locale.ROOT)))
                                .orElse(TyreSet.Kind.DRY),
                        cells.read("state", t -> TyreSet.State.valueOf(t.toUpperCase(Locale.ROOT)))
                                .orElse(TyreSet.State.USED),
                        cells.read("cycles", Integer::valueOf).orElse(0),
                        cells.read("made_on", LocalDate::parse).orElse(null),
                        cells.text("session"),
                        cells.yes("by_hand")),
                line -> List.<Problem>of());
        ValidationException.throwIfAny(read.problems());
        int[] added = new int[1];
        journal.judge(() -> {
            EventResponse event = event(id);
            Map<String, String> cars = new HashMap<>();
            event.cars().forEach(c -> names.build(c.buildId()).ifPresent(name -> cars.put(name, c.buildId())));
            read.rows().forEach(row -> added[0] += take(event, cars, row));
            return read.rows().isEmpty() ? null : "took in the tyres of " + event.name();
        });
        return added[0];
    }

    private int take(EventResponse event, Map<String, String> cars, SheetReader.Row<Line> row) {
        Line line = row.form();
        try {
            String build = Optional.ofNullable(cars.get(line.car()))
                    .orElseThrow(() -> new ValidationException("car", "\"" + line.car() + "\" does not go there."));
            Optional<TyreSetResponse> there = tyres.sets().stream()
                    .filter(s -> s.buildId().equals(build) && s.name().equals(line.set()))
                    .findFirst();
            TyreSetRequest form = new TyreSetRequest(
                    build,
                    line.set(),
                    line.kind(),
                    line.state(),
                    line.cycles(),
                    line.madeOn(),
                    there.map(TyreSetResponse::version).orElse(0));
            String set = there.map(TyreSetResponse::id).orElse(null);
            if (set == null) {
                set = tyres.add(form);
            } else if (!same(there.get(), line)) {
                tyres.change(set, form);
            }
            if (line.byHand() && !line.session().isEmpty()) {
                String session = event.sessions().stream()
                        .filter(s -> s.name().equals(line.session()))
                        .map(EventResponse.EventSessionResponse::id)
                        .findFirst()
                        .orElseThrow(() ->
                                new ValidationException("session", "There is no session \"" + line.session() + "\"."));
                tyres.lock(event.id(), new TyreLockRequest(build, session, set));
            }
            return there.isPresent() ? 0 : 1;
        } catch (ValidationException wrong) {
            throw new ValidationException(wrong.problems().stream()
                    .map(p -> new Problem("line " + row.line() + ", " + p.field(), p.message()))
                    .toList());
        }
    }

    private static boolean same(TyreSetResponse set, Line line) {
        return set.kind() == line.kind()
                && set.state() == line.state()
                && set.cycles() == line.cycles()
                && Objects.equals(set.madeOn(), line.madeOn());
    }
}
