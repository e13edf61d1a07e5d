package galecrest.core.parts;

/** Where a part line stands. Only an accepted or fitted part is here. */
public enum PartState {
    WANTED,
    ORDERED,
    SHIPPED,
    ARRIVED,
    ACCEPTED,
    FITTED,
    REFUSED;

    public boolean here() {
        return this == ACCEPTED || this == FITTED;
    }
}
