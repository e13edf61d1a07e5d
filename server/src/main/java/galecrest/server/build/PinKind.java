package galecrest.server.build;

enum PinKind {
    PERSON,
    STATION,
    NOT_BEFORE,
    AFTER,
    EXACTLY
}
