package galecrest.core.build;

/** Names a car's programme of work. */
public record BuildId(String value) implements Comparable<BuildId> {
    @Override
    public int compareTo(BuildId other) {
        return value.compareTo(other.value);
    }

    @Override
    public String toString() {
        return value;
    }
}
