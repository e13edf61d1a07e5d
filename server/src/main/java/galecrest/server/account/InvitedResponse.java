package galecrest.server.account;

import java.time.Instant;

/** Where the password is set; it is shown this once. */
record InvitedResponse(String path, Instant until) {}
