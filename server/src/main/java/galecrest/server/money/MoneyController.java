package galecrest.server.money;

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

    MoneyController(MoneyService money) {
        this.money = money;
    }

    @GetMapping("/ledger")
    BooksResponse books() {
        return money.books();
    }

    @GetMapping("/ledger/{build}")
    LedgerResponse ledger(@PathVariable String build) {
        return money.ledger(build);
    }

    @PutMapping("/ledger/{build}/project")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void project(@PathVariable String build, @RequestBody ProjectRequest form) {
        money.project(build, form);
    }

    @PutMapping("/ledger/{build}/estimate")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void estimate(@PathVariable String build, @RequestBody EstimateRequest form) {
        money.estimate(build, form);
    }

    @PostMapping("/ledger/{build}/payments")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void pay(@PathVariable String build, @RequestBody PaymentRequest form) {
        money.pay(build, form);
    }

    @DeleteMapping("/payments/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removePayment(@PathVariable String id) {
        money.removePayment(id);
    }

    @GetMapping(path = "/ledger/{build}/invoice.csv", produces = "text/csv")
    ResponseEntity<String> invoice(@PathVariable String build) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=invoice-lines.csv")
                .contentType(new MediaType("text", "csv", java.nio.charset.StandardCharsets.UTF_8))
                .body(money.invoice(build));
    }
}
