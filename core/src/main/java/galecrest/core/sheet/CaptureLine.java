package galecrest.core.sheet;

import galecrest.core.build.Zone;
import galecrest.core.time.DurationText;
import galecrest.core.time.Minutes;
import galecrest.core.work.ReasonTag;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * Understands what is said at a car, in plain words between commas and in any order: {@code hang bias cable, cockpit,
 * 40 min}, {@code hang bias cable, done}, {@code held for the manifold}, {@code found a weeping union, rear},
 * {@code for now road springs}. What could mean two things is asked.
 */
public final class CaptureLine {
    /** Of a job whose time was not said: an hour (common practice of writing jobs down first, sizing them later). */
    private static final Minutes UNSAID = Minutes.of(60);

    private static final Pattern BETWEEN = Pattern.compile("\\s*(?:;|,(?!\\d)|(?<!\\d),)\\s*");
    private static final Pattern HELD = words("(?:is )?(?:held|on hold|waits|waiting)(?: by| for)?\\b:?\\s*(.*)");
    private static final Pattern REASON = words("(\\w+)\\s*:\\s*(.+)");
    private static final Pattern FOUND = words("(?:found|finding)\\b:?\\s*(?:that\\s+|an?\\s+(?=\\S))?(.*)");
    private static final Pattern FOR_NOW = words("(?:fitted )?for now\\b:?\\s*(.*)");
    private static final Pattern DONE = words("(?:is |all )?(?:done|finished|ready)");
    private static final Pattern MORE = words("(?:still )?needs? (?:another )?(.+?)(?: more)?");
    private static final Pattern TOOK = words("(?:it )?took (.+)");
    private static final Pattern HANDS =
            words("(?:with )?(two|three|four|[2-6]) (?:hands|people|of us)|(alone|one hand)");
    private static final Pattern PLACE = words("(?:(?:in|at|on|to) )?(?:the )?(.+)");
    private static final Pattern OFF_CAR = words("(?:on |at )?(?:the )?bench|off the car");
    private static final Pattern FOR = words("(?:for|before) (?:the )?(.+)");
    private static final Pattern BY = words("(?:by|with|for) (.+)|(.+?) (?:did it|helps)");
    /** A time that ends a phrase, in words that can be nothing else: "hang bias cable 40 min". */
    private static final Pattern TIME_AT_END = words(
            "(.+?\\S)\\s+((?:\\d[\\d.,]*\\s*(?:h|hrs?|hours?|min|mins|minutes)|\\d+m|\\d+\\s*h\\s*\\d{1,2})(?:\\s*m|\\s*min)?)");

    private static final Map<String, ReasonTag> REASONS = Map.ofEntries(
            Map.entry("decision", ReasonTag.DECIDE),
            Map.entry("decide", ReasonTag.DECIDE),
            Map.entry("answer", ReasonTag.DECIDE),
            Map.entry("customer", ReasonTag.DECIDE),
            Map.entry("hands", ReasonTag.HANDS),
            Map.entry("second hand", ReasonTag.HANDS),
            Map.entry("help", ReasonTag.HANDS),
            Map.entry("station", ReasonTag.STATION),
            Map.entry("lift", ReasonTag.STATION),
            Map.entry("ramp", ReasonTag.STATION),
            Map.entry("safety", ReasonTag.SAFETY),
            Map.entry("outside work", ReasonTag.OUT),
            Map.entry("other work", ReasonTag.AFTER));

    private final Vocabulary words;
    private final List<String> chosen;

    private final List<String> texts = new ArrayList<>();
    private final List<String> skills = new ArrayList<>();
    private final List<Vocabulary.Named> people = new ArrayList<>();
    private Optional<Zone> zone = Optional.empty();
    private Optional<Minutes> time = Optional.empty();
    private Optional<Minutes> more = Optional.empty();
    private Optional<String> held = Optional.empty();
    private Optional<String> forNow = Optional.empty();
    private Optional<String> stage = Optional.empty();
    private Optional<Vocabulary.Named> date = Optional.empty();
    private boolean finding;
    private boolean done;
    private boolean offCar;
    private int hands = 1;

    private CaptureLine(Vocabulary words, List<String> chosen) {
        this.words = words;
        this.chosen = chosen;
    }

    /**
     * What a line means.
     *
     * @param chosen the ids that were picked where {@link Captured.Asks} asked
     */
    public static Captured read(String line, Vocabulary words, List<String> chosen) {
        if (line.isBlank()) {
            return new Captured.NotUnderstood(
                    "Say a job, what holds one, or what you found: \"hang bias cable, cockpit, 40 min\".");
        }
        CaptureLine read = new CaptureLine(words, chosen);
        for (String phrase : BETWEEN.split(line.strip())) {
            if (!phrase.isBlank()) {
                read.take(phrase.strip());
            }
        }
        return read.meaning();
    }

    private static Pattern words(String regex) {
        return Pattern.compile(regex, Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CHARACTER_CLASS);
    }

