package galecrest.core.vendor;

/** Names an outside firm. */
public record VendorId(String value) implements Comparable<VendorId> {
    @Override
    public int compareTo(VendorId other) {
        return value.compareTo(other.value);
    }

    @Override
    public String toString() {
        return value;
    }
}
