package galecrest.core.work;

/** Names a piece of work: a job, outwork or running-in. */
public record WorkId(String value) implements Comparable<WorkId> {
    @Override
    public int compareTo(WorkId other) {
        return value.compareTo(other.value);
    }

    @Override
    public String toString() {
        return value;
    }
}
