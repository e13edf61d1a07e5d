package galecrest.core.sheet;

import galecrest.core.build.Zone;
import galecrest.core.time.DurationText;
import galecrest.core.time.Minutes;
import galecrest.core.work.ReasonTag;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/** What a captured line means; each says it in a sentence, before anything is written. */
public sealed interface Captured {

    /** In the shop's words. */
    String said();

    /**
     * A job to add.
     *
     * @param time what it takes; an hour where {@code timeSaid} is not
     * @param offCar whether it is done on the bench
     * @param skills one a hand; empty where the usual one is meant
     * @param hands how many do it together
     * @param people who is asked to do it, or did it
     * @param date the date of the car that it is for
     * @param finding whether it was found on the car rather than planned
     * @param done whether it has been done already
     */
    record NewJob(
            String name,
            Optional<Zone> zone,
            boolean offCar,
            Minutes time,
            boolean timeSaid,
            List<String> skills,
            int hands,
            List<Vocabulary.Named> people,
            Optional<String> stage,
            Optional<Vocabulary.Named> date,
            boolean finding,
            boolean done)
            implements Captured {
        public NewJob {
            skills = List.copyOf(skills);
            people = List.copyOf(people);
        }

        /** A job that puts right what was found. */
        public static NewJob found(String what, Optional<Zone> zone, Minutes time, String skill) {
            return new NewJob(
                    what,
                    zone,
                    false,
                    time,
                    true,
                    List.of(skill),
                    1,
                    List.of(),
                    Optional.empty(),
                    Optional.empty(),
                    true,
                    false);
        }

        /** The same, as something that was found. */
        public NewJob asFinding() {
            return new NewJob(name, zone, offCar, time, timeSaid, skills, hands, people, stage, date, true, done);
        }

        @Override
        public String said() {
            List<String> said = new ArrayList<>();
            said.add((finding ? "Found: " : done ? "Done: " : "New job: ") + name);
            zone.ifPresent(z -> said.add(word(z.name())));
            if (offCar) {
                said.add("off the car");
            }
            said.add(timeSaid ? DurationText.of(time) : done ? "no hours said" : "1 h assumed");
            if (!skills.isEmpty()) {
                said.add("needs " + String.join(" and ", skills));
            }
            if (hands > 1) {
                said.add(hands + " hands");
            }
            if (!people.isEmpty()) {
                said.add((done ? "by " : "asked of ") + names(people));
            }
            stage.ifPresent(s -> said.add("stage " + s));
            date.ifPresent(d -> said.add("for " + d.name()));
            return String.join("; ", said) + ".";
        }
    }

    /** A job of the car that is done; by whoever writes it where nobody is named. */
    record Finished(Vocabulary.Named job, List<Vocabulary.Named> people, Optional<Minutes> took) implements Captured {
        public Finished {
            people = List.copyOf(people);
        }

        @Override
        public String said() {
            return "Done: " + job.name() + (people.isEmpty() ? "" : ", by " + names(people))
                    + took.map(t -> ", " + DurationText.of(t)).orElse("") + ".";
        }
    }

    /** A job that needs so much more. */
    record NeedsMore(Vocabulary.Named job, Minutes more) implements Captured {
        @Override
        public String said() {
            return job.name() + " needs " + DurationText.of(more) + " more.";
        }
    }

    /**
     * A job is held.
     *
     * @param part the line of the part that holds it; empty where it is no part, or one that is on no list yet
     */
    record Held(Vocabulary.Named job, ReasonTag reason, String note, Optional<Vocabulary.Part> part)
            implements Captured {
        @Override
        public String said() {
            String what = reason == ReasonTag.PART
                    ? part.map(p -> "waits for " + p.name())
                            .orElse("waits for " + note + ", a new line on the Desk with no date yet")
                    : note;
            return "Held: " + job.name() + ", " + what + ".";
        }
    }

    /** Something was fitted that must be made good. */
    record ForNow(String what) implements Captured {
        @Override
        public String said() {
            return "Fitted for now: " + what + ", to be made good before the event.";
        }
    }

    /** Two or more things could be meant. */
    record Asks(String question, List<Vocabulary.Named> choices) implements Captured {
        public Asks {
            choices = List.copyOf(choices);
        }

        @Override
        public String said() {
            return question;
        }
    }

    /** The line cannot be understood, and why. */
    record NotUnderstood(String why) implements Captured {
        @Override
        public String said() {
            return why;
        }
    }

    private static String names(List<Vocabulary.Named> people) {
        return people.stream().map(Vocabulary.Named::name).collect(Collectors.joining(" and "));
    }

    private static String word(String code) {
        return code.toLowerCase(Locale.ROOT).replace('_', ' ');
    }
}
