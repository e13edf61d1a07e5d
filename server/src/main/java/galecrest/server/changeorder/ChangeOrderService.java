package galecrest.server.changeorder;

import galecrest.core.build.Zone;
import galecrest.core.money.Amount;
import galecrest.core.money.FindingLimit;
import galecrest.core.money.Ledger;
import galecrest.core.money.MoneyForm;
import galecrest.core.people.Level;
import galecrest.core.sheet.JobSpec;
import galecrest.core.shop.Problem;
import galecrest.core.work.CrewPlace;
import galecrest.core.work.CureLock;
import galecrest.server.access.CurrentUser;
import galecrest.server.access.LeadOrManager;
import galecrest.server.access.ManagerOnly;
import galecrest.server.journal.Journal;
import galecrest.server.plan.DateEffect;
import galecrest.server.plan.WhatIf;
import galecrest.server.problem.ConflictException;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import galecrest.server.rate.RatesService;
import galecrest.server.work.JobRequest;
import galecrest.server.work.WorkService;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;

/** Change orders: what a wish costs and what it does to every date, before the yes. */
@Service
public class ChangeOrderService {
    private static final BigDecimal HOUR = BigDecimal.valueOf(60);
    /** A job of a change order takes between so much less and so much more; common practice. */
    private static final double LOW = 0.8;

    private static final double HIGH = 1.5;

    private final ChangeOrderRepository record;
    private final RatesService rates;
    private final WorkService works;
    private final WhatIf whatIf;
    private final Journal journal;
    private final Clock clock;
    private final CurrentUser who;

    ChangeOrderService(
            ChangeOrderRepository record,
            RatesService rates,
            WorkService works,
            WhatIf whatIf,
            Journal journal,
            Clock clock,
            CurrentUser who) {
        this.record = record;
        this.rates = rates;
        this.works = works;
        this.whatIf = whatIf;
        this.journal = journal;
        this.clock = clock;
        this.who = who;
    }

    @ManagerOnly
    PricedResponse price(String build, ChangeOrderRequest form) {
        check(form);
        return new PricedResponse(total(form), effect(build, form));
    }

    private BigDecimal total(ChangeOrderRequest form) {
        return new Ledger.AgreedChange(
                        form.title(),
                        form.hours(),
                        rates.rates().hourRate(),
                        new Amount(form.parts()),
                        new Amount(form.outwork()))
                .total()
                .value();
    }

    private List<DateEffect> effect(String build, ChangeOrderRequest form) {
        return whatIf.effect(build, () -> write(build, form));
    }

    /** Writes the work and the part that the change brings; work that was found is there, and goes ahead. */
    private void write(String build, ChangeOrderRequest form) {
        String job = form.workId() == null ? added(build, form) : form.workId();
        if (form.workId() != null) {
            record.settled(job);
            works.goesAhead(job);
        }
        if (form.parts().signum() > 0) {
            record.part(build, "parts for: " + form.title().strip(), form.parts(), form.partsAt(), job);
        }
    }

    private String added(String build, ChangeOrderRequest form) {
        int minutes = form.hours().multiply(HOUR).intValue();
        JobSpec spec = new JobSpec(
                form.title().strip(),
                Zone.ENGINE_BAY,
                false,
                false,
                Math.max(5, (int) (minutes * LOW)),
                Math.max(5, minutes),
                Math.max(5, (int) (minutes * HIGH)),
                List.of(new CrewPlace(form.skill(), Level.ABLE)),
                "",
                false,
                0,
                CureLock.NOTHING,
                form.gate(),
                true,
                0,
                0);
        return works.insertJob(new JobRequest(build, "Changes", spec, null, form.note(), List.of(), 0), false);
    }

    @ManagerOnly
    String offer(String build, ChangeOrderRequest form) {
        check(form);
        List<DateEffect> effect = effect(build, form);
        return journal.change(
                () -> {
                    mustWait(build, form);
                    return record.offer(build, form, rates.rates().hourRate(), effect, who.name(), clock.instant());
                },
                id -> (form.workId() == null ? "offered the change " : "put to the customer: ")
                        + form.title().strip());
    }

    /** What is asked about is a finding of this car that nobody asks about now. */
    private void mustWait(String build, ChangeOrderRequest form) {
        if (form.workId() != null && record.waiting(build, form.workId()).isEmpty()) {
            throw new ConflictException(
                    "That is with the customer already, or no finding of this car any more.", 0, List.of());
        }
    }

    /** Findings that wait for a customer's yes: those that nobody has asked about first. */
    @LeadOrManager
    List<AskedFindingResponse> findings() {
        FindingLimit limit = rates.rates().forFindings();
        return record.findings().stream()
                .map(f -> new AskedFindingResponse(
                        f.workId(),
                        f.buildId(),
                        f.name(),
                        BigDecimal.valueOf((long) f.minutes() * f.hands()).divide(HOUR, 2, RoundingMode.HALF_UP),
                        f.skill() == null ? "" : f.skill(),
                        f.gate(),
                        limit.price(f.minutes(), f.hands()).value(),
                        f.title(),
                        f.state(),
                        f.at(),
                        f.decidedNote()))
                .toList();
    }

    private static void check(ChangeOrderRequest form) {
        List<Problem> problems = new ArrayList<>();
        MoneyForm.hours("hours", form.hours(), problems);
        if (form.hours().compareTo(BigDecimal.valueOf(800)) > 0) {
            problems.add(new Problem("hours", "More than 800 hours are a build of their own."));
        }
        MoneyForm.amount("parts", form.parts(), problems);
        MoneyForm.amount("outwork", form.outwork(), problems);
        ValidationException.throwIfAny(problems);
    }

    @ManagerOnly
    void decide(String id, boolean accept, String note) {
        decide(record.order(id).orElseThrow(() -> new NotFoundException("change order")), accept, note, who.name());
    }

    /** The customer's own word, for a change order of this build. */
    public void decideAsCustomer(String build, String id, boolean accept, String name, String note) {
        OrderRow order = record.order(id)
                .filter(o -> o.buildId().equals(build))
                .orElseThrow(() -> new NotFoundException("change order"));
        decide(order, accept, note, name + " (customer)");
    }

    private void decide(OrderRow order, boolean accept, String note, String by) {
        journal.change((accept ? "accepted the change " : "refused the change ") + order.title(), () -> {
            if (!record.decide(order.id(), accept, note, by, clock.instant())) {
                throw new ConflictException(order.title() + " was decided already.", 0, List.of());
            }
            if (accept) {
                write(order.buildId(), order.form());
            } else if (order.workId() != null) {
                works.waitsForAnAnswer(order.workId(), "the customer said no: what now?");
            }
        });
    }

    /** The change orders of a build as the customer sees them. */
    public List<CustomerChange> of(String build) {
        return record.orders(build).stream()
                .map(o -> new CustomerChange(
                        o.id(), o.title(), o.note(), o.change().total().value(), o.effect(), o.state(), o.decidedBy()))
                .toList();
    }

    /** The change orders of a build, the newest first. */
    public List<OrderRow> kept(String build) {
        return record.orders(build);
    }

    public String currency() {
        return rates.rates().currency();
    }
}
