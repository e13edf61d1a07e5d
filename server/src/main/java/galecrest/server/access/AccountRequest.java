package galecrest.server.access;

import org.jspecify.annotations.Nullable;

record AccountRequest(
        String username, String name, Role role, @Nullable String personId, String password) {}
