package galecrest.core.people;

/** Names a person of the shop. */
public record PersonId(String value) implements Comparable<PersonId> {
    @Override
    public int compareTo(PersonId other) {
        return value.compareTo(other.value);
    }

    @Override
    public String toString() {
        return value;
    }
}
