package galecrest.server.customer;

import galecrest.server.photo.PhotoService;
import java.util.List;
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

    @GetMapping("/api/builds/{build}/customer-links")
    List<CustomerLinkResponse> links(@PathVariable String build) {
        return links.of(build);
    }

    @PostMapping("/api/builds/{build}/customer-links")
    MadeLinkResponse make(@PathVariable String build, @RequestBody CustomerLinkRequest form) {
        return links.make(build, form);
    }

    @PostMapping("/api/customer-links/{id}/revoke")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void revoke(@PathVariable String id) {
        links.revoke(id);
    }

    @GetMapping("/api/customer/{token}")
    ResponseEntity<CustomerPageResponse> page(@PathVariable String token) {
        return ResponseEntity.ok().header(HttpHeaders.CACHE_CONTROL, "no-store").body(customers.page(token));
    }

    @PostMapping("/api/customer/{token}/changes/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void answer(@PathVariable String token, @PathVariable String id, @RequestBody AnswerRequest form) {
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
