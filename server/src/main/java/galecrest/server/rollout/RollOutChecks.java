package galecrest.server.rollout;

import galecrest.core.shop.Problem;
import galecrest.core.units.QuantityKind;
import galecrest.core.units.QuantityText;
import galecrest.core.units.UnitSystem;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What is wrong with what somebody says of a try that is over, or of a fire. */
final class RollOutChecks {
    private RollOutChecks() {}

    /** What is wrong, each at its field. */
    static List<Problem> of(EndRequest form) {
        List<Problem> problems = new ArrayList<>();
        if (!form.done() && isBlank(form.seen()) && isBlank(form.leaked())) {
            problems.add(new Problem("seen", "Say what was seen."));
        }
        if (form.done() && !isBlank(form.leaked())) {
            problems.add(new Problem("leaked", "With a leak it is not done: stop here."));
        }
        quantity(problems, "oilPressure", QuantityKind.PRESSURE, form.oilPressure());
        quantity(problems, "water", QuantityKind.TEMPERATURE, form.water());
        quantity(problems, "oil", QuantityKind.TEMPERATURE, form.oil());
        return problems;
    }

    private static void quantity(List<Problem> problems, String field, QuantityKind kind, @Nullable String said) {
        if (said != null && !said.isBlank()) {
            try {
                QuantityText.read(kind, said, UnitSystem.METRIC);
            } catch (QuantityText.Unreadable unreadable) {
                problems.add(new Problem(field, unreadable.getMessage()));
            }
        }
    }

    /** What is wrong, each at its field. */
    static List<Problem> of(FireRequest form) {
        List<Problem> problems = new ArrayList<>();
        quantity(problems, "oilPressure", QuantityKind.PRESSURE, form.oilPressure());
        quantity(problems, "water", QuantityKind.TEMPERATURE, form.water());
        quantity(problems, "oil", QuantityKind.TEMPERATURE, form.oil());
        return problems;
    }

    private static boolean isBlank(@Nullable String said) {
        return said == null || said.isBlank();
    }
}
