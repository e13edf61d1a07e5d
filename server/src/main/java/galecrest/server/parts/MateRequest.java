package galecrest.server.parts;

import galecrest.core.mate.MateKind;

record MateRequest(String place, MateKind kind, String there, String comes) {}
