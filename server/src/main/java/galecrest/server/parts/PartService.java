package galecrest.server.parts;

import galecrest.core.money.Amount;
import galecrest.core.parts.PartState;
import galecrest.core.shop.Problem;
import galecrest.server.NewId;
import galecrest.server.access.LeadOrManager;
import galecrest.server.journal.Journal;
import galecrest.server.mate.FitAssessment;
import galecrest.server.mate.MateRepository;
import galecrest.server.problem.ConflictException;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import galecrest.server.vendor.DeliveryRepository;
import galecrest.server.vendor.PromisedDates;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

@Service
@LeadOrManager
class PartService {
    private final PartRepository parts;
    private final PartLineRepository lines;
    private final MateRepository joints;
    private final DeliveryRepository deliveries;
    private final Journal journal;
    private final Clock clock;

    PartService(
            PartRepository parts,
            PartLineRepository lines,
            MateRepository joints,
            DeliveryRepository deliveries,
            Journal journal,
            Clock clock) {
        this.parts = parts;
        this.lines = lines;
        this.joints = joints;
        this.deliveries = deliveries;
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
            PartRow before = lines.part(id).orElseThrow(() -> new NotFoundException("part"));
            int version = parts.version(id);
            if (version != form.version()) {
                throw new ConflictException(
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
            throw new ValidationException("state", p);
        });
        if (before.state().toOrder() && form.state() == PartState.ORDERED && before.overrideReason() == null) {
            FitAssessment.held(joints.of(before.id())).ifPresent(held -> {
                throw new ValidationException("state", "The order is held. " + held);
            });
        }
    }

    /** What comes with a step: the first promise is kept when it is ordered, the record written when it is accepted. */
    private void into(PartRow before, PartRequest form) {
        if (before.state() == form.state()) {
            return;
        }
        if (form.state() == PartState.ORDERED) {
            lines.ordered(before.id(), clock.instant());
        } else if (form.state() == PartState.ACCEPTED && !before.state().here()) {
            lines.received(before.id(), form.quantity(), PartState.ACCEPTED);
            if (before.vendorId() != null && before.promisedAt() != null) {
                deliveries.part(before.vendorId(), before.name(), before.promisedAt(), clock.instant());
            }
        }
    }

    void remove(String id) {
        journal.judge(() -> {
            String name = parts.name(id).orElseThrow(() -> new NotFoundException("part"));
            parts.delete(id);
            return "removed the part " + name;
        });
    }

    private void check(PartRequest form, @Nullable String id) {
        List<Problem> problems = new ArrayList<>(problems(form));
        if (form.pairedWith() != null && form.pairedWith().equals(id)) {
            problems.add(new Problem("pairedWith", "A part cannot be the other half of itself."));
        }
        ValidationException.throwIfAny(problems);
    }

    /** All that is wrong with a part line by itself. */
    List<Problem> problems(PartRequest form) {
        List<Problem> problems = new ArrayList<>();
        if (!Amount.isPrice(form.price())) {
            problems.add(new Problem("price", Amount.PRICE));
        }
        problems.addAll(PromisedDates.problems(form.arrivalLow(), form.arrivalLikely(), form.arrivalHigh()));
        for (String work : form.neededBy()) {
            if (!parts.isJobOf(work, form.buildId())) {
                problems.add(new Problem("neededBy", "A part can only be needed by jobs of its own build."));
            }
        }
        return problems;
    }
}
