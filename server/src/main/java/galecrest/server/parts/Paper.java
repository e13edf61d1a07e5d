package galecrest.server.parts;

import galecrest.server.access.LeadOrManager;
import galecrest.server.paper.Sheet;
import galecrest.server.problem.BadInput;
import galecrest.server.problem.NotThere;
import java.math.BigDecimal;
import java.util.List;
import org.springframework.stereotype.Service;

/** What goes to vendors on paper: the request for specification and the purchase order. */
@Service
@LeadOrManager
class Paper {
    private final DeskRepository desk;

    Paper(DeskRepository desk) {
        this.desk = desk;
    }

    byte[] specification(String id) {
        PartRow part = desk.part(id).orElseThrow(() -> new NotThere("part"));
        List<MateView> mates = desk.mates(id);
        Sheet sheet = Sheet.titled("Request for specification")
                .line(desk.shopName())
                .line("To: " + desk.vendor(part.vendorId()).map(VendorRow::name).orElse("—"))
                .line(part.quantity() + " × " + part.name() + ", for the " + desk.build(part.buildId()));
        if (!part.specification().isBlank()) {
            sheet.line("What we have in mind: " + part.specification());
        }
        sheet.heading("What it meets");
        sheet.table(
                List.of("where", "kind", "on the car", "on the part", "what comes of it"),
                mates.stream()
                        .map(m -> List.of(m.place(), m.kind().said(), orOpen(m.there()), orOpen(m.comes()), m.said()))
                        .toList());
        List<String> questions = MateBook.questions(mates);
        if (!questions.isEmpty()) {
            sheet.heading("Please tell us");
            questions.forEach(sheet::line);
        }
        return sheet.line("This is a question, not an order.").pdf();
    }

    private static String orOpen(String side) {
        return side.isBlank() ? "open" : side;
    }

    byte[] purchaseOrder(String vendorId) {
        VendorRow vendor = desk.vendor(vendorId).orElseThrow(() -> new NotThere("vendor"));
        List<PartRow> parts = desk.orderedFrom(vendorId);
        if (parts.isEmpty()) {
            throw new BadInput("vendorId", "Nothing is on order from " + vendor.name() + ".");
        }
        BigDecimal sum = parts.stream()
                .filter(p -> p.price() != null)
                .map(p -> p.price().multiply(BigDecimal.valueOf(p.quantity())))
                .reduce(BigDecimal.ZERO, BigDecimal::add);
        return Sheet.titled("Purchase order")
                .line(desk.shopName())
                .line("To: " + vendor.name() + (vendor.phone().isBlank() ? "" : ", " + vendor.phone()))
                .table(
                        List.of("quantity", "part", "specification", "for", "each", "sum"),
                        parts.stream()
                                .map(p -> List.of(
                                        "" + p.quantity(),
                                        p.name(),
                                        p.specification(),
                                        desk.build(p.buildId()),
                                        p.price() == null ? "" : p.price().toPlainString(),
                                        p.price() == null
                                                ? ""
                                                : p.price()
                                                        .multiply(BigDecimal.valueOf(p.quantity()))
                                                        .toPlainString()))
                                .toList())
                .line("Sum: " + sum.toPlainString())
                .line("Please confirm the sides of each joint and the delivery day before you send.")
                .pdf();
    }
}
