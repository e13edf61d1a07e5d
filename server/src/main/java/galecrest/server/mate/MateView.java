package galecrest.server.mate;

import galecrest.core.mate.MateKind;

/** A joint as written, and what comes of it. */
public record MateView(String place, MateKind kind, String carSide, String partSide, FitOutcome outcome, String said) {}
