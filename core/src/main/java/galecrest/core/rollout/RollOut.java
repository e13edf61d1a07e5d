package galecrest.core.rollout;

import galecrest.core.build.Gate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/**
 * How far a car has come.
 *
 * @param steps in order
 * @param attempts in the order in which they were begun
 * @param passed the gates that are passed, and not open again
 */
public record RollOut(List<RollOutStep> steps, List<Attempt> attempts, List<Finding> findings, Set<Gate> passed) {
    public RollOut {
        steps = List.copyOf(steps);
        attempts = List.copyOf(attempts);
        findings = List.copyOf(findings);
        passed = Set.copyOf(passed);
    }

    /** The step of that key; empty where the list has none. */
    public Optional<RollOutStep> step(String key) {
        return steps.stream().filter(s -> s.key().equals(key)).findFirst();
    }

    /** The tries at a step, in order. */
    public List<Attempt> of(String step) {
        return attempts.stream().filter(a -> a.step().equals(step)).toList();
    }

    /** The try that is open on this car; there is at most one. */
    public Optional<Attempt> open() {
        return attempts.stream().filter(Attempt::isOpen).findFirst();
    }

    /** Whether the last try at a step that is over ended as it should. */
    public boolean isDone(String step) {
        List<Attempt> over = of(step).stream().filter(a -> !a.isOpen()).toList();
        return !over.isEmpty() && over.get(over.size() - 1).done();
    }

    /** The step at which the car stands: that of the open try, else the first that is not done; empty once all are. */
    public Optional<RollOutStep> here() {
        return open().flatMap(a -> step(a.step()))
                .or(() -> steps.stream().filter(s -> !isDone(s.key())).findFirst());
    }

    /** What must be put right before a step may go: what was found and is for it or for a step before it. */
    public List<Finding> blocking(String step) {
        return findings.stream()
                .filter(f -> !f.fixed()
                        && f.before().map(b -> index(b) <= index(step)).orElse(false))
                .toList();
    }

    /** Where a step stands; one that the list has no more counts as before all. */
    private int index(String key) {
        for (int i = 0; i < steps.size(); i++) {
            if (steps.get(i).key().equals(key)) {
                return i;
            }
        }
        return -1;
    }

    /**
     * Why an open try may not go yet, each in a sentence; empty where it may.
     *
     * @throws IllegalArgumentException where the list has no such step
     */
    public List<String> before(Attempt attempt) {
        RollOutStep step = step(attempt.step())
                .orElseThrow(() -> new IllegalArgumentException("There is no step " + attempt.step() + "."));
        List<String> open = new ArrayList<>();
        needed(index(step.key())).stream()
                .filter(g -> !passed.contains(g))
                .forEach(g -> open.add("the gate " + called(g) + " is not passed, or open again"));
        for (RollOutStep earlier : steps.subList(0, index(step.key()))) {
            if (!isDone(earlier.key())) {
                open.add(earlier.name() + " is not done");
            }
        }
        blocking(step.key()).forEach(f -> open.add("found before: " + f.what()));
        long checks =
                step.before().stream().filter(c -> !attempt.isTicked(c, false)).count();
        if (checks > 0) {
            open.add(count(checks));
        }
        if (attempt.driver().isEmpty() || attempt.looker().isEmpty()) {
            open.add(attempt.driver().isEmpty() ? "nobody drives yet" : "nobody looks yet");
        } else if (attempt.driver().equals(attempt.looker())) {
            open.add("who drives and who looks are two people");
        }
        return open;
    }

    /** The gates of the steps up to there, and those that come before the first of them: nothing fires without power-up. */
    private Set<Gate> needed(int last) {
        Set<Gate> needed = EnumSet.noneOf(Gate.class);
        steps.subList(0, last + 1).forEach(s -> s.gate().ifPresent(needed::add));
        needed.stream().findFirst().ifPresent(first -> needed.addAll(EnumSet.range(Gate.values()[0], first)));
        return needed;
    }

    /** Why a try that goes on is not done yet; empty where it may be. */
    public Optional<String> afterwards(Attempt attempt) {
        long checks = step(attempt.step()).map(RollOutStep::after).orElse(List.of()).stream()
                .filter(c -> !attempt.isTicked(c, true))
                .count();
        return checks == 0 ? Optional.empty() : Optional.of(count(checks));
    }

    private static String called(Gate gate) {
        return gate.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    private static String count(long checks) {
        return checks == 1 ? "one check is open" : checks + " checks are open";
    }
}
