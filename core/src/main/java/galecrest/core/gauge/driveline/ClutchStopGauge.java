package galecrest.core.gauge.driveline;

import static galecrest.core.units.QuantityKind.LENGTH;

import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeField;
import galecrest.core.gauge.GaugeRequest;
import java.util.Arrays;
import java.util.List;

/** Where the stop of a clutch pedal belongs: behind the point at which the wheel turns free, before the spring is harmed. */
public final class ClutchStopGauge implements Gauge {
    /** Pedal travel behind the point of release; common practice. */
    private static final double BEHIND = 0.006;
    /** Readings further apart than that are not of one clutch: air in the line, or a cable that sticks. */
    private static final double APART = 0.005;

    @Override
    public String name() {
        return "clutch-stop";
    }

    @Override
    public String title() {
        return "Clutch stop";
    }

    @Override
    public List<GaugeField> fields() {
        return List.of(
                GaugeField.list("free at", LENGTH)
                        .must()
                        .called("Pedal where the wheel turns free")
                        .hint("three or more"),
                GaugeField.quantity("behind", LENGTH)
                        .called("Stop behind that by")
                        .hint("6 mm if not said"),
                GaugeField.quantity("most travel", LENGTH).ofTheCar().hint("that the maker allows"));
    }

    @Override
    public GaugeAnswer answer(GaugeRequest request) {
        double[] free = request.quantities("free at", LENGTH, 0.005, 0.3);
        double behind = request.quantityOr("behind", LENGTH, BEHIND, 0, 0.05);
        double most = request.quantityOr("most travel", LENGTH, Double.NaN, 0.01, 0.4);
        if (free.length < 3 && request.isList("free at")) {
            request.wrong("free at", "are at least three readings of the pedal at which the wheel turns free.");
        }
        request.done();
        double last = Arrays.stream(free).max().orElseThrow();
        double spread = last - Arrays.stream(free).min().orElseThrow();
        double stop = last + behind;
        boolean harms = stop > most;
        return new GaugeAnswer(request.system())
                .put("free at the latest", LENGTH, last)
                .put("spread", LENGTH, spread)
                .put("stop at", LENGTH, stop)
                .put("good", !harms && spread <= APART)
                .put(
                        "verdict",
                        harms
                                ? "The stop would be behind the most travel that the maker allows: adjust the line or the fork"
                                        + " first."
                                : spread > APART
                                        ? "The readings are too far apart: bleed the line, or see what sticks, and measure again."
                                        : "Set the stop there and lock it; try it with the engine warm as well.")
                .put(
                        "steps",
                        List.of(
                                "Two people; driven wheels clear of the ground on stands; engine off, a gear engaged.",
                                "One turns a driven wheel by hand and holds on; the other presses the pedal slowly.",
                                "At the moment at which the wheel turns free: read the pedal's travel at the middle of the pad.",
                                "Three times, from the top each time."));
    }
}
