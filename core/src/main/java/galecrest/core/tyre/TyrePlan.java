package galecrest.core.tyre;

import java.util.List;

/**
 * Which set serves which session.
 *
 * @param served in the order of the sessions
 * @param scuff new sets whose first session is a race: to be run gently once before, as work
 * @param kept wet sets, kept back
 * @param why why there is no such plan, each in a sentence; empty where there is one
 */
public record TyrePlan(List<Served> served, List<TyreSet> scuff, List<TyreSet> kept, List<String> why) {
    /**
     * A session with its set.
     *
     * @param use the how-manieth session of this event it is for the set, from 1
     * @param locked whether somebody chose it by hand
     * @param because why this set, in words
     */
    public record Served(Session session, TyreSet set, int use, boolean locked, String because) {}

    public TyrePlan {
        served = List.copyOf(served);
        scuff = List.copyOf(scuff);
        kept = List.copyOf(kept);
        why = List.copyOf(why);
    }

    /** Whether every session has its set. */
    public boolean possible() {
        return why.isEmpty();
    }
}
