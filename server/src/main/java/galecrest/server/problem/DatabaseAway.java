package galecrest.server.problem;

import java.net.SocketTimeoutException;
import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.transaction.TransactionSystemException;

/**
 * That the database is not there, does not answer, or is busy with somebody else's change for too long: no mistake of ours
 * and none of the user's, and it passes.
 */
final class DatabaseAway {
    /** After so many seconds it is worth another try. */
    static final int AGAIN_SECONDS = 2;

    /** What a request is marked with whose answer says that it is away. */
    static final String FOUND = DatabaseAway.class.getName();

    /** SQLSTATE of a lock that was waited for as long as one waits. */
    private static final String LOCK_NOT_AVAILABLE = "55P03";

    /** SQLSTATEs of a connection that broke, of a database that shuts down or starts, of one with too many guests. */
    private static final List<String> GONE = List.of("08", "57P", "53300", "58");

    private static final int DEEPEST = 20;

    private DatabaseAway() {}

    /** What to say of it; nothing where something else went wrong. */
    static Optional<ProblemDetail> of(Throwable failure) {
        Throwable cause = failure;
        for (int i = 0; cause != null && i < DEEPEST; i++) {
            if (cause instanceof SQLException sql && LOCK_NOT_AVAILABLE.equals(sql.getSQLState())) {
                return Optional.of(busy());
            }
            if (isGone(cause)) {
                return Optional.of(isAtTheEnd(failure) ? goneAtTheEnd() : gone());
            }
            cause = cause.getCause();
        }
        return Optional.empty();
    }

    private static boolean isGone(Throwable cause) {
        if (cause instanceof SQLTransientConnectionException || cause instanceof TransactionSystemException) {
            return true;
        }
        if (!(cause instanceof SQLException sql)) {
            return false;
        }
        String state = String.valueOf(sql.getSQLState());
        return GONE.stream().anyMatch(state::startsWith) || sql.getCause() instanceof SocketTimeoutException;
    }

    private static ProblemDetail busy() {
        ProblemDetail detail = ProblemDetail.forStatusAndDetail(
                HttpStatus.SERVICE_UNAVAILABLE,
                "A large change of somebody else's is being written; nothing of yours was. Try again in a moment.");
        detail.setTitle("Busy");
        return detail;
    }

    /**
     * Before the end of a change nothing of it is kept; at its end the answer may be what got lost. What could not be taken
     * back either names what went wrong before, unless that was the end.
     */
    private static boolean isAtTheEnd(Throwable failure) {
        Throwable cause = failure;
        for (int i = 0; cause != null && i < DEEPEST; i++) {
            if (String.valueOf(cause.getMessage()).startsWith("JDBC commit")
                    || cause instanceof TransactionSystemException system && system.getApplicationException() == null) {
                return true;
            }
            cause = cause.getCause();
        }
        return false;
    }

    /** It was away before anything was written. */
    static ProblemDetail gone() {
        return gone("The database does not answer. Nothing was saved; what you typed is still here.");
    }

    private static ProblemDetail goneAtTheEnd() {
        return gone("The database went away while this was being saved. Look whether it was, before you do it again.");
    }

    private static ProblemDetail gone(String said) {
        ProblemDetail detail = ProblemDetail.forStatusAndDetail(HttpStatus.SERVICE_UNAVAILABLE, said);
        detail.setTitle("The database is away");
        detail.setProperty("away", true);
        return detail;
    }
}
