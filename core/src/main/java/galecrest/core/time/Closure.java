package galecrest.core.time;

import java.time.LocalDate;

/** Days, both included, on which a station or a firm is shut. */
public record Closure(LocalDate from, LocalDate to, String reason) {
    public Closure {
        if (to.isBefore(from)) {
            throw new IllegalArgumentException("A closure must end on or after " + from + ", not on " + to + ".");
        }
    }

    public boolean covers(LocalDate date) {
        return !date.isBefore(from) && !date.isAfter(to);
    }
}
