package galecrest.core.gauge.fabrication;

import static galecrest.core.units.QuantityKind.FORCE;
import static galecrest.core.units.QuantityKind.NUMBER;
import static galecrest.core.units.QuantityKind.SHARE;
import static galecrest.core.units.QuantityKind.TORQUE;

import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeField;
import galecrest.core.gauge.GaugeRequest;
import galecrest.core.mate.ThreadSize;
import galecrest.core.mate.Threads;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Stress area, proof load, preload and torque of a metric bolt. The maker's figure always goes before: a joint has its own
 * reasons.
 */
public final class BoltsGauge implements Gauge {
    /** Of the proof load: common practice for a joint that is taken apart again. */
    private static final double PRELOAD = 0.75;

    private static final double MILLI = 1e-3;

    /** ISO 898-1: the proof stress of property classes, MPa, up to M16 and above. */
    private enum PropertyClass {
        CLASS_8_8(580, 600),
        CLASS_10_9(830, 830),
        CLASS_12_9(970, 970);

        private final double thin;
        private final double thick;

        PropertyClass(double thin, double thick) {
            this.thin = thin;
            this.thick = thick;
        }

        double proof(double millimetres) {
            return millimetres <= 16 ? thin : thick;
        }
    }

    /** T = K · d · F; K is common practice and scatters by a quarter either way. */
    private enum Lubrication {
        DRY(0.20),
        OILED(0.15),
        MOLY(0.12);

        private final double k;

        Lubrication(double k) {
            this.k = k;
        }
    }

    @Override
    public String name() {
        return "bolts";
    }

    @Override
    public String title() {
        return "Bolts";
    }

    @Override
    public String headline(GaugeAnswer answer) {
        return answer.text("verdict");
    }

    /** Stress area, mm²: π/4 · (d − 0.9382 p)² (ISO 898-1). */
    public static double stressArea(double diameter, double pitch) {
        double mean = diameter - 0.9382 * pitch;
        return Math.PI / 4 * mean * mean;
    }

    @Override
    public List<GaugeField> fields() {
        return List.of(
                GaugeField.text("thread").must().hint("M12×1.25; M10 alone is the coarse one"),
                GaugeField.choice("class", "class 8.8", "class 10.9", "class 12.9")
                        .called("Property class"),
                GaugeField.choice("lubrication", "dry", "oiled", "moly"),
                GaugeField.quantity("preload", SHARE).hint("of the proof load; 75 % where nothing is said"),
                GaugeField.quantity("maker's torque", TORQUE)
                        .called("What the maker says")
                        .hint("goes before all of this"));
    }

    @Override
    public GaugeAnswer answer(GaugeRequest request) {
        String thread = request.text("thread");
        Optional<ThreadSize> size = Threads.read(thread).filter(t -> t.series() == ThreadSize.Series.METRIC);
        if (thread.isEmpty()) {
            request.wrong("thread", "is needed: a metric thread like M12×1.25.");
        } else if (size.isEmpty()) {
            request.wrong("thread", "\"" + thread + "\" is no metric thread of ISO 261 like M12×1.25.");
        }
        PropertyClass strength = strength(request);
        Lubrication lubrication = request.choice("lubrication", Lubrication.class);
        double share = request.quantityOr("preload", SHARE, PRELOAD, 0.1, 0.9);
        double maker = request.quantityOr("maker's torque", TORQUE, Double.NaN, 0.1, 5_000);
        request.done();
        double diameter = size.orElseThrow().diameter();
        double area = stressArea(diameter, size.orElseThrow().pitch());
        double proof = area * strength.proof(diameter);
        double preload = share * proof;
        double torque = lubrication.k * diameter * MILLI * preload;
        GaugeAnswer answer = new GaugeAnswer(request.system())
                .put("torque", TORQUE, Double.isNaN(maker) ? torque : maker)
                .put("stress area, mm²", NUMBER, area)
                .put("proof load", FORCE, proof)
                .put("preload", FORCE, preload)
                .put("torque by this rule", TORQUE, torque)
                .put("factor", NUMBER, lubrication.k);
        if (Double.isNaN(maker)) {
            return answer.put(
                    "verdict",
                    String.format(Locale.ROOT, "%.0f Nm, and the maker's figure where there is one", torque));
        }
        double asked = maker / (lubrication.k * diameter * MILLI);
        return answer.put("share of the proof load", SHARE, asked / proof)
                .put(
                        "verdict",
                        String.format(
                                Locale.ROOT,
                                "%.0f Nm as the maker says: about %.0f %% of the proof load",
                                maker,
                                100 * asked / proof));
    }

    private static PropertyClass strength(GaugeRequest request) {
        String said = request.text("class")
                .toLowerCase(Locale.ROOT)
                .replace("class", "")
                .strip();
        return switch (said) {
            case "", "8.8" -> PropertyClass.CLASS_8_8;
            case "10.9" -> PropertyClass.CLASS_10_9;
            case "12.9" -> PropertyClass.CLASS_12_9;
            default -> {
                request.wrong("class", "\"" + said + "\" is none of these: 8.8, 10.9, 12.9.");
                yield PropertyClass.CLASS_8_8;
            }
        };
    }
}
