package galecrest.server.purchasing;

import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Asking, ordering and chasing. */
@RestController
@RequestMapping("/api")
class OrderController {
    private final OrderService orders;
    private final PurchasePapers papers;

    OrderController(OrderService orders, PurchasePapers papers) {
        this.orders = orders;
        this.papers = papers;
    }

    @PostMapping("/parts/{id}/order")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void order(@PathVariable String id, @RequestBody OrderRequest form) {
        orders.order(id, form);
    }

    @PostMapping("/vendors/{id}/orders")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void orderAll(@PathVariable String id, @RequestBody BasketRequest form) {
        orders.orderAll(id, form);
    }

    /** Takes another part instead: it meets the same sides of the car; its own are open again. */
    @PostMapping("/parts/{id}/instead")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void instead(@PathVariable String id, @RequestBody InsteadRequest form) {
        orders.instead(id, form);
    }

    /** Sends the vendor the open questions; answers what is in the outbox. */
    @PostMapping("/parts/{id}/question")
    MailResponse ask(@PathVariable String id) {
        return orders.ask(id);
    }

    @PostMapping("/parts/{id}/words")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void partWord(@PathVariable String id, @RequestBody WordRequest form) {
        orders.partWord(id, form);
    }

    @PostMapping("/outworks/{id}/words")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void outworkWord(@PathVariable String id, @RequestBody WordRequest form) {
        orders.outworkWord(id, form);
    }

    @GetMapping(path = "/parts/{id}/specification.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> specification(@PathVariable String id) {
        return pdf("specification.pdf", papers.specification(id));
    }

    @GetMapping(path = "/vendors/{id}/purchase-order.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> purchaseOrder(@PathVariable String id) {
        return pdf("purchase-order.pdf", papers.purchaseOrder(id));
    }

    private static ResponseEntity<byte[]> pdf(String name, byte[] content) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=" + name)
                .contentType(MediaType.APPLICATION_PDF)
                .body(content);
    }
}
