package galecrest.server.account;

/** The password that an invited person chose. */
record AcceptRequest(String password) {}
