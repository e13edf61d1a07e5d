package galecrest.core.gauge.aero;

import static galecrest.core.units.QuantityKind.AREA;
import static galecrest.core.units.QuantityKind.LENGTH;
import static galecrest.core.units.QuantityKind.SHARE;

import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeField;
import galecrest.core.gauge.GaugeRequest;
import java.util.List;
import java.util.Locale;

/** The opening in front of a cooler: what share of the core it should be, and what it is. */
public final class InletGauge implements Gauge {
    /** Of the face of the core, for a sealed duct: common practice. */
    private static final double SHARE_OF_CORE = 0.30;

    @Override
    public String name() {
        return "inlet";
    }

    @Override
    public String title() {
        return "Inlet of a cooler";
    }

    @Override
    public String headline(GaugeAnswer answer) {
        return answer.text("verdict");
    }

    @Override
    public List<GaugeField> fields() {
        return List.of(
                GaugeField.quantity("core width", LENGTH).must().ofTheCar(),
                GaugeField.quantity("core height", LENGTH).must().ofTheCar(),
                GaugeField.quantity("share", SHARE).hint("30 % where nothing is said; the maker's figure goes before"),
                GaugeField.list("openings", AREA).hint("what was measured, each clear of grille and mesh"));
    }

    @Override
    public GaugeAnswer answer(GaugeRequest request) {
        double width = request.quantity("core width", LENGTH, 0.02, 3);
        double height = request.quantity("core height", LENGTH, 0.02, 3);
        double share = request.quantityOr("share", SHARE, SHARE_OF_CORE, 0.05, 1);
        double[] openings = request.has("openings") ? request.quantities("openings", AREA, 0, 9) : new double[0];
        request.done();
        double core = width * height;
        double wanted = share * core;
        GaugeAnswer answer =
                new GaugeAnswer(request.system()).put("wanted", AREA, wanted).put("core", AREA, core);
        if (openings.length == 0) {
            return answer.put(
                    "verdict", String.format(Locale.ROOT, "%.0f cm² for %.0f cm² of core", 1e4 * wanted, 1e4 * core));
        }
        double open = 0;
        for (double opening : openings) {
            open += opening;
        }
        return answer.put("open", AREA, open)
                .put("share of the core", SHARE, open / core)
                .put("enough", open >= wanted)
                .put(
                        "verdict",
                        open >= wanted
                                ? String.format(Locale.ROOT, "enough: %.0f %% of the core", 100 * open / core)
                                : String.format(
                                        Locale.ROOT,
                                        "%.0f cm² are missing: %.0f %% of the core instead of %.0f",
                                        1e4 * (wanted - open),
                                        100 * open / core,
                                        100 * share));
    }
}
