package galecrest.server.customer;

import galecrest.server.money.ChangeOrderService;
import galecrest.server.photo.PhotoService;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Links for customers, made by the manager; and what is behind them, for whoever has one. */
@RestController
class CustomerController {
    private final CustomerLinkService links;
    private final CustomerService customers;

    CustomerController(CustomerLinkService links, CustomerService customers) {
        this.links = links;
        this.customers = customers;
    }

    record CustomersLink(
            String id,
            Instant madeAt,
            String madeBy,
            Instant expiresAt,
            @Nullable Instant revokedAt,
            boolean money) {}

    @GetMapping("/api/builds/{build}/customer-links")
    List<CustomersLink> links(@PathVariable String build) {
        return links.of(build);
    }

    record CustomersLinkForm(int days, boolean money) {}

    /** The path of the new link; it is told this once and kept nowhere. */
    record MadeLink(String id, String path) {}

    @PostMapping("/api/builds/{build}/customer-links")
    MadeLink make(@PathVariable String build, @RequestBody CustomersLinkForm form) {
        return links.make(build, form);
    }

    @PostMapping("/api/customer-links/{id}/revoke")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void revoke(@PathVariable String id) {
        links.revoke(id);
    }

    record CustomersStage(String name, int done, int total) {}

    /** A date with what can honestly be said of it. */
    record DateView(
            String name,
            Instant due,
            @Nullable Instant planned,
            @Nullable Instant likelyBy,
            @Nullable Instant almostSurelyBy) {}

    record CustomersPhoto(String id, String caption, Instant at, int width, int height) {}

    record MoneyView(BigDecimal agreed, BigDecimal spent, BigDecimal tax, BigDecimal paid, BigDecimal owed) {}

    /** All that a customer sees. */
    record Page(
            String shop,
            String zone,
            Instant now,
            String car,
            String number,
            int done,
            int total,
            List<CustomersStage> stages,
            List<String> doing,
            List<String> next,
            List<String> waitsForYou,
            List<DateView> dates,
            List<ChangeOrderService.CustomersChange> changes,
            List<CustomersPhoto> photos,
            String currency,
            @Nullable MoneyView money) {}

    @GetMapping("/api/customer/{token}")
    ResponseEntity<Page> page(@PathVariable String token) {
        return ResponseEntity.ok().header(HttpHeaders.CACHE_CONTROL, "no-store").body(customers.page(token));
    }

    record AnswerForm(boolean accept, String name, String note) {}

    @PostMapping("/api/customer/{token}/changes/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void answer(@PathVariable String token, @PathVariable String id, @RequestBody AnswerForm form) {
        customers.answer(token, id, form);
    }

    @GetMapping("/api/customer/{token}/photos/{id}")
    ResponseEntity<byte[]> photo(@PathVariable String token, @PathVariable String id) {
        return picture(customers.photo(token, id, false));
    }

    @GetMapping("/api/customer/{token}/photos/{id}/small")
    ResponseEntity<byte[]> smallPhoto(@PathVariable String token, @PathVariable String id) {
        return picture(customers.photo(token, id, true));
    }

    private static ResponseEntity<byte[]> picture(PhotoService.Picture picture) {
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(picture.type()))
                .header(HttpHeaders.CACHE_CONTROL, "private, no-store")
                .body(picture.content());
    }

    @GetMapping(path = "/api/customer/{token}/report.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> report(@PathVariable String token) {
        return pdf(customers.report(token));
    }

    /** The same for the manager, without a link. */
    @GetMapping(path = "/api/builds/{id}/customer-report.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> reportOf(@PathVariable String id, @RequestParam(defaultValue = "false") boolean money) {
        return pdf(customers.reportOf(id, money));
    }

    private static ResponseEntity<byte[]> pdf(byte[] content) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=report.pdf")
                .header(HttpHeaders.CACHE_CONTROL, "no-store")
                .contentType(MediaType.APPLICATION_PDF)
                .body(content);
    }
}
