package galecrest.server.account;

import galecrest.server.access.Role;
import org.jspecify.annotations.Nullable;

/** Who an account is, and what it may do. */
record AccountRequest(String name, Role role, @Nullable String personId) {}
