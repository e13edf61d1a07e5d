package galecrest.server.parts;

enum FitOutcome {
    FITS,
    NEEDS_ADAPTER,
    DOES_NOT_FIT,
    UNKNOWN
}
