package galecrest.server.load;

import galecrest.core.load.LoadItem;
import galecrest.core.load.UsualLoad;
import galecrest.server.access.AnyHand;
import galecrest.server.access.CurrentUser;
import galecrest.server.access.LeadOrManager;
import galecrest.server.csv.CsvTable;
import galecrest.server.csv.SheetReader;
import galecrest.server.journal.Journal;
import galecrest.server.pdf.PdfSheet;
import galecrest.server.problem.ConflictException;
import galecrest.server.problem.FormRules;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import galecrest.server.stock.StockService;
import java.math.BigDecimal;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** The load list of an event: what goes aboard, who has ticked it, and what is asked for by name when it leaves. */
@Service
class LoadService {
    private static final List<String> COLUMNS = List.of("name", "box", "quantity", "kg");
    private static final int MOST = 1_000;

    private final LoadRepository record;
    private final StockService stock;
    private final Journal journal;
    private final Clock clock;
    private final CurrentUser who;
    private final FormRules rules;

    LoadService(
            LoadRepository record, StockService stock, Journal journal, Clock clock, CurrentUser who, FormRules rules) {
        this.rules = rules;
        this.record = record;
        this.stock = stock;
        this.journal = journal;
        this.clock = clock;
        this.who = who;
    }

    @AnyHand
    LoadResponse of(String event) {
        mustBe(event);
        return record.load(event);
    }

    private String mustBe(String event) {
        return record.event(event).orElseThrow(() -> new NotFoundException("event"));
    }

    @AnyHand
    void add(String event, LoadItemRequest form) {
        LoadItem item = read(form);
        journal.judge(() -> {
            String name = mustBe(event);
            if (!record.insert(event, item)) {
                throw new ValidationException("name", "That is in this box already.");
            }
            return "put " + item.name() + " on the load list of " + name;
        });
    }

    private static LoadItem read(LoadItemRequest form) {
        return new LoadItem(said(form.box()), form.name().strip(), form.quantity(), form.kilograms());
    }

    private static String said(@Nullable String text) {
        return text == null ? "" : text.strip();
    }

    /** Puts the usual things on the list, by the event's cars, sessions and tyres; what is there stays. */
    @LeadOrManager
    int usual(String event) {
        int[] added = new int[1];
        journal.judge(() -> {
            String name = mustBe(event);
            for (LoadItem item : UsualLoad.of(record.cars(event), record.sessions(event), record.sets(event))) {
                added[0] += record.insert(event, item) ? 1 : 0;
            }
            return added[0] == 0 ? null : "began the load list of " + name;
        });
        return added[0];
    }

    @LeadOrManager
    void remove(String item) {
        journal.judge(() -> {
            String name = thing(item).name();
            record.delete(item);
            return "took " + name + " off the load list";
        });
    }

    /** Ticks a thing, or takes the tick away; many do so at once, and the plan hears nothing of it. */
    @AnyHand
    void tick(String item, LoadTickRequest form) {
        thing(item);
        if (form.aboard()) {
            record.tick(item, who.name(), clock.instant());
        } else {
            record.untick(item);
        }
    }

    private LoadRepository.Thing thing(String item) {
        return record.item(item).orElseThrow(() -> new NotFoundException("thing on this list"));
    }

    /** Counts what came back of a thing, once the trailer has left; the last count stands. */
    @AnyHand
    void back(String item, LoadBackRequest form) {
        LoadRepository.Thing thing = thing(item);
        Integer back = form.back();
        if (!thing.left()) {
            throw new ValidationException("back", "The trailer has not left yet.");
        }
        if (back != null && (back < 0 || back > thing.quantity())) {
            throw new ValidationException("back", "0 to " + thing.quantity() + ": so many went along.");
        }
        record.back(item, back, who.name(), clock.instant());
    }

    /** Puts what was counted and did not all come back on the supply run; once. Returns how many things these are. */
    @AnyHand
    int used(String event) {
        int[] listed = new int[1];
        journal.judge(() -> {
            String name = mustBe(event);
            List<LoadResponse.LoadItemResponse> used = record.items(event).stream()
                    .filter(i -> i.back() != null && i.back() < i.quantity())
                    .toList();
            if (used.isEmpty()) {
                throw new ValidationException("used", "Of all that was counted, everything came back.");
            }
            if (!record.usedListed(event, clock.instant())) {
                throw new ConflictException("What was used is on the supply run already.", 0, List.of());
            }
            used.forEach(i -> stock.put(i.name(), String.valueOf(i.quantity() - i.back()), "used at " + name));
            listed[0] = used.size();
            return "put " + used.size() + " things used at " + name + " on the supply run";
        });
        return listed[0];
    }

