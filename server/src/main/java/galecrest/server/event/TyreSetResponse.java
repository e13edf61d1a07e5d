package galecrest.server.event;

import galecrest.core.tyre.TyreSet;

/** A set of tyres. */
record TyreSetResponse(
        String id, String buildId, String name, TyreSet.Kind kind, TyreSet.State state, int cycles, int version) {
    TyreSet set() {
        return new TyreSet(id, name, kind, state, cycles);
    }
}
