package galecrest.core.gauge.chassis;

import static galecrest.core.units.QuantityKind.ANGLE;
import static galecrest.core.units.QuantityKind.LENGTH;
import static galecrest.core.units.QuantityKind.NUMBER;
import static galecrest.core.units.QuantityKind.PRESSURE;
import static galecrest.core.units.QuantityKind.STIFFNESS;

import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeField;
import galecrest.core.gauge.GaugeRequest;
import java.util.ArrayList;
import java.util.List;

/**
 * The rate of an anti-roll bar: a tube in torsion, with arms that are stiff or that are blades which bend.
 *
 * <p>Torsion of a round bar: J = π(D⁴ − d⁴)/32, twist φ = T·L/(G·J). With arms of lever a the ends move apart by a·φ for a
 * force F = T/a at each: F per relative movement = G·J/(L·a²). A blade is a cantilever of rectangular section, turned by an
 * angle about its length: its compliance along the force is a³/(3E)·(cos²θ/I_flat + sin²θ/I_upright). Compliances in series
 * add up. Source: any text on mechanics of materials, torsion of circular shafts and unsymmetric bending.
 */
public final class AntiRollBarGauge implements Gauge {
    /** Steel; from memory: shear modulus 79.3 GPa, Young's modulus 205 GPa. */
    private static final double SHEAR = 79.3e9;

    private static final double YOUNG = 205e9;

    @Override
    public String name() {
        return "anti-roll-bar";
    }

    @Override
    public String title() {
        return "Anti-roll bars";
    }

    /** The relative movement of the ends for a newton at each, by the twist of the bar, m/N. */
    public static double twist(double outside, double inside, double length, double arm, double shear) {
        double second = Math.PI * (Math.pow(outside, 4) - Math.pow(inside, 4)) / 32;
        return length * arm * arm / (shear * second);
    }

    /** The movement of the end of one blade for a newton, m/N; at 0 the blade lies flat, at π/2 it stands upright. */
    public static double blade(double width, double thickness, double arm, double angle, double young) {
        double flat = width * Math.pow(thickness, 3) / 12;
        double upright = thickness * Math.pow(width, 3) / 12;
        double cos = Math.cos(angle);
        double sin = Math.sin(angle);
        return Math.pow(arm, 3) / (3 * young) * (cos * cos / flat + sin * sin / upright);
    }

    @Override
    public List<GaugeField> fields() {
        return List.of(
                GaugeField.quantity("outside", LENGTH).must().ofTheCar().called("Bar, outside"),
                GaugeField.quantity("inside", LENGTH)
                        .ofTheCar()
                        .called("Bar, inside")
                        .hint("0 if solid"),
                GaugeField.quantity("length", LENGTH).must().ofTheCar().hint("between the arms"),
                GaugeField.quantity("arm", LENGTH).must().ofTheCar().hint("the lever, at right angles to the bar"),
                GaugeField.quantity("motion ratio", NUMBER).ofTheCar(),
                GaugeField.part(
                        "blade",
                        GaugeField.quantity("width", LENGTH).must(),
                        GaugeField.quantity("thickness", LENGTH).must(),
                        GaugeField.quantity("count", NUMBER).hint("1 or 2"),
                        GaugeField.quantity("angle", ANGLE).hint("0° flat and soft, 90° upright and stiff")),
                GaugeField.quantity("shear modulus", PRESSURE).hint("79.3 GPa of steel if not said"),
                GaugeField.quantity("young's modulus", PRESSURE).hint("of the blade, steel if not said"));
    }

    @Override
    public GaugeAnswer answer(GaugeRequest request) {
        double outside = request.quantity("outside", LENGTH, 0.004, 0.1);
        double inside = request.quantityOr("inside", LENGTH, 0, 0, 0.1);
        double length = request.quantity("length", LENGTH, 0.1, 2);
        double arm = request.quantity("arm", LENGTH, 0.03, 0.6);
        double shear = request.quantityOr("shear modulus", PRESSURE, SHEAR, 1e9, 2e11);
        double young = request.quantityOr("young's modulus", PRESSURE, YOUNG, 1e9, 5e11);
        double ratio = request.quantityOr("motion ratio", NUMBER, 1, 0.1, 3);
        if (inside >= outside) {
            request.wrong("inside", "is less than the outside.");
        }
        boolean bladed = request.has("blade");
        GaugeRequest blade = request.part("blade");
        double width = bladed ? blade.quantity("width", LENGTH, 0.003, 0.1) : Double.NaN;
        double thickness = bladed ? blade.quantity("thickness", LENGTH, 0.001, 0.05) : Double.NaN;
        int blades = bladed && blade.has("count") ? blade.whole("count", 1, 2) : 2;
        double angle = bladed ? blade.quantityOr("angle", ANGLE, 0, 0, Math.PI / 2) : Double.NaN;
        request.done();
        double twist = twist(outside, inside, length, arm, shear);
        GaugeAnswer answer = new GaugeAnswer(request.system());
        double bends = bladed ? blades * blade(width, thickness, arm, angle, young) : 0;
        answer.put("rate at the arms", STIFFNESS, 1 / (twist + bends))
                .put("rate at the wheels", STIFFNESS, ratio * ratio / (twist + bends))
                .put("of the tube alone", STIFFNESS, 1 / twist);
        if (bladed) {
            List<GaugeAnswer> steps = new ArrayList<>();
            for (int degrees = 0; degrees <= 90; degrees += 15) {
                double at = twist + blades * blade(width, thickness, arm, Math.toRadians(degrees), young);
                steps.add(answer.row()
                        .put("angle", ANGLE, Math.toRadians(degrees))
                        .put("rate at the wheels", STIFFNESS, ratio * ratio / at));
            }
            answer.rows("by angle", steps);
        }
        return answer.put(
                "means",
                "Force at each end for each unit that one end is higher than the other; at the wheels by the motion ratio"
                        + " (travel of the arm's end for each travel of the wheel), squared.");
    }
}
