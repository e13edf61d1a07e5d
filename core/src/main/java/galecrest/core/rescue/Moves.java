package galecrest.core.rescue;

import galecrest.core.people.Level;
import galecrest.core.people.Person;
import galecrest.core.people.PersonId;
import galecrest.core.people.ShiftChange;
import galecrest.core.plan.ReasonText;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.time.Arrival;
import galecrest.core.time.Minutes;
import galecrest.core.work.Commitment;
import galecrest.core.work.CrewPlace;
import galecrest.core.work.Estimate;
import galecrest.core.work.Job;
import galecrest.core.work.Link;
import galecrest.core.work.Outwork;
import galecrest.core.work.RunningIn;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/** What moves change in a shop, what they are called, and what they ask of it. */
public final class Moves {
    /** Two hands take so much of the time of one; common practice. */
    private static final double TWO_HANDS = 0.6;
    /** The chance that a start at risk must be redone, where nobody has said; common practice. */
    private static final double RISK = 0.3;

    /** Why the other half of a pair is fitted alone, where its partner is gone on without. */
    public static final String HALF_GONE = "its other half is gone on without for now";

    private static final Duration WEEK = Duration.ofDays(7);

    private Moves() {}

    /** The shop as it would be with the move. */
    public static ShopSnapshot apply(ShopSnapshot shop, Move move) {
        if (move instanceof Move.Expedite m) {
            return shop.withParts(shop.parts().stream()
                    .map(p ->
                            p.id().equals(m.part()) ? p.withArrival(p.arrival().map(Moves::sooner)) : p)
                    .toList());
        } else if (move instanceof Move.AskEarlier m) {
            return works(shop, w -> w.id().equals(m.outwork()) && w instanceof Outwork o ? sooner(o) : w);
        } else if (move instanceof Move.ExtraShift m) {
            return shop.withPeople(shop.people().stream()
                    .map(p -> p.id().equals(m.person()) ? extra(p, m) : p)
                    .toList());
        } else if (move instanceof Move.SecondHand m) {
            return works(shop, w -> w.id().equals(m.job()) && w instanceof Job job ? secondHand(job) : w);
        } else if (move instanceof Move.StartAtRisk m) {
            return shop.withLinks(shop.links().stream()
                    .map(l -> l.id().equals(m.link()) ? atRisk(shop, l) : l)
                    .toList());
        } else if (move instanceof Move.InterimFix m) {
            return without(shop, m);
        } else if (move instanceof Move.LetFollow m) {
            return works(shop, w -> w.essential() || w.status() != Status.TODO ? w : notBefore(w, m.until()));
        } else if (move instanceof Move.Park m) {
            return works(
                    shop, w -> w.build().equals(m.build()) && w.status() == Status.TODO ? notBefore(w, m.until()) : w);
        }
        Move.SwapEvent m = (Move.SwapEvent) move;
        return shop.withCommitments(shop.commitments().stream()
                .map(c -> c.id().equals(m.commitment()) ? later(c) : c)
                .toList());
    }

    /** No job waits for the part, and its other half is fitted without it. */
    private static ShopSnapshot without(ShopSnapshot shop, Move.InterimFix move) {
        ShopSnapshot freed = shop.withParts(shop.parts().stream()
                .map(p -> p.pairedWith().filter(move.part()::equals).isPresent() ? p.freedFromPair(HALF_GONE) : p)
                .toList());
        return works(
                freed,
                w -> w instanceof Job job && job.parts().contains(move.part())
                        ? job.withParts(job.parts().stream()
                                .filter(p -> !p.equals(move.part()))
                                .toList())
                        : w);
    }

    private static ShopSnapshot works(ShopSnapshot shop, UnaryOperator<Work> change) {
        return shop.withWorks(shop.works().stream().map(change).toList());
    }

    private static Arrival sooner(Arrival arrival) {
        return new Arrival(arrival.low(), arrival.low(), arrival.likely());
    }

    private static Outwork sooner(Outwork outwork) {
        var days = outwork.turnaround();
        return outwork.withTiming(
                new Outwork.Turnaround(days.low(), days.low(), days.likely()),
                outwork.away().map(a -> new Outwork.Away(a.since(), sooner(a.back()))));
    }

    private static Person extra(Person person, Move.ExtraShift move) {
        List<ShiftChange> changes = new ArrayList<>(person.changes());
        changes.add(
                new ShiftChange(ShiftChange.Kind.EXTRA, move.day(), move.day(), move.from(), move.to(), "extra shift"));
        return new Person(person.id(), person.name(), person.skills(), person.shifts(), changes, person.costPerHour());
    }

    private static Job secondHand(Job job) {
        List<CrewPlace> crew = new ArrayList<>(job.crew());
        crew.add(new CrewPlace(crew.get(0).skill(), Level.LEARNER));
        Estimate e = job.estimate();
        return job.withCrew(crew, Estimate.ofMinutes(shared(e.low()), shared(e.likely()), shared(e.high())));
    }

    private static long shared(Minutes minutes) {
        return Math.max(5, Math.round(minutes.value() * TWO_HANDS));
    }

