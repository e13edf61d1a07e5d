package galecrest.core.shop;

/** Names a station of the shop. */
public record StationId(String value) implements Comparable<StationId> {
    @Override
    public int compareTo(StationId other) {
        return value.compareTo(other.value);
    }

    @Override
    public String toString() {
        return value;
    }
}
