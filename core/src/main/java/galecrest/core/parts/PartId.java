package galecrest.core.parts;

/** Names a part line. */
public record PartId(String value) implements Comparable<PartId> {
    @Override
    public int compareTo(PartId other) {
        return value.compareTo(other.value);
    }

    @Override
    public String toString() {
        return value;
    }
}
