package galecrest.core.gauge.chassis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeRequest;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.apache.commons.math3.optim.MaxIter;
import org.apache.commons.math3.optim.linear.LinearConstraint;
import org.apache.commons.math3.optim.linear.LinearConstraintSet;
import org.apache.commons.math3.optim.linear.LinearObjectiveFunction;
import org.apache.commons.math3.optim.linear.NonNegativeConstraint;
import org.apache.commons.math3.optim.linear.Relationship;
import org.apache.commons.math3.optim.linear.SimplexSolver;
import org.apache.commons.math3.optim.nonlinear.scalar.GoalType;
import org.junit.jupiter.api.Test;

/** Ballast, against the linear programmes of another library; and the mass ledger. */
class BallastTest {
    private static List<Ballast.Spot> spots(Random random) {
        List<Ballast.Spot> spots = new ArrayList<>();
        int many = 2 + random.nextInt(5);
        for (int i = 0; i < many; i++) {
            spots.add(new Ballast.Spot(
                    "spot " + i,
                    5 + 30 * random.nextDouble(),
                    -0.5 + 3.5 * random.nextDouble(),
                    -0.7 + 1.4 * random.nextDouble(),
                    0.1 + 0.8 * random.nextDouble()));
        }
        return spots;
    }

    @Test
    void aThousandCarsAgreeWithASecondSolver() {
        Random random = new Random(11);
        int placed = 0;
        for (int n = 0; n < 1000; n++) {
            List<Ballast.Spot> spots = spots(random);
            Ballast car = new Ballast(
                    900 + 200 * random.nextDouble(),
                    0.45 + 0.15 * random.nextDouble(),
                    0.47 + 0.06 * random.nextDouble(),
                    2.5,
                    1.5);
            double least = car.mass() + 40 * random.nextDouble();
            var found = car.place(spots, least, 0.52, 0.5);
            double room = spots.stream().mapToDouble(Ballast.Spot::limit).sum();
            assertThat(found.isPresent()).isEqualTo(room >= least - car.mass());
            if (found.isEmpty()) {
                continue;
            }
            placed++;
            Ballast.Placed p = found.get();
            assertThat(p.total()).isCloseTo(least, within(1e-6));
            for (int i = 0; i < spots.size(); i++) {
                assertThat(p.masses()[i]).isBetween(-1e-9, spots.get(i).limit() + 1e-6);
            }
            double off = other(car, spots, least, Double.NaN);
            assertThat(p.off()).as("off").isBetween(off - 1e-6, off + 1.1e-3);
            double lowest = other(car, spots, least, off + 1e-3);
            double height = 0;
            for (int i = 0; i < spots.size(); i++) {
                height += p.masses()[i] * spots.get(i).z();
            }
            assertThat(height).as("height").isCloseTo(lowest, within(1e-3));
        }
        assertThat(placed).isGreaterThan(600);
    }

    /** The least deviation, or the least moment of height that has no more than that. */
    private static double other(Ballast car, List<Ballast.Spot> spots, double least, double most) {
        int many = spots.size();
        double missing = car.missing(least);
        double total = car.mass() + missing;
        double[] weights = new double[many + 4];
        List<LinearConstraint> rules = new ArrayList<>();
        double[] sum = new double[many + 4];
        double[] front = new double[many + 4];
        double[] left = new double[many + 4];
        double[] off = new double[many + 4];
        for (int i = 0; i < many; i++) {
            double[] one = new double[many + 4];
            one[i] = 1;
            rules.add(new LinearConstraint(one, Relationship.LEQ, spots.get(i).limit()));
            sum[i] = 1;
            front[i] = 1 - spots.get(i).x() / car.wheelbase();
            left[i] = 0.5 + spots.get(i).y() / car.track();
            weights[i] = Double.isNaN(most) ? 0 : spots.get(i).z();
        }
        front[many] = -1;
        front[many + 1] = 1;
        left[many + 2] = -1;
        left[many + 3] = 1;
        Arrays.fill(off, many, many + 4, 1);
        rules.add(new LinearConstraint(sum, Relationship.EQ, missing));
        rules.add(new LinearConstraint(front, Relationship.EQ, 0.52 * total - car.front() * car.mass()));
        rules.add(new LinearConstraint(left, Relationship.EQ, 0.5 * total - car.left() * car.mass()));
        if (Double.isNaN(most)) {
            weights = off;
        } else {
            rules.add(new LinearConstraint(off, Relationship.LEQ, most));
        }
        return new SimplexSolver()
                .optimize(
                        new MaxIter(10_000),
                        new LinearObjectiveFunction(weights, 0),
                        new LinearConstraintSet(rules),
                        GoalType.MINIMIZE,
                        new NonNegativeConstraint(true))
                .getValue();
    }

