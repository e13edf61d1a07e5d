package galecrest.core.mate;

/**
 * What kind of joint it is, how its sides are written and what to ask where one is unknown.
 */
public enum MateKind {
    THREAD(
            "thread",
            "M12×1.25 male, 3/4-16 female, -8 AN male",
            "Which thread: diameter and pitch, or dash size; male or female; which seat?"),
    BOLT_CIRCLE("bolt circle", "4x100 bore 57.1", "How many holes, on which circle, with which centre bore?"),
    SPLINE("spline", "23 x 28.5 male", "How many teeth, on which outside diameter; shaft or hub?"),
    BORE_AND_SHAFT(
            "bore and shaft",
            "bore 25.00..25.02, shaft 24.97..24.99",
            "Which diameter between which limits; bore or shaft?"),
    JOINT("joint size", "108 mm, outer", "Which joint goes on the end: its size, inner or outer?"),
    TUBE("tube", "1.75 x 0.095 in, 38 x 2", "Which outside diameter and wall?"),
    FLANGE(
            "flange",
            "2 bolts at 80, port 57; band 76",
            "How many bolts at which distance, or which band, and which port?"),
    PLUG("plug", "SL 6-way male", "Which family, how many ways, pins or sockets?"),
    VOLTAGE("voltage", "12 V; takes 10..16 V", "Which voltage does it need, or give?"),
    ENVELOPE("clearance", "part 300x200x150; room 320x220x160", "Which room does it need: length, width, height?");

    private final String said;
    private final String example;
    private final String question;

    MateKind(String said, String example, String question) {
        this.said = said;
        this.example = example;
        this.question = question;
    }

    public String label() {
        return said;
    }

    public String example() {
        return example;
    }

    public String question() {
        return question;
    }
}
