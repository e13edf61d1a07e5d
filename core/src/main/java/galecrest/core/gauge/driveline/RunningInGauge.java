package galecrest.core.gauge.driveline;

import static galecrest.core.units.QuantityKind.DISTANCE;
import static galecrest.core.units.QuantityKind.NUMBER;
import static galecrest.core.units.QuantityKind.SHARE;

import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeField;
import galecrest.core.gauge.GaugeRequest;
import java.util.List;

/** How far running-in is: distance and heat cycles done and to go, and the days left at the planned rate. */
public final class RunningInGauge implements Gauge {
    @Override
    public String name() {
        return "running-in";
    }

    @Override
    public String title() {
        return "Running-in";
    }

    /** Days that so much takes at so much a day. */
    public static int days(double left, double daily) {
        return left <= 0 ? 0 : (int) Math.ceil(left / daily - 1e-9);
    }

    @Override
    public List<GaugeField> fields() {
        return List.of(
                GaugeField.quantity("distance", DISTANCE).must().ofTheCar().called("To be run in for"),
                GaugeField.quantity("heat cycles", NUMBER).ofTheCar(),
                GaugeField.quantity("a day", DISTANCE).must().ofTheCar().called("Driven a day"),
                GaugeField.quantity("heat cycles a day", NUMBER).ofTheCar(),
                GaugeField.rows(
                                "drives",
                                GaugeField.text("when"),
                                GaugeField.quantity("distance", DISTANCE).must(),
                                GaugeField.quantity("heat cycles", NUMBER).hint("1 if not said"))
                        .ofTheCar()
                        .called("Driven so far"));
    }

    @Override
    public GaugeAnswer answer(GaugeRequest request) {
        double wanted = request.quantity("distance", DISTANCE, 0, 1e7);
        int cycles = request.has("heat cycles") ? request.whole("heat cycles", 0, 1000) : 0;
        double done = 0;
        int cyclesDone = 0;
        for (GaugeRequest drive : request.rows("drives")) {
            done += drive.quantity("distance", DISTANCE, 0, 1e7);
            cyclesDone += drive.has("heat cycles") ? drive.whole("heat cycles", 0, 50) : 1;
            drive.text("when");
        }
        double daily = request.quantity("a day", DISTANCE, 1, 1e7);
        int dailyCycles = request.has("heat cycles a day") ? request.whole("heat cycles a day", 1, 50) : 1;
        request.done();
        double left = Math.max(0, wanted - done);
        int cyclesLeft = Math.max(0, cycles - cyclesDone);
        int days = Math.max(days(left, daily), days(cyclesLeft, dailyCycles));
        return new GaugeAnswer(request.system())
                .put("done", DISTANCE, done)
                .put("to go", DISTANCE, left)
                .put("share", SHARE, wanted == 0 ? 1 : Math.min(1, done / wanted))
                .put("heat cycles done", NUMBER, cyclesDone)
                .put("heat cycles to go", NUMBER, cyclesLeft)
                .put("days left", NUMBER, days)
                .put(
                        "verdict",
                        days == 0
                                ? "Run in. Change the oil and read the plugs before it is driven hard."
                                : days + (days == 1 ? " day" : " days")
                                        + " left at the planned rate; a heat cycle is warm"
                                        + " through and cold again.");
    }
}
