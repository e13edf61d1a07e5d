package galecrest.core.work;

/** Names a commitment. */
public record CommitmentId(String value) implements Comparable<CommitmentId> {
    @Override
    public int compareTo(CommitmentId other) {
        return value.compareTo(other.value);
    }

    @Override
    public String toString() {
        return value;
    }
}
