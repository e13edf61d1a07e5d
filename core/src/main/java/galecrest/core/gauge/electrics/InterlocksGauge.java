package galecrest.core.gauge.electrics;

import static galecrest.core.units.QuantityKind.NUMBER;

import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeField;
import galecrest.core.gauge.GaugeRequest;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/** Interlocks as rules, tried over the full table of states before anybody powers the car. */
public final class InterlocksGauge implements Gauge {
    private static final int MOST_RULES = 60;

    @Override
    public String name() {
        return "interlocks";
    }

    @Override
    public String title() {
        return "Interlocks";
    }

    @Override
    public String headline(GaugeAnswer answer) {
        return answer.text("verdict");
    }

    @Override
    public List<GaugeField> fields() {
        return List.of(
                GaugeField.rows(
                                "rules",
                                GaugeField.text("when").must().hint("start button and neutral and brake pressed"),
                                GaugeField.text("then").must().hint("starter; or: not starter"))
                        .must()
                        .ofTheCar(),
                GaugeField.rows("never", GaugeField.text("what").must().hint("starter and not neutral"))
                        .called("What must never be")
                        .ofTheCar(),
                GaugeField.rows("always", GaugeField.text("what").must().hint("not isolator or not fuel pump"))
                        .called("What must always be")
                        .ofTheCar());
    }

    @Override
    public GaugeAnswer answer(GaugeRequest request) {
        List<Interlocks.Rule> rules = new ArrayList<>();
        for (GaugeRequest row : request.rows("rules")) {
            Optional<Condition> when = condition(row, "when");
            thens(row).forEach(t -> when.ifPresent(w -> rules.add(new Interlocks.Rule(w, t.name(), t.on()))));
        }
        List<Condition> never = conditions(request, "never");
        List<Condition> always = conditions(request, "always");
        if (rules.isEmpty()) {
            request.wrong("rules", "are needed: when … then ….");
        } else if (rules.size() > MOST_RULES) {
            request.wrong("rules", "are more than " + MOST_RULES + ".");
        }
        if (never.size() + always.size() > MOST_RULES) {
            request.wrong("never", "and always are more than " + MOST_RULES + " together.");
        }
        Interlocks interlocks = new Interlocks(rules);
        List<Condition> checks = new ArrayList<>(never);
        checks.addAll(always);
        List<String> inputs = List.copyOf(interlocks.inputs(checks));
        Optional<List<String>> order = interlocks.order();
        if (inputs.size() > Interlocks.MOST_INPUTS) {
            request.wrong("rules", "hang on " + inputs.size() + " inputs; " + Interlocks.MOST_INPUTS + " at the most.");
        }
        if (order.isEmpty()) {
            request.wrong("rules", "hang on each other in a circle: an output that waits for itself is never decided.");
        }
        request.done();
        return answer(request, interlocks, never, always, inputs, order.orElseThrow());
    }

    private record Then(String name, boolean on) {}

    /** What a rule switches: names joined by and, each perhaps with a not. */
    private static List<Then> thens(GaugeRequest row) {
        List<Then> thens = new ArrayList<>();
        for (String part : row.text("then").toLowerCase(Locale.ROOT).split("\\band\\b")) {
            String text = part.strip();
            boolean on = !text.startsWith("not ");
            String name = on ? text : text.substring("not ".length()).strip();
            if (name.isEmpty() || name.matches(".*\\b(or|not)\\b.*|.*[()].*")) {
                row.wrong("then", "is what is switched: names, joined by and, each perhaps with a not before it.");
                return List.of();
            }
            thens.add(new Then(name.replaceAll("\\s+", " "), on));
        }
        return thens;
    }

    private static Optional<Condition> condition(GaugeRequest row, String field) {
        try {
            if (!row.text(field).isEmpty()) {
                return Optional.of(Condition.read(row.text(field)));
            }
            row.wrong(field, "is needed: a condition like start button and neutral.");
        } catch (IllegalArgumentException wrong) {
            row.wrong(field, String.valueOf(wrong.getMessage()));
        }
        return Optional.empty();
    }

    private static List<Condition> conditions(GaugeRequest request, String field) {
        List<Condition> all = new ArrayList<>();
        request.rows(field).forEach(row -> condition(row, "what").ifPresent(all::add));
        return all;
    }

    private static GaugeAnswer answer(
            GaugeRequest request,
            Interlocks interlocks,
            List<Condition> never,
            List<Condition> always,
            List<String> inputs,
            List<String> order) {
        Interlocks.Tried tried = interlocks.tried(inputs, order);
        GaugeAnswer answer = new GaugeAnswer(request.system());
        List<String> wrong = new ArrayList<>();
        tried.contradictions()
                .forEach(c -> wrong.add("with " + said(c.inputs()) + ", \"" + c.asks() + "\" asks for what \""
                        + c.forbids() + "\" forbids"));
        List<GaugeAnswer> checks = new ArrayList<>();
        for (Condition condition : never) {
            check(answer, checks, wrong, "never", condition, interlocks.when(condition, inputs, order, true));
        }
        for (Condition condition : always) {
            check(answer, checks, wrong, "always", condition, interlocks.when(condition, inputs, order, false));
        }
        List<String> notes = new ArrayList<>();
        tried.idle().forEach(r -> notes.add("\"" + r + "\" is never called on"));
        tried.never().forEach(o -> notes.add(o + " is on in no state"));
        tried.always().forEach(o -> notes.add(o + " is on in every state"));
        boolean good = wrong.isEmpty() && tried.never().isEmpty();
        List<GaugeAnswer> states = new ArrayList<>();
        for (String output : order) {
            Optional<Set<String>> on = interlocks.when(Condition.read(output), inputs, order, true);
            states.add(answer.row()
                    .put("output", output)
                    .put("on at the least with", on.map(InterlocksGauge::said).orElse("in no state")));
        }
        return answer.put("states", NUMBER, tried.states())
                .put("good", good)
                .put(
                        "verdict",
                        wrong.isEmpty()
                                ? tried.states() + " states tried, no contradiction"
                                        + (notes.isEmpty() ? "" : "; " + notes.get(0))
                                : wrong.get(0) + (wrong.size() > 1 ? "; and " + (wrong.size() - 1) + " more" : ""))
                .put("wrong", wrong)
                .put("notes", notes)
                .rows("checks", checks)
                .rows("outputs", states)
                .put(
                        "before",
                        List.of(
                                "What is tried here is the rules, not the wires: prove each on the car, wheels off the ground.",
                                "An isolator cuts by its own contacts and by no rule."));
    }

    private static void check(
            GaugeAnswer answer,
            List<GaugeAnswer> checks,
            List<String> wrong,
            String kind,
            Condition condition,
            Optional<Set<String>> against) {
        GaugeAnswer row = answer.row()
                .put("check", kind + " " + condition.text())
                .put("good", against.isEmpty())
                .put("said", against.map(s -> "not so with " + said(s)).orElse("holds in every state"));
        checks.add(row);
        against.ifPresent(s -> wrong.add("with " + said(s) + ", it is "
                + (kind.equals("never") ? "so that " : "not so that ") + condition.text()));
    }

    private static String said(Set<String> on) {
        return on.isEmpty() ? "nothing on" : String.join(", ", on);
    }
}
