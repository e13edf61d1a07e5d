package galecrest.core.gauge.chassis;

import galecrest.core.gauge.GaugeRequest;
import galecrest.core.units.QuantityKind;
import java.util.Arrays;

/** Reads quantities of the four corners: by name, as a list in the order of {@link Corner}, or one for all of them. */
final class CornerFields {
    private CornerFields() {}

    /** Four quantities in SI; NaN where one is missing or wrong. */
    static double[] four(GaugeRequest request, String field, QuantityKind kind, double least, double most) {
        if (request.isPart(field)) {
            GaugeRequest part = request.part(field);
            double[] four = new double[Corner.NAMES.size()];
            Arrays.setAll(four, i -> part.quantity(Corner.NAMES.get(i), kind, least, most));
            return four;
        }
        if (request.isList(field)) {
            double[] four = request.quantities(field, kind, least, most);
            if (four.length != Corner.NAMES.size()) {
                request.wrong(field, "are four: " + String.join(", ", Corner.NAMES) + ".");
                return filled(Double.NaN);
            }
            return four;
        }
        return filled(request.quantity(field, kind, least, most));
    }

    /** Four quantities, or another value at each where the field says nothing. */
    static double[] fourOr(
            GaugeRequest request, String field, QuantityKind kind, double other, double least, double most) {
        return request.has(field) ? four(request, field, kind, least, most) : filled(other);
    }

    private static double[] filled(double value) {
        double[] four = new double[Corner.NAMES.size()];
        Arrays.fill(four, value);
        return four;
    }
}
