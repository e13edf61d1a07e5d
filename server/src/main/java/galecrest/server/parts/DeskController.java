package galecrest.server.parts;

import galecrest.core.build.Gate;
import galecrest.core.mate.Bolts;
import galecrest.core.mate.MateKind;
import galecrest.core.parts.PartState;
import galecrest.server.thinking.OddsView;
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

    enum Kind {
        PART,
        OUTWORK
    }

    /**
     * One thing that is outside, or must still be ordered.
     *
     * @param promised the date that was told last
     * @param expected what that is worth going by the vendor's record
     * @param harm what one more day does; absent until it is reckoned
     * @param held why an order would be held; absent where nothing holds it
     */
    record Line(
            Kind kind,
            String id,
            String buildId,
            String name,
            String state,
            int quantity,
            int received,
            @Nullable String vendorId,
            @Nullable Instant promised,
            @Nullable Instant expected,
            OddsView.@Nullable Harm harm,
            @Nullable Word lastWord,
            @Nullable Instant nextWordAt,
            @Nullable String held,
            String kit) {}

    record Word(
            Instant at, String by, String said, @Nullable Instant nextAt) {}

    /** The lines, the most harmful first; {@code harmOf} is the change of the record that the harm was reckoned for. */
    record Desk(
            List<Line> lines,
            @Nullable Long harmOf,
            long change,
            List<SupplyView> supplies,
            List<ShelfView> shelf,
            List<KitView> kits) {}

    record SupplyView(
            String id,
            String name,
            String quantity,
            String boughtFrom,
            @Nullable String buildId,
            String askedBy,
            Instant askedAt,
            @Nullable Instant boughtAt,
            @Nullable String boughtBy) {}

    record ShelfView(
            String id,
            String name,
            String place,
            int quantity,
            int reserved,
            int least,
            @Nullable String vendorId,
            int version) {}

    record KitView(String buildId, String kit, int here, int all) {}

    @GetMapping("/desk")
    Desk desk() {
        return desk.desk();
    }

    /** A joint as written, and what comes of it. */
    record MateView(String place, MateKind kind, String there, String comes, Outcome outcome, String said) {}

    enum Outcome {
        FITS,
        NEEDS_ADAPTER,
        DOES_NOT_FIT,
        UNKNOWN
    }

    record InspectionView(
            Instant at,
            String by,
            int counted,
            boolean rightVariant,
            String sizes,
            String damage,
            @Nullable String photoId,
            boolean accepted,
            String reason) {}

    record MailView(
            String id,
            Instant at,
            String by,
            String recipient,
            String subject,
            String body,
            @Nullable String partId,
            @Nullable String attachment) {}

    record MateKindView(MateKind kind, String said, String example) {}

    /** Everything about one part line. */
    record PartDetail(
            String id,
            List<MateView> mates,
            List<Word> words,
            List<InspectionView> inspections,
            List<MailView> mails,
            List<PartState> next,
            @Nullable String held,
            @Nullable String overrideReason,
            @Nullable Instant orderedAt,
            @Nullable Instant promisedAt,
            @Nullable String takenFrom,
            String insteadOf,
            List<MateKindView> kinds) {}

    @GetMapping("/parts/{id}")
    PartDetail part(@PathVariable String id) {
        return desk.part(id);
    }

    /** Lengths in mm, forces in kN, torque in Nm; see {@link Bolts}. */
    record BoltView(String thread, double stressArea, double proofLoad, double preload, double torque) {}

    /** How a bolt may be tightened where the maker says nothing. */
    @GetMapping("/bolt")
    BoltView bolt(
            @RequestParam String thread,
            @RequestParam Bolts.PropertyClass strength,
            @RequestParam Bolts.Lubrication lubrication) {
        return desk.bolt(thread, strength, lubrication);
    }

    record MateForm(String place, MateKind kind, String there, String comes) {}

    @PutMapping("/parts/{id}/mates")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void mates(@PathVariable String id, @RequestBody List<MateForm> mates) {
        orders.mates(id, mates);
    }

    /** An order with what was promised; {@code overrideReason} lets one go out whose sides are unknown or do not fit. */
    record OrderForm(
            @Nullable Instant low,
            @Nullable Instant likely,
            @Nullable Instant high,
            @Nullable BigDecimal price,
            @Nullable String overrideReason) {}

    @PostMapping("/parts/{id}/order")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void order(@PathVariable String id, @RequestBody OrderForm form) {
        orders.order(id, form);
    }

    record BasketLine(String partId, @Nullable BigDecimal price) {}

    /** Several lines of one vendor with what was promised for all of them. */
    record BasketForm(
            List<BasketLine> lines,
            @Nullable Instant low,
            @Nullable Instant likely,
            @Nullable Instant high) {}

    @PostMapping("/vendors/{id}/orders")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void orderAll(@PathVariable String id, @RequestBody BasketForm form) {
        orders.orderAll(id, form);
    }

    /** Another part in place of this one. */
    record InsteadForm(
            String name,
            @Nullable String vendorId,
            @Nullable BigDecimal price,
            String reason) {}

    /** Takes another part instead: it meets the same sides of the car; its own are open again. */
    @PostMapping("/parts/{id}/instead")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void instead(@PathVariable String id, @RequestBody InsteadForm form) {
        orders.instead(id, form);
    }

    /** Sends the vendor the open questions; answers what is in the outbox. */
    @PostMapping("/parts/{id}/question")
    MailView ask(@PathVariable String id) {
        return orders.ask(id);
    }

    /** What was said, the next word promised, and the new dates where there are some. */
    record WordForm(
            String said,
            @Nullable Instant nextAt,
            @Nullable Instant low,
            @Nullable Instant likely,
            @Nullable Instant high) {}

    @PostMapping("/parts/{id}/words")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void partWord(@PathVariable String id, @RequestBody WordForm form) {
        orders.partWord(id, form);
    }

    @PostMapping("/outworks/{id}/words")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void outworkWord(@PathVariable String id, @RequestBody WordForm form) {
        orders.outworkWord(id, form);
    }

    /** What was found on looking a delivery over. */
    record InspectionForm(
            int counted,
            boolean rightVariant,
            String sizes,
            String damage,
            @Nullable String photoId,
            boolean accepted,
            String reason) {}

    /** What the inspection did: the margins that it cost, in words. */
    record Inspected(PartState state, List<String> cost) {}

    @PostMapping("/parts/{id}/inspection")
    Inspected inspect(@PathVariable String id, @RequestBody InspectionForm form) {
        return arrivals.inspect(id, form);
    }

    record FitForm(boolean forNow, @Nullable Gate gate, String reason) {}

    @PostMapping("/parts/{id}/fit")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void fit(@PathVariable String id, @RequestBody FitForm form) {
        arrivals.fit(id, form);
    }

    record ArrivalView(
            String id,
            String buildId,
            String name,
            PartState state,
            int quantity,
            int received,
            String vendor,
            String specification,
            List<MateView> mates) {}

    /** What lies there to be looked over, and what should come today. */
    @GetMapping("/arrivals")
    List<ArrivalView> arrivals() {
        return arrivals.open();
    }

    @GetMapping("/mail")
    List<MailView> mail() {
        return desk.mail();
    }

    record SupplyForm(
            String name,
            String quantity,
            String boughtFrom,
            @Nullable String buildId) {}

    record Made(String id) {}

    @GetMapping("/supplies")
    List<SupplyView> supplies() {
        return supplies.run();
    }

    @PostMapping("/supplies")
    Made ask(@RequestBody SupplyForm form) {
        return new Made(supplies.ask(form));
    }

    record BoughtForm(boolean bought) {}

    /** Ticks one off, or back on. */
    @PostMapping("/supplies/{id}/bought")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void bought(@PathVariable String id, @RequestBody BoughtForm form) {
        supplies.bought(id, form.bought());
    }

    @DeleteMapping("/supplies/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeSupply(@PathVariable String id) {
        supplies.remove(id);
    }

    record ShelfForm(
            String name,
            String place,
            int quantity,
            int least,
            @Nullable String vendorId,
            int version) {}

    @PostMapping("/shelf")
    Made addToShelf(@RequestBody ShelfForm form) {
        return new Made(supplies.addToShelf(form));
    }

    @PutMapping("/shelf/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void changeShelf(@PathVariable String id, @RequestBody ShelfForm form) {
        supplies.changeShelf(id, form);
    }

    record TakeForm(String shelfId) {}

    /** Takes a part line from the shelf: it is reserved, and here. */
    @PostMapping("/parts/{id}/take")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void take(@PathVariable String id, @RequestBody TakeForm form) {
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
