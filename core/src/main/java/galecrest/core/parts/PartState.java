package galecrest.core.parts;

import java.util.EnumSet;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/** Where a part line stands. Only what was accepted is here; what is fitted for now is, but must be made good. */
public enum PartState {
    WANTED,
    SPECIFIED,
    QUOTED,
    ORDERED,
    SHIPPED,
    ARRIVED,
    INSPECTED,
    ACCEPTED,
    FITTED,
    FITTED_FOR_NOW,
    REFUSED,
    RETURNED;

    private static final Set<PartState> OPEN = EnumSet.of(WANTED, SPECIFIED, QUOTED);
    private static final Set<PartState> HERE = EnumSet.of(ACCEPTED, FITTED, FITTED_FOR_NOW);

    public boolean here() {
        return HERE.contains(this);
    }

    /** Whether nothing has been ordered yet. */
    public boolean toOrder() {
        return OPEN.contains(this);
    }

    /** Whether it lies in the shop and waits to be looked over. */
    public boolean toInspect() {
        return this == ARRIVED || this == INSPECTED;
    }

    /** Whether it went, or must go, back: a date for another is not known. */
    public boolean turnedDown() {
        return this == REFUSED || this == RETURNED;
    }

    /**
     * Why a part cannot go from this state to that one; empty where it can. Any step back within what was not ordered,
     * and back to wanted, is allowed: people change their minds.
     *
     * @param own whether the customer brings it, so that nothing is ordered
     */
    public Optional<String> problem(PartState to, boolean own) {
        if (to == this || to == WANTED || to.toOrder() && !to.after(this)) {
            return Optional.empty();
        }
        Set<PartState> from =
                switch (to) {
                    case SPECIFIED, QUOTED -> OPEN;
                    case ORDERED -> EnumSet.of(WANTED, SPECIFIED, QUOTED, REFUSED, RETURNED, SHIPPED);
                    case SHIPPED -> own ? EnumSet.of(WANTED, ORDERED, ARRIVED) : EnumSet.of(ORDERED, ARRIVED);
                    case ARRIVED ->
                        own ? EnumSet.of(WANTED, ORDERED, SHIPPED, INSPECTED) : EnumSet.of(ORDERED, SHIPPED, INSPECTED);
                    case INSPECTED -> EnumSet.of(ARRIVED, ACCEPTED, REFUSED);
                    case ACCEPTED -> EnumSet.of(ARRIVED, INSPECTED, FITTED, FITTED_FOR_NOW, REFUSED);
                    case REFUSED -> EnumSet.of(ARRIVED, INSPECTED, ACCEPTED, FITTED, FITTED_FOR_NOW);
                    case FITTED, FITTED_FOR_NOW -> EnumSet.of(ACCEPTED, FITTED, FITTED_FOR_NOW);
                    case RETURNED -> EnumSet.of(REFUSED, ACCEPTED, ARRIVED, INSPECTED);
                    case WANTED -> EnumSet.allOf(PartState.class);
                };
        return from.contains(this)
                ? Optional.empty()
                : Optional.of("A part that is " + label() + " cannot be " + to.label() + " next" + hint(to) + ".");
    }

    private boolean after(PartState other) {
        return compareTo(other) > 0;
    }

    private static String hint(PartState to) {
        return switch (to) {
            case ARRIVED, SHIPPED -> "; order it first";
            case FITTED, FITTED_FOR_NOW -> "; accept it first";
            case ACCEPTED, REFUSED, INSPECTED -> "; it has not arrived";
            default -> "";
        };
    }

    /** In the shop's words. */
    public String label() {
        return name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }
}
