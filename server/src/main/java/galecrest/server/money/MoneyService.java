package galecrest.server.money;

import galecrest.core.money.Amount;
import galecrest.core.money.Ledger;
import galecrest.core.money.MoneyForm;
import galecrest.core.shop.Problem;
import galecrest.server.access.CurrentUser;
import galecrest.server.access.ManagerOnly;
import galecrest.server.changeorder.ChangeOrderService;
import galecrest.server.changeorder.Decision;
import galecrest.server.changeorder.OrderRow;
import galecrest.server.csv.CsvTable;
import galecrest.server.journal.Journal;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import galecrest.server.rate.Rates;
import galecrest.server.rate.RatesService;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** The books of the builds. Hours are those of the clock; where nobody started it, the estimate stands in. */
@Service
public class MoneyService {
    /** What a strip usually finds, in per cent; common practice. */
    private static final BigDecimal USUAL_ALLOWANCE = BigDecimal.valueOf(15);

    private static final BigDecimal HOUR = BigDecimal.valueOf(60);

    private final MoneyRepository money;
    private final RatesService rates;
    private final ChangeOrderService changes;
    private final Journal journal;
    private final Clock clock;
    private final CurrentUser who;

    MoneyService(
            MoneyRepository money,
            RatesService rates,
            ChangeOrderService changes,
            Journal journal,
            Clock clock,
            CurrentUser who) {
        this.money = money;
        this.rates = rates;
        this.changes = changes;
        this.journal = journal;
        this.clock = clock;
        this.who = who;
    }

    @ManagerOnly
    BooksResponse books() {
        Rates charges = rates.rates();
        return new BooksResponse(
                charges.currency(),
                charges.hourRate(),
                charges.taxPercent(),
                charges.findingLimit(),
                money.builds().stream().map(b -> summary(b.id())).toList(),
                money.wrong());
    }

    @ManagerOnly
    LedgerResponse ledger(String build) {
        name(build);
        Ledger ledger = of(build);
        return new LedgerResponse(
                build,
                summary(build),
                money.estimate(build).map(MoneyService::view).orElse(null),
                proposed(build),
                ledger.tax().value(),
                ledger.lines().stream()
                        .map(l -> new LedgerLine(
                                l.kind(),
                                l.text(),
                                l.quantity(),
                                l.price(),
                                l.net().value(),
                                l.stage()))
                        .toList(),
                changes.kept(build).stream().map(OrderRow::view).toList(),
                money.payments(build),
                project(build, ledger));
    }

    private String name(String build) {
        return money.name(build).orElseThrow(() -> new NotFoundException("build"));
    }

    private ProjectView project(String build, Ledger ledger) {
        ProjectRequest said = money.project(build);
        BigDecimal spent = ledger.spent().value();
        BigDecimal cost = said.bought() == null ? spent : spent.add(said.bought());
        return new ProjectView(
                said.bought(),
                spent,
                said.sold(),
                said.sold() == null ? null : said.sold().subtract(cost));
    }

    @ManagerOnly
    void project(String build, ProjectRequest form) {
        List<Problem> problems = new ArrayList<>();
        if (!Amount.isPrice(form.bought())) {
            problems.add(new Problem("bought", Amount.PRICE));
        }
        if (!Amount.isPrice(form.sold())) {
            problems.add(new Problem("sold", Amount.PRICE));
        }
        ValidationException.throwIfAny(problems);
        journal.change("wrote down what a project was bought and sold for", () -> {
            if (!money.saveProject(build, form)) {
                throw new NotFoundException("build");
            }
        });
    }

    private static EstimateView view(EstimateRow row) {
        Ledger.Estimate estimate = row.estimate();
        return new EstimateView(
                row.hours(),
                row.hourRate(),
                row.parts(),
                row.outwork(),
                row.allowancePercent(),
                estimate.allowance().value(),
                estimate.total().value(),
                row.agreedAt(),
                row.byName());
    }

    /** An estimate from what is planned now. */
    private EstimateRequest proposed(String build) {
        BigDecimal hours =
                hours(money.jobs(build).stream().mapToLong(JobRow::likely).sum());
        BigDecimal parts = money.parts(build).stream()
                .filter(p -> p.price() != null && !p.own())
                .map(p -> p.price().multiply(BigDecimal.valueOf(p.quantity())))
                .reduce(BigDecimal.ZERO, BigDecimal::add);
        BigDecimal outwork = money.outwork(build).stream()
                .filter(o -> o.price() != null)
                .map(OutworkRow::price)
                .reduce(BigDecimal.ZERO, BigDecimal::add);
        return new EstimateRequest(hours, parts, outwork, USUAL_ALLOWANCE);
    }

    private static BigDecimal hours(long minutes) {
        return BigDecimal.valueOf(minutes).divide(HOUR, 2, RoundingMode.HALF_UP);
    }

