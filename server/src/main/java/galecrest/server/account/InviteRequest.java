package galecrest.server.account;

import galecrest.server.access.Role;
import org.jspecify.annotations.Nullable;

/** Somebody is asked in. */
record InviteRequest(
        String username, String name, Role role, @Nullable String personId) {}
