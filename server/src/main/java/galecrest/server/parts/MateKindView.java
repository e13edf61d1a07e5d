package galecrest.server.parts;

import galecrest.core.mate.MateKind;

record MateKindView(MateKind kind, String said, String example) {}
