package galecrest.core.gauge.fabrication;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeRequest;
import galecrest.core.gauge.WrongRequest;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class CopeTest {
    private static double[] cross(double[] a, double[] b) {
        return new double[] {a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]};
    }

    private static double length(double[] a) {
        return Math.sqrt(a[0] * a[0] + a[1] * a[1] + a[2] * a[2]);
    }

    private static double[] turned(double x, double y, double by) {
        return new double[] {x * Math.cos(by) - y * Math.sin(by), x * Math.sin(by) + y * Math.cos(by)};
    }

    /** How far a point is from the axis of a tube, by the cross product. */
    private static double apart(double[] point, Cope.Main main) {
        double[] flat = turned(Math.sin(main.angle()), 0, main.turned());
        double[] direction = {flat[0], flat[1], Math.cos(main.angle())};
        double[] aside = turned(0, -main.offset(), main.turned());
        double[] from = {point[0] - aside[0], point[1] - aside[1], point[2]};
        return length(cross(from, direction));
    }

    /**
     * Random nodes against the crossing of the cylinders found by halving along the wall of the branch, from far outside inwards:
     * within 0.05 mm.
     */
    @Property(tries = 500)
    void asTheCylindersCross(@ForAll long seed) {
        Random random = new Random(seed);
        double branch = 0.008 + 0.02 * random.nextDouble();
        List<Cope.Main> mains = new ArrayList<>();
        for (int i = 0; i < 1 + random.nextInt(3); i++) {
            double radius = branch * (1.05 + random.nextDouble());
            mains.add(new Cope.Main(
                    radius,
                    Math.toRadians(25 + 130 * random.nextDouble()),
                    (radius - branch) * (2 * random.nextDouble() - 1),
                    2 * Math.PI * random.nextDouble()));
        }
        Cope cope = new Cope(branch, mains);
        for (int degree = 0; degree < 360; degree += 15) {
            double at = Math.toRadians(degree);
            double inside = Double.NEGATIVE_INFINITY;
            for (Cope.Main main : mains) {
                // Where the wall is nearest to the axis it is inside of the tube; far out it is outside of it.
                double near = branch * Math.cos(at - main.turned()) / Math.tan(main.angle());
                double in = near;
                double out = near + 1;
                for (int half = 0; half < 60; half++) {
                    double middle = (in + out) / 2;
                    double[] point = {branch * Math.cos(at), branch * Math.sin(at), middle};
                    if (apart(point, main) < main.radius()) {
                        in = middle;
                    } else {
                        out = middle;
                    }
                }
                inside = Math.max(inside, in);
            }
            assertThat(cope.height(at)).isCloseTo(inside, within(5e-5));
        }
    }

    private static GaugeAnswer ask(String angle) {
        return new CopeGauge()
                .answer(GaugeRequest.of(Map.of(
                        "diameter",
                        "1.75 in",
                        "wall",
                        "0.095 in",
                        "tubes",
                        List.of(Map.of("diameter", "1.75 in", "angle", angle)))));
    }

    /** Equal tubes square to each other are cut as deep as their radius; at 45° by hand: 53.66, 0 and 9.21 mm. */
    @Test
    void equalTubesByHand() {
        assertThat(ask("90°").value("depth")).isCloseTo(22.225, within(0.001));
        Cope cope = new Cope(0.022225, List.of(new Cope.Main(0.022225, Math.PI / 4, 0, 0)));
        assertThat(1000 * cope.height(0)).isCloseTo(53.66, within(0.005));
        assertThat(1000 * cope.height(Math.PI / 2)).isCloseTo(0, within(0.005));
        assertThat(1000 * cope.height(Math.PI)).isCloseTo(9.21, within(0.005));
        assertThat(String.valueOf(ask("45°").values().get("heights"))).contains("53.66 mm");
    }

    @Test
    void aBranchThatPassesBesideIsRefused() {
        assertThatThrownBy(() -> new CopeGauge()
                        .answer(GaugeRequest.of(Map.of(
                                "diameter",
                                "40 mm",
                                "wall",
                                "2 mm",
                                "tubes",
                                List.of(Map.of("diameter", "30 mm", "angle", "90°"))))))
                .isInstanceOf(WrongRequest.class)
                .hasMessageContaining("passes beside");
        assertThatThrownBy(() -> new CopeGauge()
                        .answer(GaugeRequest.of(Map.of("diameter", "4 mm", "wall", "2 mm", "tubes", List.of()))))
                .isInstanceOf(WrongRequest.class)
                .hasMessageContaining("thicker than the tube");
    }
}