    /** Takes in one phrase between commas. */
    private void take(String phrase) {
        Matcher found = FOUND.matcher(phrase);
        Matcher now = FOR_NOW.matcher(phrase);
        Matcher hold = HELD.matcher(phrase);
        if (now.matches()) {
            forNow = Optional.of(now.group(1).strip());
        } else if (hold.matches()) {
            held = Optional.of(hold.group(1).strip());
        } else if (found.matches()) {
            finding = true;
            takeText(found.group(1).strip());
        } else if (!takeWord(phrase)) {
            takeText(phrase);
        }
    }

    /** Whether the whole phrase is one of the shop's words. */
    private boolean takeWord(String phrase) {
        Matcher needs = MORE.matcher(phrase);
        Matcher took = TOOK.matcher(phrase);
        Optional<Minutes> howLong = DurationText.read(took.matches() ? took.group(1) : phrase);
        Optional<Minutes> needed = needs.matches() ? DurationText.read(needs.group(1)) : Optional.empty();
        Matcher howMany = HANDS.matcher(phrase);
        if (DONE.matcher(phrase).matches()) {
            done = true;
        } else if (howLong.isPresent()) {
            time = howLong;
        } else if (needed.isPresent()) {
            more = needed;
        } else if (howMany.matches()) {
            hands = howMany.group(1) == null ? 1 : hands(howMany.group(1).toLowerCase(Locale.ROOT));
        } else if (OFF_CAR.matcher(phrase).matches()) {
            offCar = true;
        } else {
            return takeStage(phrase)
                    || takeZone(phrase)
                    || takePeople(phrase)
                    || takeSkills(phrase)
                    || takeDate(phrase);
        }
        return true;
    }

    private static int hands(String said) {
        return switch (said) {
            case "two" -> 2;
            case "three" -> 3;
            case "four" -> 4;
            default -> Integer.parseInt(said);
        };
    }

    private boolean takeZone(String phrase) {
        Matcher place = PLACE.matcher(phrase);
        Optional<Zone> is = place.matches() ? zone(place.group(1)) : Optional.empty();
        zone = is.or(() -> zone);
        return is.isPresent();
    }

    private boolean takePeople(String phrase) {
        Matcher by = BY.matcher(phrase);
        String who = !by.matches() ? phrase : by.group(1) != null ? by.group(1) : by.group(2);
        List<Vocabulary.Named> all = new ArrayList<>();
        for (String name : who.split("(?i)\\s+and\\s+")) {
            List<Vocabulary.Named> is = words.people().stream()
                    .filter(p -> p.name().equalsIgnoreCase(name.strip()))
                    .toList();
            if (is.size() != 1) {
                return false;
            }
            all.addAll(is);
        }
        return people.addAll(all);
    }

    private boolean takeSkills(String phrase) {
        List<Optional<String>> all =
                Arrays.stream(phrase.split("(?i)\\s+and\\s+")).map(words::skill).toList();
        if (all.stream().anyMatch(Optional::isEmpty)) {
            return false;
        }
        return skills.addAll(all.stream().flatMap(Optional::stream).toList());
    }

    private boolean takeDate(String phrase) {
        Matcher of = FOR.matcher(phrase);
        List<Vocabulary.Named> dates =
                of.matches() ? Vocabulary.meant(of.group(1), words.dates(), Vocabulary.Named::name) : List.of();
        date = dates.size() == 1 ? Optional.of(dates.get(0)) : date;
        return dates.size() == 1;
    }

    private boolean takeStage(String phrase) {
        Optional<String> is =
                words.stages().stream().filter(phrase::equalsIgnoreCase).findFirst();
        stage = is.or(() -> stage);
        return is.isPresent();
    }

    private void takeText(String phrase) {
        Matcher timed = TIME_AT_END.matcher(phrase);
        Optional<Minutes> howLong = timed.matches() ? DurationText.read(timed.group(2)) : Optional.empty();
        if (howLong.isPresent()) {
            time = howLong;
            if (!takeWord(timed.group(1))) {
                texts.add(timed.group(1));
            }
        } else if (!phrase.isBlank()) {
            texts.add(phrase);
        }
    }

    private Captured meaning() {
        String name = String.join(", ", texts);
        if (forNow.isPresent()) {
            String what = Stream.concat(forNow.stream(), texts.stream())
                    .filter(t -> !t.isEmpty())
                    .reduce((a, b) -> a + ", " + b)
                    .orElse("");
            return what.isEmpty() ? new Captured.NotUnderstood("What was fitted for now?") : new Captured.ForNow(what);
        }
        if (held.isPresent()) {
            return held(name, held.get());
        }
        if (name.isEmpty()) {
            return done || more.isPresent()
                    ? which(nearest(), this::said, done ? "What is done?" : "What needs more time?")
                    : new Captured.NotUnderstood("What is the job? Only where, who or how long was said.");
        }
        List<Vocabulary.Named> known = Vocabulary.meant(name, words.jobs(), Vocabulary.Named::name);
        if (more.isPresent()) {
            return known.isEmpty()
                    ? new Captured.NotUnderstood("No open job of this car is called \"" + name + "\".")
                    : which(known, this::said, "Which one needs more time?");
        }
        return done && !finding && !known.isEmpty() ? which(known, this::said, "Which one is done?") : job(name);
    }

