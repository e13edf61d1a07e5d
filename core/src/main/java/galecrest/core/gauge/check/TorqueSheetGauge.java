package galecrest.core.gauge.check;

import static galecrest.core.units.QuantityKind.NUMBER;
import static galecrest.core.units.QuantityKind.TORQUE;

import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeField;
import galecrest.core.gauge.GaugeRequest;
import galecrest.core.units.QuantityText;
import java.util.ArrayList;
import java.util.List;

/**
 * The torque sheet: each fastener with the maker's figure, in passes, marked, and checked by somebody else than who did it.
 * That a mark and a second pair of eyes belong to it is common practice.
 */
public final class TorqueSheetGauge implements Gauge {
    private static final int MOST_PASSES = 6;

    @Override
    public String name() {
        return "torque-sheet";
    }

    @Override
    public String title() {
        return "Torque sheet";
    }

    @Override
    public String headline(GaugeAnswer answer) {
        return answer.text("verdict");
    }

    @Override
    public List<GaugeField> fields() {
        return List.of(GaugeField.rows(
                        "fasteners",
                        GaugeField.text("fastener").must().hint("front mount, left"),
                        GaugeField.quantity("torque", TORQUE).must(),
                        GaugeField.quantity("passes", NUMBER).hint("1 if not said"),
                        GaugeField.flag("marked"),
                        GaugeField.text("by"),
                        GaugeField.text("checked by"))
                .must()
                .ofTheCar());
    }

    @Override
    public GaugeAnswer answer(GaugeRequest request) {
        GaugeAnswer answer = new GaugeAnswer(request.system());
        List<GaugeAnswer> rows = new ArrayList<>();
        int open = 0;
        int unchecked = 0;
        for (GaugeRequest row : request.rows("fasteners")) {
            String fastener = row.text("fastener");
            if (fastener.isEmpty()) {
                row.wrong("fastener", "is needed: which one it is.");
            }
            double torque = row.quantity("torque", TORQUE, 0.1, 2_000);
            int passes = row.has("passes") ? row.whole("passes", 1, MOST_PASSES) : 1;
            boolean marked = row.flag("marked");
            String by = row.text("by");
            String checked = row.text("checked by");
            if (marked && by.isEmpty()) {
                row.wrong("by", "is needed: who marked it.");
            }
            if (!checked.isEmpty() && checked.equalsIgnoreCase(by)) {
                row.wrong("checked by", "is somebody else than who did it.");
            }
            open += marked ? 0 : 1;
            unchecked += marked && checked.isEmpty() ? 1 : 0;
            rows.add(answer.row()
                    .put("fastener", fastener)
                    .put("torque", TORQUE, torque)
                    .put("passes", passes(torque, passes, answer))
                    .put("marked", marked)
                    .put("by", by)
                    .put("checked by", checked));
        }
        if (rows.isEmpty()) {
            request.wrong("fasteners", "are needed, each with the maker's figure.");
        }
        request.done();
        return answer.put("good", open + unchecked == 0)
                .put("verdict", verdict(rows.size(), open, unchecked))
                .rows("fasteners", rows)
                .put(
                        "before",
                        List.of(
                                "The maker's figure goes before any table; so do his order and his lubricant.",
                                "A fastener that is stretched once, or locked with a coating, is renewed and not used again."));
    }

    /** What to set the wrench to, pass by pass: even steps up to the figure. */
    private static String passes(double torque, int passes, GaugeAnswer answer) {
        List<String> steps = new ArrayList<>();
        for (int i = 1; i <= passes; i++) {
            steps.add(QuantityText.say(TORQUE, torque * i / passes, answer.system()));
        }
        return String.join(", ", steps);
    }

    private static String verdict(int all, int open, int unchecked) {
        if (open > 0) {
            return open + " of " + all + " not marked yet";
        }
        return unchecked > 0
                ? "all marked, " + unchecked + " without a second check"
                : "all " + all + " marked and checked";
    }
}
