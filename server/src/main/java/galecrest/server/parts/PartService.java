package galecrest.server.parts;

import galecrest.core.money.Amount;
import galecrest.core.parts.PartState;
import galecrest.core.shop.Problem;
import galecrest.server.NewId;
import galecrest.server.access.LeadOrManager;
import galecrest.server.journal.Journal;
import galecrest.server.problem.BadInput;
import galecrest.server.problem.ChangedMeanwhile;
import galecrest.server.problem.NotThere;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

@Service
@LeadOrManager
class PartService {
    private final PartRepository parts;
    private final DeskRepository desk;
    private final Journal journal;
    private final Clock clock;

    PartService(PartRepository parts, DeskRepository desk, Journal journal, Clock clock) {
        this.parts = parts;
        this.desk = desk;
        this.journal = journal;
        this.clock = clock;
    }

    String add(PartRequest form) {
        check(form, null);
        String id = NewId.next();
        journal.change("added the part " + form.name(), () -> parts.insert(id, form, clock.instant()));
        return id;
    }

    void change(String id, PartRequest form) {
        check(form, id);
        journal.judge(() -> {
            PartRow before = desk.part(id).orElseThrow(() -> new NotThere("part"));
            int version = parts.version(id);
            if (version != form.version()) {
                throw new ChangedMeanwhile(
                        "Somebody else changed the part " + before.name() + " meanwhile.", version, List.of());
            }
            step(before, form);
            String what = parts.whatChanges(id, form);
            parts.update(id, form);
            into(before, form);
            return what;
        });
    }

    /** The next state must follow from the one before; an order that is held goes out at the desk only. */
    private void step(PartRow before, PartRequest form) {
        before.state().problem(form.state(), form.own()).ifPresent(p -> {
            throw new BadInput("state", p);
        });
        if (before.state().toOrder() && form.state() == PartState.ORDERED && before.overrideReason() == null) {
            MateBook.held(desk.mates(before.id())).ifPresent(held -> {
                throw new BadInput("state", "The order is held. " + held);
            });
        }
    }

    /** What comes with a step: the first promise is kept when it is ordered, the record written when it is accepted. */
    private void into(PartRow before, PartRequest form) {
        if (before.state() == form.state()) {
            return;
        }
        if (form.state() == PartState.ORDERED) {
            desk.ordered(before.id(), clock.instant());
        } else if (form.state() == PartState.ACCEPTED && !before.state().here()) {
            desk.received(before.id(), form.quantity(), PartState.ACCEPTED);
            if (before.vendorId() != null && before.promisedAt() != null) {
                desk.delivered(before.vendorId(), before.name(), before.promisedAt(), clock.instant());
            }
        }
    }

    void remove(String id) {
        journal.judge(() -> {
            String name = parts.name(id).orElseThrow(() -> new NotThere("part"));
            parts.delete(id);
            return "removed the part " + name;
        });
    }

    private void check(PartRequest form, @Nullable String id) {
        List<Problem> problems = new ArrayList<>(problems(form));
        if (form.pairedWith() != null && form.pairedWith().equals(id)) {
            problems.add(new Problem("pairedWith", "A part cannot be the other half of itself."));
        }
        BadInput.throwIfAny(problems);
    }

    /** All that is wrong with a part line by itself. */
    List<Problem> problems(PartRequest form) {
        List<Problem> problems = new ArrayList<>();
        if (form.name().isBlank()) {
            problems.add(new Problem("name", "A part needs a name."));
        }
        if (!Amount.isPrice(form.price())) {
            problems.add(new Problem("price", Amount.PRICE));
        }
        if (form.quantity() < 1 || form.quantity() > 10_000) {
            problems.add(new Problem("quantity", "A line is of 1 to 10 000."));
        }
        problems.addAll(ArrivalDates.problems(form.arrivalLow(), form.arrivalLikely(), form.arrivalHigh()));
        if (form.inspectionMinutes() < 0 || form.inspectionMinutes() > 10_000) {
            problems.add(new Problem("inspectionMinutes", "The inspection takes 0 to 10 000 min."));
        }
        for (String work : form.neededBy()) {
            if (!parts.isJobOf(work, form.buildId())) {
                problems.add(new Problem("neededBy", "A part can only be needed by jobs of its own build."));
            }
        }
        return problems;
    }
}
