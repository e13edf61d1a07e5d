package galecrest.core.device;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.OptionalDouble;

/**
 * Whether a reading has come to rest: over the last readings it has stayed within a band. Not safe for use by several
 * threads at once.
 */
public final class Settling {
    private final int count;
    private final double band;
    private final Deque<Double> last = new ArrayDeque<>();

    /**
     * Nothing read yet.
     *
     * @param count how many readings must agree, at least 2
     * @param band within which they must lie, in the unit of the readings
     */
    public Settling(int count, double band) {
        if (count < 2 || !(band > 0)) {
            throw new IllegalArgumentException("At least two readings within a band are wanted.");
        }
        this.count = count;
        this.band = band;
    }

    /** Takes the next reading. */
    public void add(double value) {
        last.addLast(value);
        if (last.size() > count) {
            last.removeFirst();
        }
    }

    /** The mean of the last readings once they have come to rest; empty while they have not. */
    public OptionalDouble steady() {
        if (last.size() < count) {
            return OptionalDouble.empty();
        }
        double least = last.stream().mapToDouble(v -> v).min().orElseThrow();
        double most = last.stream().mapToDouble(v -> v).max().orElseThrow();
        return most - least <= band ? last.stream().mapToDouble(v -> v).average() : OptionalDouble.empty();
    }

    /** The last reading. */
    public OptionalDouble now() {
        return last.isEmpty() ? OptionalDouble.empty() : OptionalDouble.of(last.getLast());
    }

    /** Forgets what was read, as after the car was moved. */
    public void begin() {
        last.clear();
    }
}