    private Captured said(Vocabulary.Named job) {
        return more.isPresent() ? new Captured.NeedsMore(job, more.get()) : new Captured.Finished(job, people, time);
    }

    private Captured job(String name) {
        String first = name.substring(0, 1).toUpperCase(Locale.ROOT) + name.substring(1);
        int all = Math.max(hands, skills.size());
        return new Captured.NewJob(
                first,
                zone,
                offCar,
                time.orElse(UNSAID),
                time.isPresent(),
                skills,
                all,
                people,
                stage,
                date,
                finding,
                done);
    }

    /** What is meant of several: the one, the one that was chosen, or a question. */
    private Captured which(
            List<Vocabulary.Named> jobs, java.util.function.Function<Vocabulary.Named, Captured> meaning, String asks) {
        if (jobs.isEmpty()) {
            return new Captured.NotUnderstood("There is no open work on this car.");
        }
        return jobs.stream()
                .filter(j -> jobs.size() == 1 || chosen.contains(j.id()))
                .findFirst()
                .map(meaning)
                .orElseGet(() -> new Captured.Asks(asks, jobs));
    }

    private List<Vocabulary.Named> nearest() {
        return words.nearest().stream()
                .flatMap(id -> words.jobs().stream().filter(j -> j.id().equals(id)))
                .toList();
    }

    private Captured held(String job, String by) {
        Matcher reasoned = REASON.matcher(by);
        if (reasoned.matches()) {
            Optional<ReasonTag> tag = Arrays.stream(ReasonTag.values())
                    .filter(t -> t.name().equalsIgnoreCase(reasoned.group(1)))
                    .findFirst();
            return tag.isPresent()
                    ? held(job, tag.get(), reasoned.group(2).strip())
                    : new Captured.NotUnderstood("\"" + reasoned.group(1) + "\" is no reason for a hold. Say one of "
                            + String.join(
                                    ", ",
                                    Arrays.stream(ReasonTag.values())
                                            .map(t -> t.name().toLowerCase(Locale.ROOT))
                                            .toList())
                            + ".");
        }
        String plain = by.replaceFirst("(?i)^(?:for |by )?(?:the |an? )?", "").strip();
        if (plain.isEmpty()) {
            return new Captured.NotUnderstood("What holds it? A part, a decision, a second hand …");
        }
        return REASONS.entrySet().stream()
                .filter(e -> plain.toLowerCase(Locale.ROOT).startsWith(e.getKey()))
                .findFirst()
                .map(e -> held(job, e.getValue(), plain))
                .orElseGet(() -> held(job, ReasonTag.PART, plain));
    }

    private Captured held(String job, ReasonTag reason, String note) {
        List<Vocabulary.Part> parts =
                reason == ReasonTag.PART ? Vocabulary.meant(note, words.parts(), Vocabulary.Part::name) : List.of();
        Optional<Vocabulary.Part> part = parts.stream()
                .filter(p -> parts.size() == 1 || chosen.contains(p.id()))
                .findFirst();
        if (part.isEmpty() && !parts.isEmpty()) {
            return new Captured.Asks(
                    "Which part?",
                    parts.stream()
                            .map(p -> new Vocabulary.Named(p.id(), p.name()))
                            .toList());
        }
        return which(
                heldJobs(job, reason, note, part),
                j -> new Captured.Held(j, reason, note, part),
                "Which job waits for it?");
    }

    /** Whose hold it could be: the job that is named; else those that need the part; else what the words remind of. */
    private List<Vocabulary.Named> heldJobs(String job, ReasonTag reason, String note, Optional<Vocabulary.Part> part) {
        if (!job.isEmpty()) {
            List<Vocabulary.Named> named = Vocabulary.meant(job, words.jobs(), Vocabulary.Named::name);
            return named.isEmpty() ? words.jobs() : named;
        }
        List<Vocabulary.Named> needing = part.map(p -> words.jobs().stream()
                        .filter(j -> p.neededBy().contains(j.id()))
                        .toList())
                .orElse(List.of());
        if (!needing.isEmpty()) {
            return needing;
        }
        List<Vocabulary.Named> named =
                reason == ReasonTag.PART ? Vocabulary.meant(note, words.jobs(), Vocabulary.Named::name) : List.of();
        return named.isEmpty() ? nearest() : named;
    }

    /** A zone by its name; a hyphen, an underscore or the first letters will do. */
    public static Optional<Zone> zone(String word) {
        String wanted = word.strip().toUpperCase(Locale.ROOT).replace('-', '_').replace(' ', '_');
        return wanted.length() < 2
                ? Optional.empty()
                : Arrays.stream(Zone.values())
                        .filter(z -> z.name().startsWith(wanted))
                        .findFirst();
    }
}