    private static Link atRisk(ShopSnapshot shop, Link link) {
        long rework = shop.works().stream()
                .filter(w -> w.id().equals(link.then()) && w instanceof Job)
                .mapToLong(w -> ((Job) w).estimate().likely().value() / 2)
                .findFirst()
                .orElse(60);
        return new Link(
                link.id(),
                link.first(),
                link.then(),
                link.type(),
                link.lag(),
                Optional.of(new Link.Risk(RISK, Minutes.of(rework))));
    }

    private static Work notBefore(Work work, Instant until) {
        Instant at = work.notBefore().filter(until::isBefore).orElse(until);
        if (work instanceof Job job) {
            return job.withNotBefore(at);
        } else if (work instanceof Outwork outwork) {
            return outwork.away().isPresent() ? outwork : outwork.withNotBefore(at);
        }
        return ((RunningIn) work).withNotBefore(at);
    }

    private static Commitment later(Commitment c) {
        return new Commitment(
                c.id(), c.build(), c.name(), c.kind(), c.due().plus(WEEK), c.gate(), c.works(), c.weight());
    }

    /** What the move asks of the shop beyond telling people, in hours of bother; a judgement, told beside each move. */
    public static double bother(ShopSnapshot shop, Move move) {
        if (move instanceof Move.ExtraShift m) {
            return Duration.between(m.from(), m.to()).toMinutes() / 60.0;
        } else if (move instanceof Move.SecondHand m) {
            return 1
                    + work(shop, m.job())
                            .map(j -> 0.2 * j.estimate().likely().hours())
                            .orElse(0.0);
        } else if (move instanceof Move.StartAtRisk m) {
            return shop.links().stream()
                    .filter(l -> l.id().equals(m.link()))
                    .mapToDouble(l -> 1
                            + RISK
                                    * work(shop, l.then())
                                            .map(j -> j.estimate().likely().hours() / 2)
                                            .orElse(1.0))
                    .sum();
        } else if (move instanceof Move.Park) {
            return 4;
        } else if (move instanceof Move.SwapEvent) {
            return 40;
        } else if (move instanceof Move.InterimFix) {
            return 3;
        }
        return move instanceof Move.LetFollow ? 1 : 2;
    }

    private static Optional<Job> work(ShopSnapshot shop, Object id) {
        return shop.works().stream()
                .filter(w -> w.id().equals(id) && w instanceof Job)
                .map(Job.class::cast)
                .findFirst();
    }

    /** The moves in words; the same extra shift of several people is said once. */
    public static List<String> say(ShopSnapshot shop, List<Move> moves) {
        Set<String> all = new LinkedHashSet<>();
        for (Move move : moves) {
            if (move instanceof Move.ExtraShift shift) {
                all.add(sayShift(
                        shop,
                        shift,
                        moves.stream()
                                .filter(m -> m instanceof Move.ExtraShift other
                                        && other.day().equals(shift.day())
                                        && other.from().equals(shift.from())
                                        && other.to().equals(shift.to()))
                                .map(m -> ((Move.ExtraShift) m).person())
                                .toList()));
            } else {
                all.add(say(shop, move));
            }
        }
        return List.copyOf(all);
    }

    private static String sayShift(ShopSnapshot shop, Move.ExtraShift shift, List<PersonId> people) {
        ReasonText words = new ReasonText(shop);
        Instant from = shift.day().atTime(shift.from()).atZone(shop.zone()).toInstant();
        return "An extra shift for "
                + people.stream().map(words::person).collect(Collectors.joining(" and ")) + ", " + words.day(from)
                + ", " + shift.from() + " to " + shift.to();
    }

    private static String say(ShopSnapshot shop, Move move) {
        ReasonText words = new ReasonText(shop);
        if (move instanceof Move.Expedite m) {
            return "Have " + words.part(m.part()) + " sent express, or fetch it";
        } else if (move instanceof Move.AskEarlier m) {
            return "Ask for " + words.work(m.outwork()) + " to be done sooner, at its best time";
        } else if (move instanceof Move.SecondHand m) {
            return "Lend a second hand to " + words.work(m.job());
        } else if (move instanceof Move.StartAtRisk m) {
            Link link = shop.links().stream()
                    .filter(l -> l.id().equals(m.link()))
                    .findFirst()
                    .orElseThrow();
            return "Start " + words.work(link.then()) + " at risk, before " + words.work(link.first()) + " is certain";
        } else if (move instanceof Move.InterimFix m) {
            return "Go on without " + words.part(m.part()) + " for now, to be made good later";
        } else if (move instanceof Move.LetFollow m) {
            return "Let all that can follow wait until " + words.time(m.until());
        } else if (move instanceof Move.Park m) {
            return "Leave " + words.build(m.build()) + " alone until " + words.time(m.until());
        }
        Move.SwapEvent m = (Move.SwapEvent) move;
        return "Go a week later in place of "
                + shop.commitments().stream()
                        .filter(c -> c.id().equals(m.commitment()))
                        .map(Commitment::name)
                        .findFirst()
                        .orElse("this");
    }
}
