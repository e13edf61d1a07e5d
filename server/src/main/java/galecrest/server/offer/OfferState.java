package galecrest.server.offer;

/** What became of an offer. */
enum OfferState {
    /** Nobody has said anything yet. */
    OPEN,
    /** To be looked at later. */
    KEPT,
    TAKEN,
    DISMISSED
}
