package galecrest.core.work;

/** Names a link between two pieces of work. */
public record LinkId(String value) implements Comparable<LinkId> {
    @Override
    public int compareTo(LinkId other) {
        return value.compareTo(other.value);
    }

    @Override
    public String toString() {
        return value;
    }
}
