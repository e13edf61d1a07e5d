package galecrest.server.purchasing;

import galecrest.core.money.Amount;
import galecrest.core.parts.PartState;
import galecrest.core.shop.Problem;
import galecrest.server.access.CurrentUser;
import galecrest.server.access.LeadOrManager;
import galecrest.server.access.Role;
import galecrest.server.journal.Journal;
import galecrest.server.mate.FitAssessment;
import galecrest.server.mate.MateRepository;
import galecrest.server.parts.PartLineRepository;
import galecrest.server.parts.PartRow;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import galecrest.server.shop.NameRepository;
import galecrest.server.vendor.PromisedDates;
import galecrest.server.vendor.VendorRepository;
import galecrest.server.vendor.VendorRow;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;

/** Asking, ordering and chasing: a side that is unknown or does not fit holds the order. */
@Service
class OrderService {
    private final PartLineRepository parts;
    private final MateRepository joints;
    private final OrderRepository orders;
    private final VendorWordRepository words;
    private final VendorRepository vendors;
    private final NameRepository names;
    private final Journal journal;
    private final Clock clock;
    private final CurrentUser who;

    OrderService(
            PartLineRepository parts,
            MateRepository joints,
            OrderRepository orders,
            VendorWordRepository words,
            VendorRepository vendors,
            NameRepository names,
            Journal journal,
            Clock clock,
            CurrentUser who) {
        this.parts = parts;
        this.joints = joints;
        this.orders = orders;
        this.words = words;
        this.vendors = vendors;
        this.names = names;
        this.journal = journal;
        this.clock = clock;
        this.who = who;
    }

    @LeadOrManager
    void order(String id, OrderRequest form) {
        journal.judge(() -> {
            PartRow part = part(id);
            ValidationException.throwIfAny(problems(part, form));
            orders.order(id, form, clock.instant());
            return "ordered " + part.name() + (isOverride(form) ? ", although: " + form.overrideReason() : "");
        });
    }

    /** Orders several lines of one vendor for one day, all of them or none. */
    @LeadOrManager
    void orderAll(String vendorId, BasketRequest form) {
        journal.judge(() -> {
            VendorRow vendor = vendors.known(vendorId).orElseThrow(() -> new NotFoundException("vendor"));
            Map<String, OrderRequest> all = orders(vendorId, vendor, form);
            all.forEach((part, order) -> orders.order(part, order, clock.instant()));
            return "ordered " + all.size() + (all.size() == 1 ? " part" : " parts") + " from " + vendor.name();
        });
    }

    /** The orders of a basket, by part; refused where anything speaks against one of them. */
    private Map<String, OrderRequest> orders(String vendorId, VendorRow vendor, BasketRequest form) {
        List<Problem> problems = new ArrayList<>();
        Map<String, OrderRequest> all = new LinkedHashMap<>();
        for (int i = 0; i < form.lines().size(); i++) {
            BasketLine line = form.lines().get(i);
            PartRow part = part(line.partId());
            OrderRequest order = new OrderRequest(form.low(), form.likely(), form.high(), line.price(), null);
            if (!vendorId.equals(part.vendorId())) {
                problems.add(new Problem("lines." + i, part.name() + " is not to come from " + vendor.name() + "."));
            }
            String at = "lines." + i;
            problems(part, order).stream()
                    .map(p -> new Problem(
                            List.of("low", "likely", "high").contains(p.field()) ? p.field() : at,
                            p.field().equals("price") ? part.name() + ": " + p.message() : p.message()))
                    .filter(p -> !problems.contains(p))
                    .forEach(problems::add);
            all.put(line.partId(), order);
        }
        ValidationException.throwIfAny(problems);
        return all;
    }

    private static boolean isOverride(OrderRequest form) {
        return form.overrideReason() != null && !form.overrideReason().isBlank();
    }

