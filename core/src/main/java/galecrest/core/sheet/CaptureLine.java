package galecrest.core.sheet;

import galecrest.core.build.Zone;
import galecrest.core.work.ReasonTag;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Understands what the manager types at a car: {@code hang bias cable @cockpit 40m +wire}, {@code held part: manifold},
 * {@code finding: weeping union rear left}, {@code for now: road springs}.
 */
public final class CaptureLine {
    private static final Pattern HELD = Pattern.compile("held\\s+(\\w+)\\s*:\\s*(.+)", Pattern.CASE_INSENSITIVE);
    private static final Pattern FINDING = Pattern.compile("finding\\s*:\\s*(.+)", Pattern.CASE_INSENSITIVE);
    private static final Pattern FOR_NOW = Pattern.compile("for now\\s*:\\s*(.+)", Pattern.CASE_INSENSITIVE);
    private static final Pattern TIME = Pattern.compile("(?:(\\d{1,3})h)?(?:(\\d{1,3})m?)?");
    /** Of a job whose time was not said: an hour (common practice of writing jobs down first, sizing them later). */
    private static final int UNSAID_MINUTES = 60;

    /** What the line means. */
    public sealed interface Captured permits NewJob, Held, ForNow, NotUnderstood {}

    /** A job to add; {@code finding} where it was found on the car rather than planned. */
    public record NewJob(
            String name, Optional<Zone> zone, int minutes, boolean timeSaid, Optional<String> skill, boolean finding)
            implements Captured {}

    /** What the car does next is held. */
    public record Held(ReasonTag reason, String note) implements Captured {}

    /** Something was fitted that must be made good. */
    public record ForNow(String what) implements Captured {}

    /** The line cannot be understood, and why. */
    public record NotUnderstood(String why) implements Captured {}

    private CaptureLine() {}

    /** What a line means; {@link NotUnderstood}, with what is missing, where it means nothing. */
    public static Captured read(String line) {
        String text = line.strip();
        if (text.isEmpty()) {
            return new NotUnderstood("Type a job, \"held part: …\" or \"finding: …\".");
        }
        Matcher held = HELD.matcher(text);
        if (held.matches()) {
            return held(held.group(1), held.group(2).strip());
        }
        Matcher forNow = FOR_NOW.matcher(text);
        if (forNow.matches()) {
            return new ForNow(forNow.group(1).strip());
        }
        Matcher finding = FINDING.matcher(text);
        return finding.matches() ? job(finding.group(1), true) : job(text, false);
    }

    private static Captured held(String word, String note) {
        for (ReasonTag tag : ReasonTag.values()) {
            if (tag.name().equalsIgnoreCase(word)) {
                return new Held(tag, note);
            }
        }
        return new NotUnderstood("\"" + word + "\" is no reason for a hold. Say one of "
                + String.join(
                        ", ",
                        Arrays.stream(ReasonTag.values())
                                .map(t -> t.name().toLowerCase(Locale.ROOT))
                                .toList())
                + ".");
    }

    private static Captured job(String text, boolean finding) {
        StringBuilder name = new StringBuilder();
        Optional<Zone> zone = Optional.empty();
        Optional<String> skill = Optional.empty();
        int minutes = 0;
        for (String word : List.of(text.strip().split("\\s+"))) {
            Matcher time = TIME.matcher(word.toLowerCase(Locale.ROOT));
            if (word.startsWith("@") && word.length() > 1) {
                zone = zone(word.substring(1));
                if (zone.isEmpty()) {
                    return new NotUnderstood("There is no zone \"" + word.substring(1)
                            + "\". The zones are front, engine-bay, cockpit, underside, rear.");
                }
            } else if (word.startsWith("+") && word.length() > 1) {
                skill = Optional.of(word.substring(1).toLowerCase(Locale.ROOT));
            } else if (time.matches() && word.toLowerCase(Locale.ROOT).matches(".*[hm].*")) {
                minutes += part(time.group(1)) * 60 + part(time.group(2));
            } else {
                name.append(name.isEmpty() ? "" : " ").append(word);
            }
        }
        if (name.isEmpty()) {
            return new NotUnderstood("What is the job? Only its zone or time was said.");
        }
        String first = name.substring(0, 1).toUpperCase(Locale.ROOT) + name.substring(1);
        boolean said = minutes > 0;
        return new NewJob(first, zone, said ? minutes : UNSAID_MINUTES, said, skill, finding);
    }

    private static int part(String digits) {
        return digits == null ? 0 : Integer.parseInt(digits);
    }

    /** A zone by its name; a hyphen, an underscore or the first letters will do. */
    public static Optional<Zone> zone(String word) {
        String wanted = word.toUpperCase(Locale.ROOT).replace('-', '_');
        return Arrays.stream(Zone.values())
                .filter(z -> z.name().startsWith(wanted))
                .findFirst();
    }
}
