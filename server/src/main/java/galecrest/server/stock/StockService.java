package galecrest.server.stock;

import galecrest.core.shop.Problem;
import galecrest.server.NewId;
import galecrest.server.access.AnyHand;
import galecrest.server.access.CurrentUser;
import galecrest.server.access.LeadOrManager;
import galecrest.server.journal.Journal;
import galecrest.server.parts.PartLineRepository;
import galecrest.server.parts.PartRow;
import galecrest.server.problem.ConflictException;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;

/** Consumables that one run a day brings, and what lies on the shelf. */
@Service
public class StockService {
    private static final int MOST_OF_A_JOB = 10_000;

    private final StockRepository stock;
    private final PartLineRepository parts;
    private final Journal journal;
    private final Clock clock;
    private final CurrentUser who;

    StockService(StockRepository stock, PartLineRepository parts, Journal journal, Clock clock, CurrentUser who) {
        this.stock = stock;
        this.parts = parts;
        this.journal = journal;
        this.clock = clock;
        this.who = who;
    }

    @AnyHand
    List<SupplyResponse> run() {
        return stock.run();
    }

    @AnyHand
    String ask(SupplyRequest form) {
        return journal.change(
                "asked for " + form.name().strip(), () -> stock.insert(form, who.name(), clock.instant()));
    }

    /** Puts something on the supply run within the change that is open. */
    public void put(String name, String quantity, String boughtFrom) {
        stock.insert(new SupplyRequest(name, quantity, boughtFrom, null), who.name(), clock.instant());
    }

    @AnyHand
    void bought(String id, boolean bought) {
        journal.judge(() -> {
            SupplyResponse supply = supply(id);
            if (bought == (supply.boughtAt() != null)) {
                return null;
            }
            stock.bought(id, bought, who.name(), clock.instant());
            return (bought ? "bought " : "has not bought ") + supply.name();
        });
    }

    private SupplyResponse supply(String id) {
        return stock.find(id).orElseThrow(() -> new NotFoundException("thing to buy"));
    }

    @LeadOrManager
    void remove(String id) {
        journal.judge(() -> {
            SupplyResponse supply = supply(id);
            stock.delete(id);
            return "took " + supply.name() + " off the supply run";
        });
    }

    @LeadOrManager
    String addToShelf(ShelfRequest form) {
        check(form);
        String id = NewId.next();
        journal.change("put " + form.name() + " on the shelf", () -> stock.insertShelf(id, form));
        return id;
    }

    @LeadOrManager
    void changeShelf(String id, ShelfRequest form) {
        check(form);
        journal.change("counted " + form.name() + " on the shelf", () -> {
            ShelfView there = shelf(id);
            if (form.quantity() < there.reserved()) {
                throw new ValidationException("quantity", there.reserved() + " are reserved; fewer cannot lie there.");
            }
            if (!stock.updateShelf(id, form)) {
                throw new ConflictException("Somebody else changed this meanwhile.", there.version(), List.of());
            }
        });
    }

    private ShelfView shelf(String id) {
        return stock.shelf().stream()
                .filter(s -> s.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new NotFoundException("thing on the shelf"));
    }

    private static void check(ShelfRequest form) {
        List<Problem> problems = new ArrayList<>();
        if (form.name().isBlank()) {
            problems.add(new Problem("name", "What is it?"));
        }
        if (form.quantity() < 0 || form.quantity() > 100_000) {
            problems.add(new Problem("quantity", "Between 0 and 100 000."));
        }
        if (form.least() < 0 || form.least() > 100_000) {
            problems.add(new Problem("least", "Between 0 and 100 000."));
        }
        ValidationException.throwIfAny(problems);
    }

    @AnyHand
    YieldResponse yieldOf(String work) {
        return stock.yieldOf(work).orElse(new YieldResponse(null, 0));
    }

    /** Says what a job puts on the shelf once it is done. */
    @LeadOrManager
    void yields(String work, YieldRequest form) {
        if (form.shelfId() != null && (form.quantity() < 1 || form.quantity() > MOST_OF_A_JOB)) {
            throw new ValidationException("quantity", "1 to 10 000.");
        }
        journal.judge(() -> {
            String job = stock.openJob(work).orElseThrow(() -> new NotFoundException("job that is to be done"));
            String thing =
                    form.shelfId() == null ? "nothing" : shelf(form.shelfId()).name();
            stock.yields(work, form);
            return job + " puts " + (form.shelfId() == null ? "" : form.quantity() + " × ") + thing + " on the shelf";
        });
    }

    @LeadOrManager
    void take(String partId, String shelfId) {
        journal.judge(() -> {
            PartRow part = parts.part(partId).orElseThrow(() -> new NotFoundException("part"));
            if (!part.state().toOrder()) {
                throw new ValidationException(
                        "shelfId", part.name() + " is " + part.state().label() + "; it is not taken from the shelf.");
            }
            ShelfView shelf = shelf(shelfId);
            int free = shelf.quantity() - shelf.reserved();
            if (free < part.quantity()) {
                throw new ValidationException(
                        "shelfId",
                        "Only " + free + " of " + shelf.name() + " are free; " + part.quantity() + " are wanted.");
            }
            stock.take(partId, shelfId, part.quantity());
            return "took " + part.name() + " from the shelf";
        });
    }
}
