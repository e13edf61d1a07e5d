package galecrest.core.work;

/** Names a pin. */
public record PinId(String value) implements Comparable<PinId> {
    @Override
    public int compareTo(PinId other) {
        return value.compareTo(other.value);
    }

    @Override
    public String toString() {
        return value;
    }
}
