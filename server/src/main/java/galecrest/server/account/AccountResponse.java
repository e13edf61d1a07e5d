package galecrest.server.account;

import galecrest.server.access.Role;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * An account as the manager sees it.
 *
 * @param invitedUntil until when its invitation is good; null where none is open
 * @param sessions in how many browsers it is signed in
 * @param seenAt when it was last active in one of them
 */
record AccountResponse(
        String username,
        String name,
        Role role,
        @Nullable String personId,
        @Nullable Instant invitedUntil,
        int sessions,
        @Nullable Instant seenAt) {}
