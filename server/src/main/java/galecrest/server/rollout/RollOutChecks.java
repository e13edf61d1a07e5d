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
    private static final int LONGEST = 1_000;
    private static final double FARTHEST_KM = 2_000;
    /** 24 h. */
    static final int LONGEST_FIRE_SECONDS = 24 * 3_600;

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
        if (!(form.km() >= 0 && form.km() <= FARTHEST_KM)) {
            problems.add(new Problem("km", "0 to " + (int) FARTHEST_KM + " km."));
        }
        text(problems, "seen", form.seen());
        text(problems, "leaked", form.leaked());
        quantity(problems, "oilPressure", QuantityKind.PRESSURE, form.oilPressure());
        quantity(problems, "water", QuantityKind.TEMPERATURE, form.water());
        quantity(problems, "oil", QuantityKind.TEMPERATURE, form.oil());
        return problems;
    }

    private static void text(List<Problem> problems, String field, @Nullable String said) {
        if (said != null && said.length() > LONGEST) {
            problems.add(new Problem(field, "At most " + LONGEST + " letters."));
        }
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
        if (form.key() == null || form.key().isBlank()) {
            problems.add(new Problem("key", "The request needs a key of its own."));
        }
        if (form.seconds() < 1 || form.seconds() > LONGEST_FIRE_SECONDS) {
            problems.add(new Problem("seconds", "How long did it run? 1 s to 24 h."));
        }
        text(problems, "stoppedBecause", form.stoppedBecause());
        text(problems, "leaked", form.leaked());
        quantity(problems, "oilPressure", QuantityKind.PRESSURE, form.oilPressure());
        quantity(problems, "water", QuantityKind.TEMPERATURE, form.water());
        quantity(problems, "oil", QuantityKind.TEMPERATURE, form.oil());
        return problems;
    }

    private static boolean isBlank(@Nullable String said) {
        return said == null || said.isBlank();
    }
}
