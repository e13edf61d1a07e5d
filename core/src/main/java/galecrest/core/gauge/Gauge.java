package galecrest.core.gauge;

import java.util.List;

/** Measures, reckons or compares: takes what was measured, computes, judges, and says what to do about it. */
public interface Gauge {
    /** What it is called in the shell and over HTTP: small letters with hyphens. */
    String name();

    /** What it is called on screen. */
    String title();

    /** What it is asked, in the order in which a form asks it. */
    List<GaugeField> fields();

    /** What a log says of an answer in a line: the figure that matters most. */
    default String headline(GaugeAnswer answer) {
        return answer.first().map(f -> f + " " + answer.said(f)).orElse(title());
    }

    /** What a sheet with this answer is called in the log. */
    default String titled(GaugeAnswer answer) {
        return title();
    }

    /**
     * The answer to a request.
     *
     * @throws WrongRequest with all that is wrong with it, by field
     */
    GaugeAnswer answer(GaugeRequest request);
}
