package galecrest.server.purchasing;

enum DeskKind {
    PART,
    OUTWORK
}
