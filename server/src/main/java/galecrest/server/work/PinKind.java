package galecrest.server.work;

enum PinKind {
    PERSON,
    STATION,
    NOT_BEFORE,
    AFTER,
    EXACTLY
}
