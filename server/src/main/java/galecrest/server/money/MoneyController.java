package galecrest.server.money;

import galecrest.core.build.Gate;
import galecrest.core.money.Ledger;
import galecrest.server.plan.DateEffect;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
class MoneyController {
    private final MoneyService money;
    private final ChangeOrderService changes;

    MoneyController(MoneyService money, ChangeOrderService changes) {
        this.money = money;
        this.changes = changes;
    }

    /** The money of one build in one line. */
    record Summary(
            String buildId,
            boolean estimated,
            BigDecimal agreed,
            BigDecimal committed,
            BigDecimal spent,
            BigDecimal paid,
            BigDecimal owed,
            BigDecimal hoursAgreed,
            BigDecimal hoursWorked,
            BigDecimal hoursToDo,
            int offered) {}

    /** By skill, how estimates of finished jobs compared with the clock. */
    record Wrong(String skill, int jobs, long estimatedMinutes, long workedMinutes) {}

    record Books(
            String currency, BigDecimal hourRate, BigDecimal taxPercent, List<Summary> builds, List<Wrong> wrong) {}

    @GetMapping("/ledger")
    Books books() {
        return money.books();
    }

    record EstimateView(
            BigDecimal hours,
            BigDecimal hourRate,
            BigDecimal parts,
            BigDecimal outwork,
            BigDecimal allowancePercent,
            BigDecimal allowance,
            BigDecimal total,
            Instant agreedAt,
            String by) {}

    record LineView(
            Ledger.Kind kind, String text, BigDecimal quantity, BigDecimal price, BigDecimal net, Ledger.Stage stage) {}

    record PaymentView(String id, Instant at, BigDecimal amount, String note) {}

    record ChangeOrderView(
            String id,
            String title,
            String note,
            BigDecimal hours,
            BigDecimal hourRate,
            BigDecimal parts,
            @Nullable Instant partsAt,
            BigDecimal outwork,
            BigDecimal total,
            List<DateEffect> effect,
            ChangeOrderService.Decision state,
            String madeBy,
            Instant madeAt,
            @Nullable String decidedBy,
            @Nullable Instant decidedAt,
            @Nullable String decidedNote) {}

    record LedgerView(
            String buildId,
            Summary summary,
            @Nullable EstimateView estimate,
            EstimateForm proposed,
            BigDecimal tax,
            List<LineView> lines,
            List<ChangeOrderView> changes,
            List<PaymentView> payments) {}

    @GetMapping("/ledger/{build}")
    LedgerView ledger(@PathVariable String build) {
        return money.ledger(build);
    }

    record RatesForm(String currency, BigDecimal hourRate, BigDecimal taxPercent) {}

    @PutMapping("/ledger")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void rates(@RequestBody RatesForm form) {
        money.rates(form);
    }

    record EstimateForm(BigDecimal hours, BigDecimal parts, BigDecimal outwork, BigDecimal allowancePercent) {}

    @PutMapping("/ledger/{build}/estimate")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void estimate(@PathVariable String build, @RequestBody EstimateForm form) {
        money.estimate(build, form);
    }

    record PaymentForm(BigDecimal amount, String note) {}

    @PostMapping("/ledger/{build}/payments")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void pay(@PathVariable String build, @RequestBody PaymentForm form) {
        money.pay(build, form);
    }

    @DeleteMapping("/payments/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removePayment(@PathVariable String id) {
        money.removePayment(id);
    }

    /** A change that the customer might want: hours of a skill before a gate, parts from a day on, outside work. */
    record ChangeOrderForm(
            String title,
            String note,
            BigDecimal hours,
            String skill,
            Gate gate,
            BigDecimal parts,
            @Nullable Instant partsAt,
            BigDecimal outwork) {}

    /** What it would cost, and what it would do to every date of the shop; nothing is written. */
    record Priced(BigDecimal total, List<DateEffect> effect) {}

    @PostMapping("/ledger/{build}/changes/price")
    Priced price(@PathVariable String build, @RequestBody ChangeOrderForm form) {
        return changes.price(build, form);
    }

    record Offered(String id) {}

    @PostMapping("/ledger/{build}/changes")
    Offered offer(@PathVariable String build, @RequestBody ChangeOrderForm form) {
        return new Offered(changes.offer(build, form));
    }

    record DecisionForm(boolean accept, String note) {}

    @PostMapping("/changes/{id}/decision")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void decide(@PathVariable String id, @RequestBody DecisionForm form) {
        changes.decide(id, form.accept(), form.note());
    }

    @GetMapping(path = "/ledger/{build}/invoice.csv", produces = "text/csv")
    ResponseEntity<String> invoice(@PathVariable String build) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=invoice-lines.csv")
                .contentType(new MediaType("text", "csv", java.nio.charset.StandardCharsets.UTF_8))
                .body(money.invoice(build));
    }
}
