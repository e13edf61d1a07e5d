package galecrest.core.gauge.chassis;

import static galecrest.core.units.QuantityKind.LENGTH;
import static galecrest.core.units.QuantityKind.MASS;
import static galecrest.core.units.QuantityKind.SHARE;

import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeField;
import galecrest.core.gauge.GaugeRequest;
import galecrest.core.units.QuantityText;
import java.util.ArrayList;
import java.util.List;

/** What was fitted and removed since the car was last weighed, against what the scales say now. */
public final class MassLedgerGauge implements Gauge {
    /** Scales and a list of parts agree within this, or something aboard is not on the list; common practice. */
    private static final double UNEXPLAINED = 3;

    @Override
    public String name() {
        return "mass-ledger";
    }

    @Override
    public String title() {
        return "Mass ledger";
    }

    @Override
    public List<GaugeField> fields() {
        return List.of(
                GaugeField.quantity("wheelbase", LENGTH).must().ofTheCar(),
                GaugeField.part(
                                "last weighed",
                                GaugeField.quantity("mass", MASS).must().from("corner-weights", "total"),
                                GaugeField.quantity("front", SHARE).must().from("corner-weights", "front"))
                        .must()
                        .ofTheCar(),
                GaugeField.rows(
                                "items",
                                GaugeField.text("what"),
                                GaugeField.quantity("mass", MASS).must(),
                                GaugeField.quantity("x", LENGTH).must().called("Behind the front axle"),
                                GaugeField.flag("removed"))
                        .ofTheCar()
                        .called("Fitted and removed since"),
                GaugeField.quantity("scales", MASS).called("The scales say").from("corner-weights", "total"),
                GaugeField.quantity("scales front", SHARE)
                        .called("and in front")
                        .from("corner-weights", "front"));
    }

    @Override
    public GaugeAnswer answer(GaugeRequest request) {
        double wheelbase = request.quantity("wheelbase", LENGTH, 0.8, 8);
        GaugeRequest base = request.part("last weighed");
        double mass = base.quantity("mass", MASS, 50, 10_000);
        double front = base.quantity("front", SHARE, 0.2, 0.8);
        List<MassLedger.Item> items = new ArrayList<>();
        items.add(new MassLedger.Item("as last weighed", mass, (1 - front) * wheelbase, 0, 0));
        for (GaugeRequest row : request.rows("items")) {
            String what = row.text("what");
            double its = row.quantity("mass", MASS, 0, 2_000);
            double x = row.quantity("x", LENGTH, -2, 8);
            boolean removed = row.flag("removed");
            items.add(new MassLedger.Item(what, removed ? -its : its, x, 0, 0));
        }
        double scales = request.quantityOr("scales", MASS, Double.NaN, 50, 10_000);
        double scalesFront = request.quantityOr("scales front", SHARE, Double.NaN, 0.2, 0.8);
        request.done();
        MassLedger ledger = new MassLedger(wheelbase, items);
        GaugeAnswer answer = new GaugeAnswer(request.system())
                .put("total", MASS, ledger.total())
                .put("front", SHARE, ledger.front())
                .put("change", MASS, ledger.total() - mass);
        if (!Double.isNaN(scales)) {
            double off = scales - ledger.total();
            answer.put("difference", MASS, off)
                    .put(
                            "verdict",
                            Math.abs(off) <= UNEXPLAINED
                                    ? "The scales agree with the list."
                                    : "The scales differ by " + QuantityText.say(MASS, off, request.system())
                                            + (off > 0
                                                    ? ": something aboard is not on the list, or not out as noted."
                                                    : ": something is off the car that the list has aboard."));
        }
        if (!Double.isNaN(scalesFront)) {
            answer.put("difference front", SHARE, scalesFront - ledger.front());
        }
        return answer;
    }
}