    /** The ledger of a build as it stands. */
    public Ledger of(String build) {
        Rates charges = rates.rates();
        Optional<EstimateRow> estimate = money.estimate(build);
        BigDecimal rate = estimate.map(EstimateRow::hourRate).orElse(charges.hourRate());
        List<Ledger.Line> lines = new ArrayList<>();
        for (JobRow job : money.jobs(build)) {
            boolean done = job.status().equals("DONE");
            long minutes = job.worked() != null ? job.worked() : done ? job.likely() : 0;
            if (minutes > 0) {
                lines.add(new Ledger.Line(Ledger.Kind.LABOUR, job.name(), hours(minutes), rate, Ledger.Stage.SPENT));
            }
        }
        money.parts(build).stream()
                .filter(p -> p.price() != null && !p.own() && !p.state().equals("RETURNED"))
                .forEach(p -> lines.add(new Ledger.Line(
                        Ledger.Kind.PART, p.name(), BigDecimal.valueOf(p.quantity()), p.price(), stage(p.state()))));
        money.outwork(build).stream()
                .filter(o -> o.price() != null)
                .forEach(o -> lines.add(new Ledger.Line(
                        Ledger.Kind.OUTWORK,
                        o.name(),
                        BigDecimal.ONE,
                        o.price(),
                        switch (o.status()) {
                            case "DONE" -> Ledger.Stage.SPENT;
                            case "STARTED" -> Ledger.Stage.COMMITTED;
                            default -> Ledger.Stage.OPEN;
                        })));
        return new Ledger(
                estimate.map(EstimateRow::estimate),
                changes.kept(build).stream()
                        .filter(o -> o.state() == Decision.ACCEPTED)
                        .map(OrderRow::change)
                        .toList(),
                lines,
                money.payments(build).stream().map(p -> new Amount(p.amount())).toList(),
                charges.taxPercent());
    }

    private static Ledger.Stage stage(String state) {
        return switch (state) {
            case "WANTED", "SPECIFIED", "QUOTED", "REFUSED" -> Ledger.Stage.OPEN;
            case "ORDERED", "SHIPPED", "ARRIVED", "INSPECTED" -> Ledger.Stage.COMMITTED;
            default -> Ledger.Stage.SPENT;
        };
    }

    private LedgerSummary summary(String build) {
        Ledger ledger = of(build);
        long toDo = money.jobs(build).stream()
                .filter(j -> !j.status().equals("DONE"))
                .mapToLong(JobRow::likely)
                .sum();
        BigDecimal worked = ledger.lines().stream()
                .filter(l -> l.kind() == Ledger.Kind.LABOUR)
                .map(Ledger.Line::quantity)
                .reduce(BigDecimal.ZERO, BigDecimal::add);
        return new LedgerSummary(
                build,
                ledger.estimate().isPresent(),
                ledger.agreed().value(),
                ledger.committed().value(),
                ledger.spent().value(),
                ledger.paid().value(),
                ledger.owed().value(),
                ledger.agreedHours(),
                worked,
                hours(toDo),
                (int) changes.kept(build).stream()
                        .filter(o -> o.state() == Decision.OFFERED)
                        .count());
    }

    @ManagerOnly
    void estimate(String build, EstimateRequest form) {
        String name = name(build);
        List<Problem> problems = new ArrayList<>();
        MoneyForm.hours("hours", form.hours(), problems);
        MoneyForm.amount("parts", form.parts(), problems);
        MoneyForm.amount("outwork", form.outwork(), problems);
        MoneyForm.percent("allowancePercent", form.allowancePercent(), problems);
        ValidationException.throwIfAny(problems);
        journal.change(
                "agreed the estimate of " + name,
                () -> money.saveEstimate(build, form, rates.rates().hourRate(), who.name(), clock.instant()));
    }

    @ManagerOnly
    void pay(String build, PaymentRequest form) {
        String name = name(build);
        List<Problem> problems = new ArrayList<>();
        MoneyForm.amount("amount", form.amount(), problems);
        if (form.amount().signum() == 0) {
            problems.add(new Problem("amount", "How much was paid?"));
        }
        ValidationException.throwIfAny(problems);
        journal.change(
                "noted a payment for " + name, () -> money.pay(build, form.amount(), form.note(), clock.instant()));
    }

    @ManagerOnly
    void removePayment(String id) {
        journal.change("removed a payment", () -> {
            if (!money.deletePayment(id)) {
                throw new NotFoundException("payment");
            }
        });
    }

    /** What is spent, as lines for an invoice: net, with the tax as a line of its own. */
    @ManagerOnly
    String invoice(String build) {
        name(build);
        Ledger ledger = of(build);
        StringBuilder out =
                new StringBuilder(CsvTable.line(Stream.of("kind", "text", "quantity", "unit price", "net")));
        ledger.invoiceLines()
                .forEach(l -> out.append(CsvTable.line(Stream.of(
                        l.kind().name().toLowerCase(Locale.ROOT),
                        l.text(),
                        l.quantity().toPlainString(),
                        l.price().toPlainString(),
                        l.net().toString()))));
        String tax = "tax of " + ledger.taxPercent().toPlainString() + " %";
        out.append(CsvTable.line(Stream.of("tax", tax, "", "", ledger.tax().toString())));
        return out.toString();
    }
}
