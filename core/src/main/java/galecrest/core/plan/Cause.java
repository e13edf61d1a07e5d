package galecrest.core.plan;

/** What bound a start, as numbers: kinds of {@link Because}, made into one by {@link Reasons} when a plan is done. */
final class Cause {
    static final int NOTHING = 0;
    static final int SHIFT = 1;
    /** {@code ref}: the bound of the node. */
    static final int BOUND = 2;
    /** {@code ref}: the arc before the node. */
    static final int AFTER = 3;
    /** {@code ref}: the work; {@code aux}: the pool. */
    static final int PERSON_BUSY = 4;
    /** {@code ref}: the person. */
    static final int PERSON_AWAY = 5;
    /** {@code ref}: the work; {@code aux}: the station. */
    static final int STATION_TAKEN = 6;
    /** {@code ref}: the work whose claim on the car is in the way; {@code aux}: how it holds the car. */
    static final int CAR_CLAIMED = 7;
    /** {@code ref}: the work. */
    static final int ZONE_FULL = 8;

    static final int SLOT = 9;
    static final int PINNED = 10;
    static final int TOLD = 11;
    /** Of an exact start only: the instant is over. */
    static final int PASSED = 12;
    /** {@code ref}: the work that this would cure into. */
    static final int CURES_INTO = 13;

    /** {@code ref}: the vendor; {@code aux}: the work that it comes after, −1 for none. */
    static final int VENDOR_SHUT = 14;

    int kind;
    int ref;
    int aux;
    int until;

    void set(int someKind, int someRef, int someAux, int untilSlot) {
        kind = someKind;
        ref = someRef;
        aux = someAux;
        until = untilSlot;
    }

    void set(Cause other) {
        set(other.kind, other.ref, other.aux, other.until);
    }

    /** What somebody else could have done without: the weaker reason. */
    static boolean personal(int kind) {
        return kind == PERSON_BUSY || kind == PERSON_AWAY;
    }

    /** Whether the cause is that something limited is taken by other work, {@code ref}. */
    static boolean taken(int kind) {
        return kind == PERSON_BUSY || kind >= STATION_TAKEN && kind <= ZONE_FULL || kind == CURES_INTO;
    }
}
