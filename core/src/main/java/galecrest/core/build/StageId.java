package galecrest.core.build;

/** Names a stage of a build. */
public record StageId(String value) implements Comparable<StageId> {
    @Override
    public int compareTo(StageId other) {
        return value.compareTo(other.value);
    }

    @Override
    public String toString() {
        return value;
    }
}
