package galecrest.core.planner.sgs;

import galecrest.core.planner.network.ActivityNetwork;
import galecrest.core.planner.problem.SchedulingProblem;

/** Lists of nodes in which none comes before one that it follows: what a {@link Schedule} is made of. */
public final class ActivityList {
    private ActivityList() {}

    /**
     * The list in which always the first by key comes next among the nodes whose predecessors are listed; what is
     * away, has started, or leads to what is fixed goes ahead of all else.
     *
     * @param keys the key of each node, lower first
     */
    public static int[] by(SchedulingProblem problem, double[] keys) {
        return by(problem, keys, problem.rank);
    }

    /** The same with other ranks: a lower one goes ahead of all else. */
    public static int[] by(SchedulingProblem problem, double[] keys, int[] ranks) {
        Heap eligible = new Heap(ranks, keys);
        int[] waiting = new int[problem.size];
        for (int node = 0; node < problem.size; node++) {
            waiting[node] = problem.before[node].length;
            if (waiting[node] == 0) {
                eligible.add(node);
            }
        }
        int[] list = new int[problem.size];
        int count = 0;
        while (eligible.count > 0) {
            int node = eligible.remove();
            list[count++] = node;
            for (ActivityNetwork.Arc arc : problem.after[node]) {
                if (--waiting[arc.to()] == 0) {
                    eligible.add(arc.to());
                }
            }
        }
        return list;
    }

    /** A binary heap of nodes, the first by rank and key on top (Williams, 1964); the library's would box them. */
    private static final class Heap {
        private final int[] rank;
        private final double[] keys;
        private final int[] nodes;
        private int count;

        Heap(int[] ranks, double[] keys) {
            this.rank = ranks;
            this.keys = keys;
            this.nodes = new int[keys.length];
        }

        private boolean first(int a, int b) {
            if (rank[a] != rank[b]) {
                return rank[a] < rank[b];
            }
            return keys[a] != keys[b] ? keys[a] < keys[b] : a < b;
        }

        void add(int node) {
            int at = count++;
            while (at > 0 && first(node, nodes[(at - 1) >> 1])) {
                nodes[at] = nodes[(at - 1) >> 1];
                at = (at - 1) >> 1;
            }
            nodes[at] = node;
        }

        int remove() {
            int top = nodes[0];
            int node = nodes[--count];
            int at = 0;
            for (int child = 1; child < count; child = 2 * at + 1) {
                if (child + 1 < count && first(nodes[child + 1], nodes[child])) {
                    child++;
                }
                if (!first(nodes[child], node)) {
                    break;
                }
                nodes[at] = nodes[child];
                at = child;
            }
            nodes[at] = node;
            return top;
        }
    }

    /** Where the part of a list begins that may be reordered: after the last node that goes ahead of all else. */
    public static int firstFree(SchedulingProblem problem, int[] list) {
        int free = list.length;
        while (free > 0 && problem.rank[list[free - 1]] == 3) {
            free--;
        }
        return free;
    }
}
