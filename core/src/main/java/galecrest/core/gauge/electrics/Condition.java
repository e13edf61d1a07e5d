package galecrest.core.gauge.electrics;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;

/**
 * A condition as people write it: names of signals joined by {@code and}, {@code or} and {@code not}, with brackets;
 * {@code not} binds closest, {@code or} least.
 *
 * @param text as it was written
 * @param names of the signals in it
 * @param holds whether it is so in a state: which signals are on
 */
public record Condition(String text, Set<String> names, Predicate<Map<String, Boolean>> holds) {
    private static final int MOST_WORDS = 200;
    private static final Set<String> WORDS = Set.of("and", "or", "not", "(", ")");

    /**
     * The condition.
     *
     * @throws IllegalArgumentException with what is wrong, in the user's words
     */
    public static Condition read(String text) {
        Reader reader = new Reader(text);
        if (reader.words.size() > MOST_WORDS) {
            throw new IllegalArgumentException("It is longer than " + MOST_WORDS + " words: make two rules of it.");
        }
        Predicate<Map<String, Boolean>> holds = reader.or();
        if (reader.at < reader.words.size()) {
            throw new IllegalArgumentException(
                    "\"" + reader.words.get(reader.at) + "\" stands where \"and\" or \"or\" should.");
        }
        return new Condition(text.strip(), reader.names, holds);
    }

    private static final class Reader {
        private final List<String> words = new ArrayList<>();
        private final Set<String> names = new TreeSet<>();
        private int at;

        Reader(String text) {
            String spaced = text.toLowerCase(Locale.ROOT).replace("(", " ( ").replace(")", " ) ");
            for (String word : spaced.strip().split("\\s+")) {
                int last = words.size() - 1;
                boolean goesOn = last >= 0 && !WORDS.contains(word) && !WORDS.contains(words.get(last));
                // A name has as many words as it wants: brake pressed.
                if (goesOn) {
                    words.set(last, words.get(last) + " " + word);
                } else if (!word.isEmpty()) {
                    words.add(word);
                }
            }
        }

        private boolean takes(String word) {
            boolean there = at < words.size() && words.get(at).equals(word);
            at += there ? 1 : 0;
            return there;
        }

        Predicate<Map<String, Boolean>> or() {
            Predicate<Map<String, Boolean>> left = and();
            while (takes("or")) {
                left = left.or(and());
            }
            return left;
        }

        Predicate<Map<String, Boolean>> and() {
            Predicate<Map<String, Boolean>> left = not();
            while (takes("and")) {
                left = left.and(not());
            }
            return left;
        }

        Predicate<Map<String, Boolean>> not() {
            if (takes("not")) {
                return not().negate();
            }
            if (takes("(")) {
                Predicate<Map<String, Boolean>> inner = or();
                if (!takes(")")) {
                    throw new IllegalArgumentException("A bracket is not closed.");
                }
                return inner;
            }
            if (at >= words.size() || WORDS.contains(words.get(at))) {
                throw new IllegalArgumentException(
                        at >= words.size()
                                ? "It ends too early."
                                : "\"" + words.get(at) + "\" needs something before it.");
            }
            String name = words.get(at++);
            names.add(name);
            return state -> Boolean.TRUE.equals(state.get(name));
        }
    }
}
