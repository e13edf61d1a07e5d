package galecrest.core.plan;

import java.util.PriorityQueue;

/** Lists of nodes in which none comes before one that it follows: what a {@link Schedule} is made of. */
final class Order {
    private Order() {}

    /**
     * The list in which always the first by key comes next among the nodes whose predecessors are listed; what is
     * away, has started, or leads to what is fixed goes ahead of all else.
     *
     * @param keys the key of each node, lower first
     */
    static int[] by(Model model, double[] keys) {
        PriorityQueue<Integer> eligible = new PriorityQueue<>((a, b) -> {
            int byRank = Integer.compare(model.rank[a], model.rank[b]);
            int byKey = byRank != 0 ? byRank : Double.compare(keys[a], keys[b]);
            return byKey != 0 ? byKey : Integer.compare(a, b);
        });
        int[] waiting = new int[model.size];
        for (int node = 0; node < model.size; node++) {
            waiting[node] = model.before[node].length;
            if (waiting[node] == 0) {
                eligible.add(node);
            }
        }
        int[] list = new int[model.size];
        int count = 0;
        while (!eligible.isEmpty()) {
            int node = eligible.remove();
            list[count++] = node;
            for (Network.Arc arc : model.after[node]) {
                if (--waiting[arc.to()] == 0) {
                    eligible.add(arc.to());
                }
            }
        }
        return list;
    }

    /** Where the part of a list begins that may be reordered: after the last node that goes ahead of all else. */
    static int firstFree(Model model, int[] list) {
        int free = list.length;
        while (free > 0 && model.rank[list[free - 1]] == 3) {
            free--;
        }
        return free;
    }
}
