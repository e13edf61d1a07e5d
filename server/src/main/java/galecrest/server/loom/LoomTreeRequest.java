package galecrest.server.loom;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The tree and its wires, whole.
 *
 * @param version the one that was read; 0 where there was none
 */
record LoomTreeRequest(List<PointRequest> points, List<WireRequest> wires, int version) {
    /** A point; {@code from} is blank for the first one, {@code length} as people write it. */
    record PointRequest(
            String name, @Nullable String from, @Nullable String length) {}

    /** A wire from one point to another; {@code size} as "1.5 mm²" or "16 AWG". */
    record WireRequest(
            String circuit,
            String from,
            String to,
            @Nullable String size,
            @Nullable String colour) {}
}
