package galecrest.core.mate;

import galecrest.core.mate.End.Seat;
import galecrest.core.mate.End.Sex;
import galecrest.core.units.Lengths;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads the sides of joints as people write them. */
public final class JointSideParser {
    /** Longer than any side that somebody writes; what is read is read in no time then. */
    private static final int LONGEST = 200;

    private static final String COUNT = "(\\d{1,4})";
    private static final String NUMBER = "(\\d{1,9}(?:[.,]\\d{1,9})?)";
    private static final Pattern CIRCLE =
            Pattern.compile(COUNT + "\\s*[x×]\\s*" + NUMBER + "\\s*(mm|in)?(?:[, ]+bore\\s*" + NUMBER + ")?");
    private static final Pattern TWO = Pattern.compile(COUNT + "\\s*[x×]\\s*" + NUMBER + "\\s*(mm|in)?");
    private static final Pattern LIMITS = Pattern.compile(NUMBER + "\\s*(?:\\.\\.|to|–)\\s*" + NUMBER);
    private static final Pattern PLUS_MINUS = Pattern.compile(NUMBER + "\\s*(?:±|\\+/-)\\s*" + NUMBER);
    private static final Pattern BOLTS =
            Pattern.compile(COUNT + "\\s*bolts?\\s*(?:at)?\\s*" + NUMBER + "[, ]+port\\s*" + NUMBER);
    private static final Pattern BAND = Pattern.compile("band\\s*" + NUMBER);
    private static final Pattern WAYS = Pattern.compile("(\\S.*?)[, ]+" + COUNT + "[- ]?ways?");
    private static final Pattern BOX =
            Pattern.compile(NUMBER + "\\s*[x×]\\s*" + NUMBER + "\\s*[x×]\\s*" + NUMBER + "\\s*(mm|in)?");

    private JointSideParser() {}

    /** A text that is not a side of such a joint. */
    public static final class Unreadable extends IllegalArgumentException {
        private static final long serialVersionUID = 1;

        Unreadable(MateKind kind, String text, String hint) {
            super("\"" + text + "\" is not read as a " + kind.label() + ": " + hint + " For instance: " + kind.example()
                    + ".");
        }
    }

    /**
     * The side that a text describes; empty where the text is, or says that it is unknown.
     *
     * @throws Unreadable where it says something else
     */
    public static Optional<End> read(MateKind kind, String text) {
        if (text.length() > LONGEST) {
            throw new Unreadable(kind, text.substring(0, 20) + "…", "it has more than " + LONGEST + " characters.");
        }
        String said = text.strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", " ");
        if (said.isEmpty() || said.equals("?") || said.equals("unknown")) {
            return Optional.empty();
        }
        return Optional.of(
                switch (kind) {
                    case THREAD -> thread(text, said);
                    case BOLT_CIRCLE -> circle(text, said);
                    case SPLINE -> spline(text, said);
                    case BORE_AND_SHAFT -> round(text, said);
                    case JOINT -> joint(text, said);
                    case TUBE -> tube(text, said);
                    case FLANGE -> flange(text, said);
                    case PLUG -> plug(text, said);
                    case VOLTAGE -> voltage(text, said);
                    case ENVELOPE -> box(text, said);
                });
    }

    private static End thread(String text, String said) {
        Sex sex = sex(said).orElseThrow(() -> new Unreadable(MateKind.THREAD, text, "say male or female."));
        String rest = without(said, "male|female|37°?|45°?|flare|seat|ext\\.?|int\\.?");
        ThreadSize size = Threads.read(rest)
                .orElseThrow(() -> new Unreadable(MateKind.THREAD, text, "the tables have no such thread."));
        Seat seat = said.contains("45")
                ? Seat.FLARE_45
                : said.contains("37") || rest.startsWith("-") ? Seat.FLARE_37 : Seat.NONE;
        return new End.Threaded(size, sex, seat);
    }

    private static End circle(String text, String said) {
        Matcher m = CIRCLE.matcher(said);
        if (!m.matches()) {
            throw new Unreadable(MateKind.BOLT_CIRCLE, text, "holes, circle and centre bore are wanted.");
        }
        return new End.BoltCircle(
                Integer.parseInt(m.group(1)),
                number(m.group(2)) * unit(m.group(3)),
                m.group(4) == null ? 0 : number(m.group(4)));
    }

    private static End spline(String text, String said) {
        Sex sex = sex(said).orElseThrow(() -> new Unreadable(MateKind.SPLINE, text, "say male or female."));
        Matcher m = TWO.matcher(without(said, "male|female|shaft|hub"));
        if (!m.matches()) {
            throw new Unreadable(MateKind.SPLINE, text, "teeth and outside diameter are wanted.");
        }
        return new End.Spline(Integer.parseInt(m.group(1)), number(m.group(2)) * unit(m.group(3)), sex);
    }

    private static End round(String text, String said) {
        boolean bore = said.startsWith("bore");
        if (!bore && !said.startsWith("shaft")) {
            throw new Unreadable(MateKind.BORE_AND_SHAFT, text, "begin with bore or shaft.");
        }
        double[] limits = limits(
                        said.replaceFirst("bore|shaft", "").replace("mm", "").strip())
                .orElseThrow(() -> new Unreadable(MateKind.BORE_AND_SHAFT, text, "both limits are wanted."));
        return new End.Round(limits[0], limits[1], bore ? Sex.FEMALE : Sex.MALE);
    }