    /** What speaks against an order: the state of the line, the dates, the price, a side that is unknown or no fit. */
    private List<Problem> problems(PartRow part, OrderRequest form) {
        List<Problem> problems = new ArrayList<>();
        PartState from = part.state() == PartState.ORDERED ? PartState.WANTED : part.state();
        from.problem(PartState.ORDERED, part.own())
                .ifPresent(p -> problems.add(new Problem("state", part.name() + ": " + p)));
        problems.addAll(PromisedDates.problems(form.low(), form.likely(), form.high()));
        if (!Amount.isPrice(form.price())) {
            problems.add(new Problem("price", Amount.PRICE));
        }
        if (form.likely() != null && form.likely().isBefore(clock.instant())) {
            problems.add(new Problem("likely", "The promised day has passed; an arrival comes after its order."));
        }
        if (part.vendorId() == null && !part.own()) {
            problems.add(new Problem("vendorId", "Say first who it is ordered from."));
        }
        FitAssessment.held(joints.of(part.id())).ifPresent(held -> {
            if (!isOverride(form)) {
                problems.add(new Problem("overrideReason", "The order of " + part.name() + " is held. " + held));
            } else if (who.account().role() != Role.MANAGER) {
                problems.add(new Problem("overrideReason", "Only the manager lets a held order go out. " + held));
            }
        });
        return problems;
    }

    /** Another part instead of one that is not here; why is kept with the words. */
    @LeadOrManager
    void instead(String id, InsteadRequest form) {
        List<Problem> problems = new ArrayList<>();
        if (!Amount.isPrice(form.price())) {
            problems.add(new Problem("price", Amount.PRICE));
        }
        if (form.vendorId() != null && vendors.known(form.vendorId()).isEmpty()) {
            problems.add(new Problem("vendorId", "There is no such vendor."));
        }
        journal.judge(() -> {
            PartRow part = part(id);
            if (part.state().here() || part.received() > 0) {
                problems.add(new Problem("name", part.name() + " is here; send it back first."));
            }
            ValidationException.throwIfAny(problems);
            boolean cancel = part.state() == PartState.ORDERED || part.state() == PartState.SHIPPED;
            String said = "Instead of " + part.name() + ": " + form.reason().strip()
                    + (cancel ? " The order of " + part.name() + " must be cancelled." : "");
            orders.instead(part, form);
            words.word(id, null, said, null, who.name(), clock.instant());
            return "took " + form.name().strip() + " instead of " + part.name();
        });
    }

    @LeadOrManager
    MailResponse ask(String id) {
        PartRow part = part(id);
        VendorRow vendor = vendors.known(part.vendorId())
                .orElseThrow(() -> new ValidationException("vendorId", "Say first who it would be ordered from."));
        List<String> questions = FitAssessment.questions(joints.of(id));
        if (questions.isEmpty()) {
            throw new ValidationException("mates", "Nothing is open: both sides of every joint are written down.");
        }
        String subject = part.name() + ": before we order";
        StringBuilder body = new StringBuilder("Good day,\n\nwe would like to order " + part.quantity() + " × "
                + part.name() + " for the " + names.build(part.buildId()).orElse("")
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
                .append(names.shop())
                .append('\n');
        return journal.change("asked " + vendor.name() + " about " + part.name(), () -> {
            if (part(id).state() == PartState.WANTED) {
                parts.state(id, PartState.SPECIFIED);
            }
            return words.send(
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
    void partWord(String id, WordRequest form) {
        check(form);
        journal.judge(() -> {
            PartRow part = part(id);
            if (form.likely() != null
                    && !part.state().toOrder()
                    && (part.state().here() || part.state().toInspect())) {
                throw new ValidationException("likely", part.name() + " is here already; there is no date to change.");
            }
            words.word(id, null, form.said(), form.nextAt(), who.name(), clock.instant());
            if (form.likely() != null) {
                orders.dates(id, form.low(), form.likely(), form.high());
            }
            return "noted a word on " + part.name() + ": " + form.said();
        });
    }

    @LeadOrManager
    void outworkWord(String id, WordRequest form) {
        check(form);
        journal.judge(() -> {
            String name = orders.outworkName(id).orElseThrow(() -> new NotFoundException("outside work"));
            words.word(null, id, form.said(), form.nextAt(), who.name(), clock.instant());
            if (form.likely() != null && !orders.back(id, form.low(), form.likely(), form.high())) {
                throw new ValidationException("likely", name + " has not left yet; its return cannot be promised.");
            }
            return "noted a word on " + name + ": " + form.said();
        });
    }

    private void check(WordRequest form) {
        List<Problem> problems = new ArrayList<>(PromisedDates.problems(form.low(), form.likely(), form.high()));
        Instant now = clock.instant();
        if (form.nextAt() != null && form.nextAt().isBefore(now)) {
            problems.add(new Problem("nextAt", "The next word is promised for a time that has passed."));
        }
        ValidationException.throwIfAny(problems);
    }

    private PartRow part(String id) {
        return parts.part(id).orElseThrow(() -> new NotFoundException("part"));
    }
}
