package galecrest.server.component;

/** What stands in the history of a component. */
enum HistoryKind {
    /** Begins anew what a service begins anew. */
    SERVICE,
    REPAIR,
    CRASH,
    NOTE
}
