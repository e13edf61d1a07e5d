package galecrest.server.parts;

import galecrest.core.mate.Ends;
import galecrest.core.parts.PartState;
import galecrest.core.shop.Problem;
import galecrest.server.access.LeadOrManager;
import galecrest.server.access.Role;
import galecrest.server.access.Who;
import galecrest.server.journal.Journal;
import galecrest.server.problem.BadInput;
import galecrest.server.problem.NotThere;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Asking, ordering and chasing: a side that is unknown or does not fit holds the order. */
@Service
class OrderService {
    private final DeskRepository desk;
    private final Journal journal;
    private final Clock clock;
    private final Who who;

    OrderService(DeskRepository desk, Journal journal, Clock clock, Who who) {
        this.desk = desk;
        this.journal = journal;
        this.clock = clock;
        this.who = who;
    }

    @LeadOrManager
    void mates(String id, List<DeskController.MateForm> mates) {
        DeskRepository.PartRow part = part(id);
        List<Problem> problems = new ArrayList<>();
        for (int i = 0; i < mates.size(); i++) {
            var mate = mates.get(i);
            if (mate.place().isBlank()) {
                problems.add(new Problem(i + ".place", "Say where the two meet."));
            }
            side(i + ".there", mate, mate.there()).ifPresent(problems::add);
            side(i + ".comes", mate, mate.comes()).ifPresent(problems::add);
        }
        BadInput.throwIfAny(problems);
        journal.change("wrote down what " + part.name() + " meets", () -> desk.saveMates(id, mates));
    }

    private static Optional<Problem> side(String field, DeskController.MateForm mate, String text) {
        try {
            Ends.read(mate.kind(), text);
            return Optional.empty();
        } catch (Ends.Unreadable unreadable) {
            return Optional.of(new Problem(field, unreadable.getMessage()));
        }
    }

    @LeadOrManager
    void order(String id, DeskController.OrderForm form) {
        DeskRepository.PartRow part = part(id);
        PartState from = part.state() == PartState.ORDERED ? PartState.WANTED : part.state();
        from.problem(PartState.ORDERED, part.own()).ifPresent(p -> {
            throw new BadInput("state", p);
        });
        List<Problem> problems = new ArrayList<>(ArrivalDates.problems(form.low(), form.likely(), form.high()));
        price(form.price()).ifPresent(problems::add);
        if (form.likely() != null && form.likely().isBefore(clock.instant())) {
            problems.add(new Problem("likely", "The promised day has passed; an arrival comes after its order."));
        }
        if (part.vendorId() == null && !part.own()) {
            problems.add(new Problem("vendorId", "Say first who it is ordered from."));
        }
        BadInput.throwIfAny(problems);
        boolean override =
                form.overrideReason() != null && !form.overrideReason().isBlank();
        MateBook.held(desk.mates(id)).ifPresent(held -> {
            if (!override) {
                throw new BadInput("overrideReason", "The order is held. " + held);
            }
            if (who.account().role() != Role.MANAGER) {
                throw new BadInput("overrideReason", "Only the manager lets a held order go out. " + held);
            }
        });
        journal.change(
                "ordered " + part.name() + (override ? ", although: " + form.overrideReason() : ""),
                () -> desk.order(id, form, clock.instant()));
    }

    static Optional<Problem> price(@Nullable BigDecimal price) {
        boolean good = price == null
                || price.signum() >= 0 && price.compareTo(BigDecimal.valueOf(10_000_000)) <= 0 && price.scale() <= 2;
        return good
                ? Optional.empty()
                : Optional.of(new Problem("price", "A price is between 0 and 10 000 000, in whole cents."));
    }

    @LeadOrManager
    DeskController.MailView ask(String id) {
        DeskRepository.PartRow part = part(id);
        DeskRepository.VendorRow vendor = desk.vendor(part.vendorId())
                .orElseThrow(() -> new BadInput("vendorId", "Say first who it would be ordered from."));
        List<String> questions = MateBook.questions(desk.mates(id));
        if (questions.isEmpty()) {
            throw new BadInput("mates", "Nothing is open: both sides of every joint are written down.");
        }
        String subject = part.name() + ": before we order";
        StringBuilder body = new StringBuilder("Good day,\n\nwe would like to order " + part.quantity() + " × "
                + part.name() + " for the " + desk.build(part.buildId())
                + ". Before we do, please tell us:\n\n");
        for (int i = 0; i < questions.size(); i++) {
            body.append(i + 1).append(". ").append(questions.get(i)).append('\n');
        }
        if (!part.specification().isBlank()) {
            body.append("\nWhat we have in mind: ").append(part.specification()).append('\n');
        }
        body.append("\nPlease also give price and delivery day. Nothing is ordered yet.\n\n")
                .append(who.name())
                .append(", ")
                .append(desk.shopName())
                .append('\n');
        return journal.change("asked " + vendor.name() + " about " + part.name(), () -> {
            if (part.state() == PartState.WANTED) {
                desk.state(id, PartState.SPECIFIED);
            }
            return desk.send(
                    vendor.email().isBlank() ? vendor.name() : vendor.email(),
                    subject,
                    body.toString(),
                    id,
                    "specification.pdf",
                    who.name(),
                    clock.instant());
        });
    }

    @LeadOrManager
    void partWord(String id, DeskController.WordForm form) {
        DeskRepository.PartRow part = part(id);
        check(form);
        if (form.likely() != null
                && !part.state().toOrder()
                && (part.state().here() || part.state().toInspect())) {
            throw new BadInput("likely", part.name() + " is here already; there is no date to change.");
        }
        journal.change("noted a word on " + part.name() + ": " + form.said(), () -> {
            desk.word(id, null, form.said(), form.nextAt(), who.name(), clock.instant());
            if (form.likely() != null) {
                desk.dates(id, form.low(), form.likely(), form.high());
            }
        });
    }

    @LeadOrManager
    void outworkWord(String id, DeskController.WordForm form) {
        String name = desk.outworkName(id).orElseThrow(() -> new NotThere("outside work"));
        check(form);
        journal.change("noted a word on " + name + ": " + form.said(), () -> {
            desk.word(null, id, form.said(), form.nextAt(), who.name(), clock.instant());
            if (form.likely() != null && !desk.back(id, form.low(), form.likely(), form.high())) {
                throw new BadInput("likely", name + " has not left yet; its return cannot be promised.");
            }
        });
    }

    private void check(DeskController.WordForm form) {
        List<Problem> problems = new ArrayList<>(ArrivalDates.problems(form.low(), form.likely(), form.high()));
        if (form.said().isBlank()) {
            problems.add(new Problem("said", "What did they say?"));
        }
        Instant now = clock.instant();
        if (form.nextAt() != null && form.nextAt().isBefore(now)) {
            problems.add(new Problem("nextAt", "The next word is promised for a time that has passed."));
        }
        BadInput.throwIfAny(problems);
    }

    private DeskRepository.PartRow part(String id) {
        return desk.part(id).orElseThrow(() -> new NotThere("part"));
    }
}
