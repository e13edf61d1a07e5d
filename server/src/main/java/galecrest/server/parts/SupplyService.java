package galecrest.server.parts;

import galecrest.core.shop.Problem;
import galecrest.server.NewId;
import galecrest.server.access.AnyHand;
import galecrest.server.access.LeadOrManager;
import galecrest.server.access.Who;
import galecrest.server.journal.Journal;
import galecrest.server.problem.BadInput;
import galecrest.server.problem.ChangedMeanwhile;
import galecrest.server.problem.NotThere;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;

/** Consumables that one run a day brings, and what lies on the shelf. */
@Service
class SupplyService {
    private final SupplyRepository supplies;
    private final DeskRepository desk;
    private final Journal journal;
    private final Clock clock;
    private final Who who;

    SupplyService(SupplyRepository supplies, DeskRepository desk, Journal journal, Clock clock, Who who) {
        this.supplies = supplies;
        this.desk = desk;
        this.journal = journal;
        this.clock = clock;
        this.who = who;
    }

    @AnyHand
    List<SupplyResponse> run() {
        return supplies.run();
    }

    @AnyHand
    String ask(SupplyRequest form) {
        if (form.name().isBlank()) {
            throw new BadInput("name", "What is to be bought?");
        }
        return journal.change(
                "asked for " + form.name().strip(), () -> supplies.insert(form, who.name(), clock.instant()));
    }

    @AnyHand
    void bought(String id, boolean bought) {
        journal.judge(() -> {
            SupplyResponse supply = supply(id);
            if (bought == (supply.boughtAt() != null)) {
                return null;
            }
            supplies.bought(id, bought, who.name(), clock.instant());
            return (bought ? "bought " : "has not bought ") + supply.name();
        });
    }

    private SupplyResponse supply(String id) {
        return supplies.find(id).orElseThrow(() -> new NotThere("thing to buy"));
    }

    @LeadOrManager
    void remove(String id) {
        journal.judge(() -> {
            SupplyResponse supply = supply(id);
            supplies.delete(id);
            return "took " + supply.name() + " off the supply run";
        });
    }

    @LeadOrManager
    String addToShelf(ShelfRequest form) {
        check(form);
        String id = NewId.next();
        journal.change("put " + form.name() + " on the shelf", () -> supplies.insertShelf(id, form));
        return id;
    }

    @LeadOrManager
    void changeShelf(String id, ShelfRequest form) {
        check(form);
        journal.change("counted " + form.name() + " on the shelf", () -> {
            ShelfView there = shelf(id);
            if (form.quantity() < there.reserved()) {
                throw new BadInput("quantity", there.reserved() + " are reserved; fewer cannot lie there.");
            }
            if (!supplies.updateShelf(id, form)) {
                throw new ChangedMeanwhile("Somebody else changed this meanwhile.", there.version(), List.of());
            }
        });
    }

    private ShelfView shelf(String id) {
        return supplies.shelf().stream()
                .filter(s -> s.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new NotThere("thing on the shelf"));
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
        BadInput.throwIfAny(problems);
    }

    @LeadOrManager
    void take(String partId, String shelfId) {
        journal.judge(() -> {
            PartRow part = desk.part(partId).orElseThrow(() -> new NotThere("part"));
            if (!part.state().toOrder()) {
                throw new BadInput(
                        "shelfId", part.name() + " is " + part.state().said() + "; it is not taken from the shelf.");
            }
            ShelfView shelf = shelf(shelfId);
            int free = shelf.quantity() - shelf.reserved();
            if (free < part.quantity()) {
                throw new BadInput(
                        "shelfId",
                        "Only " + free + " of " + shelf.name() + " are free; " + part.quantity() + " are wanted.");
            }
            supplies.take(partId, shelfId, part.quantity());
            return "took " + part.name() + " from the shelf";
        });
    }
}
