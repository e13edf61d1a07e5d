package galecrest.server.account;

/** Whose password an invitation sets. */
record InvitationResponse(String username, String name) {}
