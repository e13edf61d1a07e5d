package galecrest.server.mate;

import galecrest.core.mate.MateKind;

public record MateKindView(MateKind kind, String said, String example) {}
