package galecrest.core.tyre;

/**
 * What a class allows at an event, and how the house uses a set.
 *
 * @param mostSets dry sets that may be used
 * @param mostNew of these, sets that were never run
 * @param uses sessions that one set serves at most; 1 to 4
 */
public record TyreRules(int mostSets, int mostNew, int uses) {
    public TyreRules {
        if (mostSets < 1 || mostNew < 0 || uses < 1 || uses > 4) {
            throw new IllegalArgumentException("A class allows 1 set or more, and a set serves 1 to 4 sessions.");
        }
    }
}
