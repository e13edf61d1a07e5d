package galecrest.core.gauge.electrics;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * Rules of the form <em>when … then …</em> over signals that are on or off. What no rule switches is an input; what one does is
 * an output, on where a rule asks for it and off where none does or one forbids it. Every state of the inputs is tried.
 *
 * @param rules in the order in which they were written
 */
public record Interlocks(List<Rule> rules) {
    /** So many inputs make 4096 states; the table is gone through for each check. */
    public static final int MOST_INPUTS = 12;

    /**
     * A rule.
     *
     * @param output what it switches
     * @param on whether it asks for it, or forbids it
     */
    public record Rule(Condition when, String output, boolean on) {
        @Override
        public String toString() {
            return "when " + when.text() + " then " + (on ? "" : "not ") + output;
        }
    }

    /**
     * A state in which one rule asks for what another forbids.
     *
     * @param inputs which of them are on
     */
    public record Contradiction(String output, Set<String> inputs, Rule asks, Rule forbids) {}

    /**
     * What the table of states tells.
     *
     * @param states how many there are
     * @param contradictions one for each pair of rules, in the state with the fewest inputs on
     * @param idle rules that no state ever calls on
     * @param never outputs that are on in no state
     * @param always outputs that are on in every state
     */
    public record Tried(
            int states, List<Contradiction> contradictions, List<Rule> idle, List<String> never, List<String> always) {}

    public Interlocks {
        rules = List.copyOf(rules);
    }

    /** What rules switch. */
    public Set<String> outputs() {
        return rules.stream().map(Rule::output).collect(Collectors.toCollection(TreeSet::new));
    }

    /** What conditions name and no rule switches. */
    public Set<String> inputs(List<Condition> others) {
        Set<String> names = new TreeSet<>();
        rules.forEach(r -> names.addAll(r.when().names()));
        others.forEach(c -> names.addAll(c.names()));
        names.removeAll(outputs());
        return names;
    }

    /** Outputs in an order in which each hangs only on those before it; empty where some hang on each other. */
    public Optional<List<String>> order() {
        List<String> order = new ArrayList<>();
        Set<String> left = new TreeSet<>(outputs());
        while (!left.isEmpty()) {
            Optional<String> free = left.stream()
                    .filter(o -> rules.stream()
                            .filter(r -> r.output().equals(o))
                            .noneMatch(r -> r.when().names().stream().anyMatch(left::contains)))
                    .findFirst();
            if (free.isEmpty()) {
                return Optional.empty();
            }
            order.add(free.get());
            left.remove(free.get());
        }
        return Optional.of(order);
    }

    /** All signals where just those inputs are on. */
    public Map<String, Boolean> state(Set<String> inputsOn, List<String> order) {
        Map<String, Boolean> state = new TreeMap<>();
        inputsOn.forEach(i -> state.put(i, true));
        for (String output : order) {
            boolean asked = false;
            boolean forbidden = false;
            for (Rule rule : rules) {
                if (rule.output().equals(output) && rule.when().holds().test(state)) {
                    asked |= rule.on();
                    forbidden |= !rule.on();
                }
            }
            state.put(output, asked && !forbidden);
        }
        return state;
    }

    /** The state with the fewest inputs on in which a condition is so; empty where it never is. */
    public Optional<Set<String>> when(Condition condition, List<String> inputs, List<String> order, boolean so) {
        return states(inputs).stream()
                .filter(on -> condition.holds().test(state(on, order)) == so)
                .findFirst();
    }

    /** All states of the inputs, those with the fewest on first. */
    private static List<Set<String>> states(List<String> inputs) {
        List<Set<String>> all = new ArrayList<>();
        for (int bits = 0; bits < 1 << inputs.size(); bits++) {
            Set<String> on = new LinkedHashSet<>();
            for (int i = 0; i < inputs.size(); i++) {
                if ((bits >> i & 1) == 1) {
                    on.add(inputs.get(i));
                }
            }
            all.add(on);
        }
        all.sort((a, b) -> Integer.compare(a.size(), b.size()));
        return all;
    }

    /** Tries every state. */
    public Tried tried(List<String> inputs, List<String> order) {
        Map<List<Rule>, Contradiction> contradictions = new LinkedHashMap<>();
        Set<Rule> called = new LinkedHashSet<>();
        Map<String, Integer> on = new TreeMap<>();
        List<Set<String>> states = states(inputs);
        for (Set<String> inputsOn : states) {
            Map<String, Boolean> state = state(inputsOn, order);
            List<Rule> active =
                    rules.stream().filter(r -> r.when().holds().test(state)).toList();
            called.addAll(active);
            for (Rule asks : active) {
                for (Rule forbids : active) {
                    if (asks.on() && !forbids.on() && asks.output().equals(forbids.output())) {
                        contradictions.putIfAbsent(
                                List.of(asks, forbids), new Contradiction(asks.output(), inputsOn, asks, forbids));
                    }
                }
            }
            order.forEach(o -> on.merge(o, Boolean.TRUE.equals(state.get(o)) ? 1 : 0, Integer::sum));
        }
        return new Tried(
                states.size(),
                List.copyOf(contradictions.values()),
                rules.stream().filter(r -> !called.contains(r)).toList(),
                order.stream().filter(o -> on.getOrDefault(o, 0) == 0).toList(),
                order.stream()
                        .filter(o -> on.getOrDefault(o, 0) == states.size())
                        .toList());
    }
}
