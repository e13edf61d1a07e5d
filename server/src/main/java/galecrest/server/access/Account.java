package galecrest.server.access;

import java.io.Serializable;
import org.jspecify.annotations.Nullable;

/** Somebody who can sign in. */
public record Account(
        String username, String name, Role role, @Nullable String personId) implements Serializable {}
