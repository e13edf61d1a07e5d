package galecrest.core.gauge;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * A kind of work that disturbs what was measured.
 *
 * @param id what jobs carry
 * @param label the words for it on screen
 * @param words phrases by which a job says that it does this; each stands for its plural too
 * @param first what no longer holds at once; what depends on that follows from {@link StaleGraph}
 */
public record Disturbance(String id, String label, List<String> words, Set<Measured> first) {
    public Disturbance {
        words = List.copyOf(words);
        first = Set.copyOf(first);
    }

    /** Whether the words of a job say that it does this. */
    public boolean isIn(String text) {
        String said = text.toLowerCase(Locale.ROOT);
        return words.stream().anyMatch(phrase -> pattern(phrase).matcher(said).find());
    }

    /** The phrase as whole words in any language, each in its plural too. */
    private static Pattern pattern(String phrase) {
        String words = Arrays.stream(phrase.strip().toLowerCase(Locale.ROOT).split("\\s+"))
                .map(word -> Pattern.quote(word) + "(?:s|es)?")
                .collect(Collectors.joining("\\s+"));
        return Pattern.compile("(?<![\\p{L}\\d])" + words + "(?![\\p{L}\\d])");
    }
}
