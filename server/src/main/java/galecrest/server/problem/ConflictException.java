package galecrest.server.problem;

import java.util.List;

/** Somebody else changed the same thing first; nothing has been overwritten. */
public class ConflictException extends RuntimeException {
    private final transient List<Difference> differences;
    private final int version;

    /** A field that differs between what was sent and what is there now. */
    public record Difference(String field, String yours, String theirs) {}

    public ConflictException(String message, int version, List<Difference> differences) {
        super(message);
        this.version = version;
        this.differences = List.copyOf(differences);
    }

    /** The version that is there now. */
    public int version() {
        return version;
    }

    public List<Difference> differences() {
        return differences;
    }
}
