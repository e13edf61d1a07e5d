package galecrest.core.mate;

import galecrest.core.mate.End.Seat;
import galecrest.core.mate.End.Sex;
import galecrest.core.units.Lengths;
import java.util.Optional;

/**
 * Judges whether two sides of a joint meet. It compares what was written down; what the makers say of their parts
 * comes first.
 */
public final class Mates {
    /** Sizes that differ by less are the same size, mm; common practice for nominal sizes. */
    private static final double SAME = 0.1;
    /** Room that is left around a part is tight below this, mm; common practice. */
    private static final double TIGHT = 5;

    private Mates() {}

    /** The verdict on the side that is there and the one that is to come; an empty side is unknown. */
    public static Verdict judge(MateKind kind, Optional<End> there, Optional<End> comes) {
        if (there.isEmpty() || comes.isEmpty()) {
            String which = there.isEmpty() && comes.isEmpty()
                    ? "of both sides"
                    : there.isEmpty() ? "of the car's side" : "of the new part";
            return new Verdict.Unknown(kind.question() + " (" + which + ")");
        }
        End a = there.get();
        End b = comes.get();
        if (a.kind() != kind || b.kind() != kind) {
            throw new IllegalArgumentException("Both sides of a " + kind.label() + " must be one.");
        }
        return switch (kind) {
            case THREAD -> threads((End.Threaded) a, (End.Threaded) b);
            case BOLT_CIRCLE -> circles((End.BoltCircle) a, (End.BoltCircle) b);
            case SPLINE -> splines((End.Spline) a, (End.Spline) b);
            case BORE_AND_SHAFT -> rounds((End.Round) a, (End.Round) b);
            case JOINT -> joints((End.Joint) a, (End.Joint) b);
            case TUBE -> tubes((End.Tube) a, (End.Tube) b);
            case FLANGE -> flanges((End.Flange) a, (End.Flange) b);
            case PLUG -> plugs((End.Plug) a, (End.Plug) b);
            case VOLTAGE -> voltages((End.Voltage) a, (End.Voltage) b);
            case ENVELOPE -> boxes((End.Box) a, (End.Box) b);
        };
    }

    private static Verdict threads(End.Threaded a, End.Threaded b) {
        boolean fittings = a.seat() != Seat.NONE || b.seat() != Seat.NONE;
        String from = named(a) + " to " + named(b);
        if (!a.size().sameAs(b.size())) {
            return fittings
                    ? new Verdict.NeedsAdapter(other(a) + " to " + other(b))
                    : new Verdict.DoesNotFit(from + ": " + a.size().differs(b.size()));
        }
        if (a.seat() != b.seat() && a.seat() != Seat.NONE && b.seat() != Seat.NONE) {
            return new Verdict.DoesNotFit(
                    "the threads meet, the seats do not: one is flared at 37°, the other at 45°, and they leak");
        }
        if (a.sex() == b.sex()) {
            return fittings
                    ? new Verdict.NeedsAdapter(other(a) + " to " + other(b))
                    : new Verdict.DoesNotFit(
                            "both are " + a.sex().label() + " " + a.size().name());
        }
        return new Verdict.Fits(a.size().name()
                + (fittings && a.seat() == Seat.NONE != (b.seat() == Seat.NONE)
                        ? ", but only one side names its seat: look at it"
                        : ""));
    }

    private static String named(End.Threaded end) {
        return end.size().name()
                + (end.seat() == Seat.FLARE_37
                        ? Threads.dashOf(end.size()).map(d -> " (−" + d + ")").orElse("")
                        : "")
                + " " + end.sex().label();
    }

    /** The end that an adapter must have to meet this one. */
    private static String other(End.Threaded end) {
        return named(new End.Threaded(end.size(), end.sex() == Sex.MALE ? Sex.FEMALE : Sex.MALE, end.seat()));
    }

    private static Verdict circles(End.BoltCircle a, End.BoltCircle b) {
        if (a.holes() != b.holes() || Math.abs(a.circle() - b.circle()) > SAME) {
            return new Verdict.NeedsAdapter(
                    "a plate from " + circle(a) + " to " + circle(b) + ", where the rules and the offset allow one");
        }
        double play = b.bore() - a.bore();
        if (a.bore() > 0 && b.bore() > 0 && play < -0.01) {
            return new Verdict.DoesNotFit("the bore is " + Lengths.say(-play) + " smaller than the hub");
        }
        if (a.bore() > 0 && b.bore() > 0 && play > SAME) {
            return new Verdict.NeedsAdapter(
                    "a centring ring from " + Lengths.say(a.bore()) + " to " + Lengths.say(b.bore()));
        }
        return new Verdict.Fits(circle(a));
    }

    private static String circle(End.BoltCircle c) {
        return c.holes() + " holes on " + Lengths.say(c.circle());
    }

    private static Verdict splines(End.Spline a, End.Spline b) {
        if (a.teeth() != b.teeth()) {
            return new Verdict.DoesNotFit(a.teeth() + " teeth against " + b.teeth());
        }
        if (Math.abs(a.outside() - b.outside()) > SAME) {
            return new Verdict.DoesNotFit(
                    "same teeth, the diameters differ by " + Lengths.say(Math.abs(a.outside() - b.outside())));
        }
        return a.sex() == b.sex()
                ? new Verdict.DoesNotFit("both are " + a.sex().label())
                : new Verdict.Fits(a.teeth() + " teeth on " + Lengths.say(a.outside()));
    }

