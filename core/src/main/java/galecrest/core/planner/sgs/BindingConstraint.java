package galecrest.core.planner.sgs;

import galecrest.core.plan.Because;
import galecrest.core.planner.result.ReasonBuilder;

/** What bound a start, as numbers: kinds of {@link Because}, made into one by {@link ReasonBuilder} when a plan is done. */
public final class BindingConstraint {
    /** What it is that binds; each says what {@code ref} and {@code aux} number. */
    public enum Kind {
        NOTHING,
        SHIFT,
        /** {@code ref}: the bound of the node. */
        BOUND,
        /** {@code ref}: the arc before the node. */
        AFTER,
        /** {@code ref}: the work; {@code aux}: the pool. */
        PERSON_BUSY,
        /** {@code ref}: the person. */
        PERSON_AWAY,
        /** {@code ref}: the work; {@code aux}: the station. */
        STATION_TAKEN,
        /** {@code ref}: the work whose claim on the car is in the way; {@code aux}: how it holds the car. */
        CAR_CLAIMED,
        /** {@code ref}: the work. */
        ZONE_FULL,

        SLOT,
        PINNED,
        TOLD,
        /** Of an exact start only: the instant is over. */
        PASSED,
        /** {@code ref}: the work that this would cure into. */
        CURES_INTO,

        /** {@code ref}: the date that the car is away at, −1 where it is one of the car's; {@code aux}: the station, −1 for the car. */
        AT_DATE,

        /** {@code ref}: the vendor; {@code aux}: the work that it comes after, −1 for none. */
        VENDOR_SHUT;

        /** What somebody else could have done without: the weaker reason. */
        public boolean personal() {
            return this == PERSON_BUSY || this == PERSON_AWAY;
        }

        /** Whether something limited is taken by other work, {@code ref}. */
        public boolean taken() {
            return switch (this) {
                case PERSON_BUSY, STATION_TAKEN, CAR_CLAIMED, ZONE_FULL, CURES_INTO -> true;
                default -> false;
            };
        }
    }

    /** What binds. */
    public Kind kind = Kind.NOTHING;
    /** Its number, as the kind says. */
    public int ref;
    /** A second number, as the kind says. */
    public int aux;
    /** The slot up to which it binds. */
    public int until;

    void set(Kind someKind, int someRef, int someAux, int untilSlot) {
        kind = someKind;
        ref = someRef;
        aux = someAux;
        until = untilSlot;
    }

    void set(BindingConstraint other) {
        set(other.kind, other.ref, other.aux, other.until);
    }
}
