package galecrest.server.problem;

/** What was asked for does not exist (any more). */
public class NotFoundException extends RuntimeException {
    public NotFoundException(String what) {
        super("There is no such " + what + " (any more). Somebody may have removed it.");
    }
}
