package galecrest.core.time;

/**
 * Working time in minutes: time in which somebody works, as opposed to elapsed time ({@link java.time.Duration}).
 * Negative values are allowed, since a margin may be negative.
 */
public record Minutes(long value) implements Comparable<Minutes> {
    public static final Minutes ZERO = new Minutes(0);

    public static Minutes of(long value) {
        return new Minutes(value);
    }

    public static Minutes ofHours(long hours) {
        return new Minutes(Math.multiplyExact(hours, 60));
    }

    public Minutes plus(Minutes other) {
        return new Minutes(value + other.value);
    }

    public Minutes minus(Minutes other) {
        return new Minutes(value - other.value);
    }

    /** Hours as a decimal number, for scores and charts. */
    public double hours() {
        return value / 60.0;
    }

    @Override
    public int compareTo(Minutes other) {
        return Long.compare(value, other.value);
    }
}
