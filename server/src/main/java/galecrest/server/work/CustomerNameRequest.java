package galecrest.server.work;

import jakarta.validation.constraints.Size;

/** What the customer reads instead of the name of a piece of work; blank for nothing. */
record CustomerNameRequest(
        @Size(max = 100, message = "Up to 100 characters.") String name) {}
