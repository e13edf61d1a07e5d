package galecrest.server.parts;

enum DeskKind {
    PART,
    OUTWORK
}
