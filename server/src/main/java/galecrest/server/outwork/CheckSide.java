package galecrest.server.outwork;

enum CheckSide {
    SEND,
    RETURN
}
