package galecrest.server.purchasing;

import galecrest.server.access.LeadOrManager;
import galecrest.server.mate.FitAssessment;
import galecrest.server.mate.MateRepository;
import galecrest.server.mate.MateView;
import galecrest.server.parts.PartLineRepository;
import galecrest.server.parts.PartRow;
import galecrest.server.pdf.PdfSheet;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import galecrest.server.shop.NameRepository;
import galecrest.server.vendor.VendorRepository;
import galecrest.server.vendor.VendorRow;
import java.math.BigDecimal;
import java.util.List;
import org.springframework.stereotype.Service;

/** What goes to vendors on paper: the request for specification and the purchase order. */
@Service
@LeadOrManager
class PurchasePapers {
    private final PartLineRepository parts;
    private final MateRepository joints;
    private final VendorRepository vendors;
    private final NameRepository names;

    PurchasePapers(PartLineRepository parts, MateRepository joints, VendorRepository vendors, NameRepository names) {
        this.parts = parts;
        this.joints = joints;
        this.vendors = vendors;
        this.names = names;
    }

    byte[] specification(String id) {
        PartRow part = parts.part(id).orElseThrow(() -> new NotFoundException("part"));
        List<MateView> mates = joints.of(id);
        PdfSheet sheet = PdfSheet.titled("Request for specification")
                .line(names.shop())
                .line("To: "
                        + vendors.known(part.vendorId()).map(VendorRow::name).orElse("—"))
                .line(part.quantity() + " × " + part.name() + ", for the "
                        + names.build(part.buildId()).orElse(""));
        if (!part.specification().isBlank()) {
            sheet.line("What we have in mind: " + part.specification());
        }
        sheet.heading("What it meets");
        sheet.table(
                List.of("where", "kind", "on the car", "on the part", "what comes of it"),
                mates.stream()
                        .map(m -> List.of(
                                m.place(), m.kind().label(), orOpen(m.carSide()), orOpen(m.partSide()), m.said()))
                        .toList());
        List<String> questions = FitAssessment.questions(mates);
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
        VendorRow vendor = vendors.known(vendorId).orElseThrow(() -> new NotFoundException("vendor"));
        List<PartRow> ordered = parts.orderedFrom(vendorId);
        if (ordered.isEmpty()) {
            throw new ValidationException("vendorId", "Nothing is on order from " + vendor.name() + ".");
        }
        BigDecimal sum = ordered.stream()
                .filter(p -> p.price() != null)
                .map(p -> p.price().multiply(BigDecimal.valueOf(p.quantity())))
                .reduce(BigDecimal.ZERO, BigDecimal::add);
        return PdfSheet.titled("Purchase order")
                .line(names.shop())
                .line("To: " + vendor.name() + (vendor.phone().isBlank() ? "" : ", " + vendor.phone()))
                .table(
                        List.of("quantity", "part", "specification", "for", "each", "sum"),
                        ordered.stream()
                                .map(p -> List.of(
                                        "" + p.quantity(),
                                        p.name(),
                                        p.specification(),
                                        names.build(p.buildId()).orElse(""),
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
