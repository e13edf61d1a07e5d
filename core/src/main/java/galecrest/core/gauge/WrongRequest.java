package galecrest.core.gauge;

import galecrest.core.shop.Problem;
import java.util.List;
import java.util.stream.Collectors;

/** A request that a gauge cannot answer. */
public final class WrongRequest extends RuntimeException {
    private static final long serialVersionUID = 1;

    private final transient List<Problem> problems;

    /** With what is wrong, by field. */
    public WrongRequest(List<Problem> problems) {
        super(problems.stream().map(p -> p.field() + ": " + p.message()).collect(Collectors.joining(" ")));
        this.problems = List.copyOf(problems);
    }

    /** With one thing that is wrong. */
    public WrongRequest(String field, String message) {
        this(List.of(new Problem(field, message)));
    }

    public List<Problem> problems() {
        return problems;
    }
}
