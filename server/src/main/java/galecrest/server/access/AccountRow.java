package galecrest.server.access;

/** An account with what is needed to let it in. */
record AccountRow(Account account, String password) {}