    private static Verdict rounds(End.Round a, End.Round b) {
        if (a.sex() == b.sex()) {
            return new Verdict.DoesNotFit(a.sex() == Sex.MALE ? "both are shafts" : "both are bores");
        }
        End.Round bore = a.sex() == Sex.FEMALE ? a : b;
        End.Round shaft = a.sex() == Sex.FEMALE ? b : a;
        double least = bore.least() - shaft.most();
        double most = bore.most() - shaft.least();
        if (least >= 0) {
            return new Verdict.Fits("clearance " + Lengths.say(least) + " to " + Lengths.say(most));
        }
        return most <= 0
                ? new Verdict.Fits("interference " + Lengths.say(-most) + " to " + Lengths.say(-least)
                        + ": a press fit; is that meant?")
                : new Verdict.Fits("transition, " + Lengths.say(-least) + " tight to " + Lengths.say(most) + " loose");
    }

    private static Verdict joints(End.Joint a, End.Joint b) {
        if (!a.end().isEmpty() && !b.end().isEmpty() && !a.end().equals(b.end())) {
            return new Verdict.DoesNotFit("an " + b.end() + " joint cannot go on the " + a.end() + " end");
        }
        double off = b.size() - a.size();
        return Math.abs(off) <= SAME
                ? new Verdict.Fits("joint of " + Lengths.say(a.size()))
                : new Verdict.DoesNotFit(
                        "the joint is " + Lengths.say(Math.abs(off)) + (off > 0 ? " too large" : " too small"));
    }

    private static Verdict tubes(End.Tube a, End.Tube b) {
        if (Math.abs(a.outside() - b.outside()) > SAME) {
            return new Verdict.NeedsAdapter(
                    "a reducer from " + Lengths.say(a.outside()) + " to " + Lengths.say(b.outside()));
        }
        return new Verdict.Fits(Lengths.say(a.outside()) + " outside"
                + (a.wall() > 0 && b.wall() > 0 && Math.abs(a.wall() - b.wall()) > 0.05
                        ? ", but the walls differ by " + Lengths.say(Math.abs(a.wall() - b.wall()))
                        : ""));
    }

    private static Verdict flanges(End.Flange a, End.Flange b) {
        if (a.bolts() != b.bolts() || Math.abs(a.spacing() - b.spacing()) > 0.5) {
            return new Verdict.NeedsAdapter("a plate from " + flange(a) + " to " + flange(b));
        }
        return Math.abs(a.port() - b.port()) > 1
                ? new Verdict.DoesNotFit("the bolts meet, the ports differ by "
                        + Lengths.say(Math.abs(a.port() - b.port())) + ": a step in the flow")
                : new Verdict.Fits(flange(a));
    }

    private static String flange(End.Flange f) {
        return f.bolts() == 0
                ? "a band of " + Lengths.say(f.spacing())
                : f.bolts() + " bolts at " + Lengths.say(f.spacing());
    }

    private static Verdict plugs(End.Plug a, End.Plug b) {
        if (!a.family().equals(b.family())) {
            return new Verdict.NeedsAdapter(
                    "a pigtail from " + a.family() + " to " + b.family() + ", or another plug crimped on");
        }
        if (a.ways() != b.ways()) {
            return new Verdict.DoesNotFit(a.ways() + " ways against " + b.ways());
        }
        return a.sex() == b.sex()
                ? new Verdict.DoesNotFit(a.sex() == Sex.MALE ? "both have pins" : "both have sockets")
                : new Verdict.Fits(a.family() + " with " + a.ways() + " ways");
    }

    private static Verdict voltages(End.Voltage a, End.Voltage b) {
        if (a.sex() == b.sex()) {
            return new Verdict.DoesNotFit(
                    a.sex() == Sex.MALE
                            ? "both give a voltage; write \"takes " + volts(b) + "\" at the one that needs it"
                            : "both take a voltage, neither gives it");
        }
        End.Voltage takes = a.sex() == Sex.FEMALE ? a : b;
        End.Voltage gives = takes == a ? b : a;
        if (gives.least() >= takes.least() && gives.most() <= takes.most()) {
            return new Verdict.Fits("the supply stays within what it takes");
        }
        return new Verdict.NeedsAdapter("a converter: " + volts(gives) + " is given, " + volts(takes) + " is taken");
    }

    private static String volts(End.Voltage v) {
        return v.least() == v.most() ? v.least() + " V" : v.least() + " to " + v.most() + " V";
    }

    private static Verdict boxes(End.Box a, End.Box b) {
        if (a.sex() == b.sex()) {
            return new Verdict.Unknown("Which of the two is the room, which the part?");
        }
        End.Box room = a.sex() == Sex.FEMALE ? a : b;
        End.Box part = room == a ? b : a;
        double over = Math.max(part.a() - room.a(), Math.max(part.b() - room.b(), part.c() - room.c()));
        return over > 0
                ? new Verdict.DoesNotFit("it is " + Lengths.say(over) + " too large")
                : new Verdict.Fits(Lengths.say(-over) + " to spare at the tightest" + (-over < TIGHT ? ": tight" : ""));
    }
}
