package galecrest.core.plan;

import java.util.List;

/**
 * Where serial schedule generation put a node, in slots.
 *
 * @param ready when what follows may start: cured, inspected
 * @param stretches pairs of slots in which its crew works
 */
record Placement(
        int start,
        int end,
        int ready,
        int[] crew,
        int station,
        List<int[]> stretches,
        boolean slotMissed,
        Because because) {}
