package galecrest.server.parts;

import galecrest.core.mate.Bolts;
import java.util.List;
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
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What is outside the building: chasing, ordering, fits, arrivals, the supply run, the shelf, the outbox. */
@RestController
@RequestMapping("/api")
class DeskController {
    private final DeskService desk;
    private final OrderService orders;
    private final ArrivalService arrivals;
    private final SupplyService supplies;
    private final Paper paper;

    DeskController(
            DeskService desk, OrderService orders, ArrivalService arrivals, SupplyService supplies, Paper paper) {
        this.desk = desk;
        this.orders = orders;
        this.arrivals = arrivals;
        this.supplies = supplies;
        this.paper = paper;
    }

    @GetMapping("/desk")
    DeskResponse desk() {
        return desk.desk();
    }

    @GetMapping("/parts/{id}")
    PartResponse part(@PathVariable String id) {
        return desk.part(id);
    }

    /** How a bolt may be tightened where the maker says nothing. */
    @GetMapping("/bolt")
    BoltResponse bolt(
            @RequestParam String thread,
            @RequestParam Bolts.PropertyClass strength,
            @RequestParam Bolts.Lubrication lubrication) {
        return desk.bolt(thread, strength, lubrication);
    }

    @PutMapping("/parts/{id}/mates")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void mates(@PathVariable String id, @RequestBody List<MateRequest> mates) {
        orders.mates(id, mates);
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

    @PostMapping("/parts/{id}/inspection")
    InspectedResponse inspect(@PathVariable String id, @RequestBody InspectionRequest form) {
        return arrivals.inspect(id, form);
    }

    @PostMapping("/parts/{id}/fit")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void fit(@PathVariable String id, @RequestBody FitRequest form) {
        arrivals.fit(id, form);
    }

    /** What lies there to be looked over, and what should come today. */
    @GetMapping("/arrivals")
    List<ArrivalResponse> arrivals() {
        return arrivals.open();
    }

    @GetMapping("/mail")
    List<MailResponse> mail() {
        return desk.mail();
    }

    @GetMapping("/supplies")
    List<SupplyResponse> supplies() {
        return supplies.run();
    }

    @PostMapping("/supplies")
    MadeResponse ask(@RequestBody SupplyRequest form) {
        return new MadeResponse(supplies.ask(form));
    }

    /** Ticks one off, or back on. */
    @PostMapping("/supplies/{id}/bought")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void bought(@PathVariable String id, @RequestBody BoughtRequest form) {
        supplies.bought(id, form.bought());
    }

    @DeleteMapping("/supplies/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeSupply(@PathVariable String id) {
        supplies.remove(id);
    }

    @PostMapping("/shelf")
    MadeResponse addToShelf(@RequestBody ShelfRequest form) {
        return new MadeResponse(supplies.addToShelf(form));
    }

    @PutMapping("/shelf/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void changeShelf(@PathVariable String id, @RequestBody ShelfRequest form) {
        supplies.changeShelf(id, form);
    }

    /** Takes a part line from the shelf: it is reserved, and here. */
    @PostMapping("/parts/{id}/take")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void take(@PathVariable String id, @RequestBody TakeRequest form) {
        supplies.take(id, form.shelfId());
    }

    @GetMapping(path = "/parts/{id}/specification.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> specification(@PathVariable String id) {
        return pdf("specification.pdf", paper.specification(id));
    }

    @GetMapping(path = "/vendors/{id}/purchase-order.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> purchaseOrder(@PathVariable String id) {
        return pdf("purchase-order.pdf", paper.purchaseOrder(id));
    }

    private static ResponseEntity<byte[]> pdf(String name, byte[] content) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=" + name)
                .contentType(MediaType.APPLICATION_PDF)
                .body(content);
    }
}
