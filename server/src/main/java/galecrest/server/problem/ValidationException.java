package galecrest.server.problem;

import galecrest.core.shop.Problem;
import java.util.List;

/** What was entered cannot be taken; nothing has changed. */
public class ValidationException extends RuntimeException {
    private final transient List<Problem> problems;

    public ValidationException(List<Problem> problems) {
        super(problems.isEmpty() ? "" : problems.get(0).message());
        this.problems = List.copyOf(problems);
    }

    public ValidationException(String field, String message) {
        this(List.of(new Problem(field, message)));
    }

    public List<Problem> problems() {
        return problems;
    }

    /** Throws where there are problems. */
    public static void throwIfAny(List<Problem> problems) {
        if (!problems.isEmpty()) {
            throw new ValidationException(problems);
        }
    }
}