    /** The list on paper, box by box. */
    @AnyHand
    byte[] paper(String event) {
        String name = mustBe(event);
        LoadResponse load = record.load(event);
        double mass = load.items().stream()
                .mapToDouble(LoadResponse.LoadItemResponse::kilograms)
                .sum();
        PdfSheet sheet = PdfSheet.titled("Load list: " + name)
                .line(String.format(
                                Locale.ROOT, "%d things, %.0f kg", load.items().size(), mass)
                        + (load.payload() > 0
                                ? String.format(Locale.ROOT, "; the trailer takes %.0f kg", load.payload())
                                : "")
                        + (load.payload() > 0 && mass > load.payload() ? ": TOO MUCH" : ""));
        load.items().stream()
                .collect(Collectors.groupingBy(
                        LoadResponse.LoadItemResponse::box, LinkedHashMap::new, Collectors.toList()))
                .forEach((box, items) -> sheet.heading(box.isEmpty() ? "loose" : box)
                        .table(
                                List.of("aboard", "thing", "how many", "kg", "back"),
                                items.stream()
                                        .map(i -> List.of(
                                                i.by() == null ? " " : i.by(),
                                                i.name(),
                                                String.valueOf(i.quantity()),
                                                plain(i.kilograms()),
                                                i.back() == null ? " " : String.valueOf(i.back())))
                                        .toList()));
        return sheet.line(
                        "Loaded by ______________________   on ______________________   Straps looked at again after 20 km.")
                .pdf();
    }

    private static String plain(double amount) {
        return BigDecimal.valueOf(amount).stripTrailingZeros().toPlainString();
    }

    @LeadOrManager
    void payload(String event, PayloadRequest form) {
        if (!(form.kilograms() >= 0 && form.kilograms() < 100_000)) {
            throw new ValidationException("kilograms", "0 kg or more.");
        }
        journal.judge(() -> {
            String name = mustBe(event);
            record.payload(event, form.kilograms());
            return "said what the trailer takes for " + name;
        });
    }

    /** Leaves; what is not aboard is asked for by name first. */
    @AnyHand
    void leave(String event, LeaveRequest form) {
        journal.judge(() -> {
            String name = mustBe(event);
            List<String> missing = record.items(event).stream()
                    .filter(i -> i.by() == null)
                    .map(LoadResponse.LoadItemResponse::name)
                    .toList();
            if (!missing.isEmpty() && !form.anyway()) {
                throw new ValidationException(
                        "leave", "Not aboard: " + String.join(", ", missing) + ". Leave without?");
            }
            String without = String.join(", ", missing);
            record.left(event, clock.instant(), who.name(), without);
            return "left for " + name + (missing.isEmpty() ? " with all aboard" : " without " + without);
        });
    }

    @AnyHand
    String export(String event) {
        mustBe(event);
        return Stream.concat(
                        Stream.of(Stream.concat(COLUMNS.stream(), Stream.of("aboard"))),
                        record.items(event).stream()
                                .map(i -> Stream.of(
                                        i.name(),
                                        i.box(),
                                        String.valueOf(i.quantity()),
                                        plain(i.kilograms()),
                                        i.by() == null ? "" : i.by())))
                .map(CsvTable::line)
                .collect(Collectors.joining());
    }

    /** Takes in a list, wholly or not at all; what is there already is passed over. Returns how many things are new. */
    @LeadOrManager
    int takeIn(String event, byte[] file) {
        SheetReader.Read<LoadItemRequest> read = SheetReader.read(
                file,
                Stream.concat(COLUMNS.stream(), Stream.of("aboard")).toList(),
                cells -> new LoadItemRequest(
                        cells.text("box"),
                        cells.text("name"),
                        cells.read("quantity", Integer::valueOf).orElse(1),
                        cells.read("kg", Double::valueOf).orElse(0.0)),
                rules::problems);
        ValidationException.throwIfAny(read.problems());
        if (read.rows().size() > MOST) {
            throw new ValidationException("file", "A load list has at most " + MOST + " things.");
        }
        int[] added = new int[1];
        journal.judge(() -> {
            String name = mustBe(event);
            read.rows().forEach(row -> added[0] += record.insert(event, read(row.form())) ? 1 : 0);
            return added[0] == 0 ? null : "took in " + added[0] + " things for " + name;
        });
        return added[0];
    }
}