    private static Optional<double[]> limits(String said) {
        Matcher two = LIMITS.matcher(said);
        if (two.matches() && number(two.group(1)) <= number(two.group(2))) {
            return Optional.of(new double[] {number(two.group(1)), number(two.group(2))});
        }
        Matcher about = PLUS_MINUS.matcher(said);
        if (about.matches()) {
            double middle = number(about.group(1));
            double play = number(about.group(2));
            return Optional.of(new double[] {middle - play, middle + play});
        }
        return Optional.empty();
    }

    private static End joint(String text, String said) {
        String end = said.contains("inner") ? "inner" : said.contains("outer") ? "outer" : "";
        double size = Lengths.millimetres(without(said, "inner|outer|joint|,"))
                .filter(x -> x > 0)
                .orElseThrow(() -> new Unreadable(MateKind.JOINT, text, "a size in mm or in is wanted."));
        return new End.Joint(size, end);
    }

    private static End tube(String text, String said) {
        boolean inches = said.endsWith("in") || said.endsWith("\"");
        String[] sizes = said.replaceAll("(in|mm|\")$", "").strip().split("\\s*[x×]\\s*", -1);
        double factor = inches ? 25.4 : 1;
        Optional<Double> outside = Lengths.millimetres(sizes[0]).map(x -> x * factor);
        Optional<Double> wall =
                sizes.length > 1 ? Lengths.millimetres(sizes[1]).map(x -> x * factor) : Optional.of(0.0);
        if (sizes.length > 2 || outside.isEmpty() || wall.isEmpty() || !(outside.get() > 2 * wall.get())) {
            throw new Unreadable(
                    MateKind.TUBE, text, "outside diameter and wall are wanted, the wall under half of it.");
        }
        return new End.Tube(outside.get(), wall.get());
    }

    private static End flange(String text, String said) {
        Matcher bolts = BOLTS.matcher(said);
        if (bolts.matches()) {
            return new End.Flange(Integer.parseInt(bolts.group(1)), number(bolts.group(2)), number(bolts.group(3)));
        }
        Matcher band = BAND.matcher(said);
        if (band.matches()) {
            return new End.Flange(0, number(band.group(1)), number(band.group(1)));
        }
        throw new Unreadable(MateKind.FLANGE, text, "bolts, their distance and the port are wanted, or a band size.");
    }

    private static End plug(String text, String said) {
        Sex sex = said.matches(".*\\b(female|sockets?)\\b.*")
                ? Sex.FEMALE
                : sex(said.replaceAll("pins?", "male"))
                        .orElseThrow(() -> new Unreadable(MateKind.PLUG, text, "say pins (male) or sockets (female)."));
        Matcher m = WAYS.matcher(without(said, "male|female|pins?|sockets?"));
        if (!m.matches()) {
            throw new Unreadable(MateKind.PLUG, text, "family and ways are wanted.");
        }
        return new End.Plug(m.group(1).toUpperCase(Locale.ROOT), Integer.parseInt(m.group(2)), sex);
    }

    private static End voltage(String text, String said) {
        boolean takes = said.startsWith("takes") || said.startsWith("needs");
        String rest = without(said, "takes|needs|gives|volts?|v");
        double[] limits = limits(rest)
                .or(() -> rest.matches(NUMBER)
                        ? Optional.of(new double[] {number(rest), number(rest)})
                        : Optional.empty())
                .orElseThrow(() -> new Unreadable(MateKind.VOLTAGE, text, "a voltage or its limits are wanted."));
        return new End.Voltage(limits[0], limits[1], takes ? Sex.FEMALE : Sex.MALE);
    }

    private static End box(String text, String said) {
        boolean room = said.startsWith("room") || said.startsWith("space");
        Matcher m = BOX.matcher(said.replaceFirst("^(room|space|part)", "").strip());
        if (!m.matches()) {
            throw new Unreadable(MateKind.ENVELOPE, text, "length, width and height are wanted.");
        }
        double unit = unit(m.group(4));
        double[] sides = {number(m.group(1)) * unit, number(m.group(2)) * unit, number(m.group(3)) * unit};
        Arrays.sort(sides);
        return new End.Box(sides[2], sides[1], sides[0], room ? Sex.FEMALE : Sex.MALE);
    }

    private static Optional<Sex> sex(String said) {
        return said.matches(".*\\bfemale\\b.*")
                ? Optional.of(Sex.FEMALE)
                : said.matches(".*\\bmale\\b.*") ? Optional.of(Sex.MALE) : Optional.empty();
    }

    private static String without(String said, String words) {
        return said.replaceAll("(?<![\\w/.])(?:" + words + ")(?![\\w/])", "")
                .replaceAll("\\s+", " ")
                .replaceAll("[, ]+$", "")
                .strip();
    }

    private static double unit(String name) {
        return "in".equals(name) ? 25.4 : 1;
    }

    private static double number(String text) {
        return Double.parseDouble(text.replace(',', '.'));
    }
}
