package galecrest.core.sheet;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * The words that a captured line may use for one car: who is there and what they can do, the car's open jobs, its parts, its
 * dates and its stages.
 *
 * @param skills as the shop calls them
 * @param jobs the open work of the car
 * @param nearest which of them go on now or come next, the first first: meant where none is named
 */
public record Vocabulary(
        List<String> skills,
        List<Named> people,
        List<Named> jobs,
        List<String> nearest,
        List<Part> parts,
        List<Named> dates,
        List<String> stages) {
    private static final Set<String> ARTICLES = Set.of("the", "a", "an", "its", "on", "of", "for", "to");
    private static final List<String> ENDINGS = List.of("ing", "ers", "er", "s", "e");
    private static final int SHORTEST_STEM = 3;

    public Vocabulary {
        skills = List.copyOf(skills);
        people = List.copyOf(people);
        jobs = List.copyOf(jobs);
        nearest = List.copyOf(nearest);
        parts = List.copyOf(parts);
        dates = List.copyOf(dates);
        stages = List.copyOf(stages);
    }

    /** Something of the record that has a name. */
    public record Named(String id, String name) {}

    /** A part of the car that is not here yet, and the open jobs that need it. */
    public record Part(String id, String name, List<String> neededBy) {
        public Part {
            neededBy = List.copyOf(neededBy);
        }
    }

    /**
     * What of these is meant by some words: those of just that name; else those whose names have all the words, whole or by
     * their beginnings. Empty where none is.
     */
    static <T> List<T> meant(String said, List<T> among, Function<T, String> name) {
        List<String> words = words(said);
        if (words.isEmpty()) {
            return List.of();
        }
        List<T> exact =
                among.stream().filter(x -> words(name.apply(x)).equals(words)).toList();
        return exact.isEmpty()
                ? among.stream()
                        .filter(x -> hasAll(words(name.apply(x)), words))
                        .toList()
                : exact;
    }

    private static boolean hasAll(List<String> name, List<String> words) {
        return words.stream().allMatch(w -> name.stream().anyMatch(n -> n.startsWith(w) || n.equals(w)));
    }

    private static List<String> words(String text) {
        return Arrays.stream(text.toLowerCase(Locale.ROOT).split("[^\\p{L}\\p{N}]+"))
                .filter(w -> !w.isEmpty() && !ARTICLES.contains(w))
                .map(Vocabulary::stem)
                .collect(Collectors.toList());
    }

    /** The skill that a word or its doer means: "weld", "welder", "needs welding". Empty where it is none. */
    java.util.Optional<String> skill(String said) {
        List<String> words = words(said.replaceFirst("(?i)^(needs|by)\\s+", ""));
        return skills.stream().filter(s -> words(s).equals(words)).findFirst();
    }

    /** Welder, welding and weld have one stem, fitter and fit too. */
    private static String stem(String word) {
        String stem = word;
        for (String ending : ENDINGS) {
            if (stem.endsWith(ending) && stem.length() - ending.length() >= SHORTEST_STEM) {
                stem = stem.substring(0, stem.length() - ending.length());
            }
        }
        int last = stem.length() - 1;
        return last >= SHORTEST_STEM && stem.charAt(last) == stem.charAt(last - 1) ? stem.substring(0, last) : stem;
    }
}
