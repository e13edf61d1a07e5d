package galecrest.server.mate;

enum FitOutcome {
    FITS,
    NEEDS_ADAPTER,
    DOES_NOT_FIT,
    UNKNOWN
}
