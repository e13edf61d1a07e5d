package galecrest.core.gauge;

/** Measures, reckons or compares: takes what was measured, computes, judges, and says what to do about it. */
public interface Gauge {
    /** What it is called in the shell and over HTTP: small letters with hyphens. */
    String name();

    /** What it is called on screen. */
    String title();

    /** What a log says of an answer in a line: the figure that matters most. */
    default String headline(GaugeAnswer answer) {
        return answer.first().map(f -> f + " " + answer.said(f)).orElse(title());
    }

    /**
     * The answer to a request.
     *
     * @throws WrongRequest with all that is wrong with it, by field
     */
    GaugeAnswer answer(GaugeRequest request);
}