    private static Map<String, Object> request() {
        Map<String, Object> request = new HashMap<>();
        request.put("mass", "935 kg");
        request.put("front", "54 %");
        request.put("driver", "78 kg");
        request.put("burnt in the race", "18 kg");
        request.put("class mass", "1020 kg");
        request.put("wheelbase", "2500 mm");
        request.put("target front", "53 %");
        request.put(
                "spots",
                List.of(
                        Map.of("name", "passenger floor", "limit", "20 kg", "x", "1300 mm", "height", "150 mm"),
                        Map.of("name", "spare wheel well", "limit", "20 kg", "x", "3000 mm", "height", "300 mm")));
        return request;
    }

    /** 935 + 78 − 18 = 995 kg after the race: 25 kg short of 1020. */
    @Test
    void theGaugeFillsTheSpots() {
        GaugeAnswer answer = new BallastGauge().answer(GaugeRequest.of(request()));
        assertThat(answer.value("needed")).isCloseTo(25, within(1e-6));
        assertThat(answer.value("total")).isCloseTo(1020, within(1e-6));
        assertThat(answer.values().get("spots").toString()).contains("spare wheel well");
    }

    @Test
    void whatCannotBeIsExplained() {
        Map<String, Object> request = request();
        request.put("class mass", "1050 kg");
        GaugeAnswer answer = new BallastGauge().answer(GaugeRequest.of(request));
        assertThat(answer.values()).containsEntry("feasible", false);
        assertThat(answer.values().get("verdict").toString()).contains("15 kg").contains("short");
        Map<String, Object> far = request();
        far.put("target front", "48 %");
        assertThat(new BallastGauge()
                        .answer(GaugeRequest.of(far))
                        .values()
                        .get("verdict")
                        .toString())
                .contains("as near as can be");
        Map<String, Object> wrong = request();
        wrong.put("class mass", "-3 kg");
        assertThatThrownBy(() -> new BallastGauge().answer(GaugeRequest.of(wrong)))
                .hasMessageContaining("class mass");
    }

    /** Statics: a battery of 12 kg moved from 0.2 m behind the front axle to 2.6 m takes 12 · 2.4 / 2.5 kg off the front. */
    @Test
    void theLedgerPredictsTheScales() {
        GaugeAnswer answer = new MassLedgerGauge()
                .answer(GaugeRequest.of(Map.of(
                        "wheelbase",
                        "2500 mm",
                        "last weighed",
                        Map.of("mass", "1060 kg", "front", "53 %"),
                        "items",
                        List.of(
                                Map.of("what", "battery out", "mass", "12 kg", "x", "0.2 m", "removed", true),
                                Map.of("what", "battery in", "mass", "12 kg", "x", "2.6 m")),
                        "scales",
                        "1067.6 kg")));
        assertThat(answer.value("total")).isCloseTo(1060, within(1e-9));
        assertThat(answer.value("front")).isCloseTo(53 - 100 * 12 * 2.4 / 2.5 / 1060, within(1e-5));
        assertThat(answer.value("difference")).isCloseTo(7.6, within(1e-6));
        assertThat(answer.values().get("verdict").toString()).contains("not on the list");
    }
}
