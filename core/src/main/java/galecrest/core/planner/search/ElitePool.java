package galecrest.core.planner.search;

import galecrest.core.plan.Score;
import galecrest.core.planner.sgs.Schedule;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.SplittableRandom;

/**
 * Good orders that differ, from which new ones are bred: a stretch of one in the middle of another (two-point crossover;
 * Hartmann, 1998), each child improved by a forward-backward pass (Valls, Ballestín and Quintanilla, 2008).
 */
public final class ElitePool {
    private final int most;
    private final SplittableRandom random;
    private final List<Member> members = new ArrayList<>();

    /** An order, how good it is, and a mark of its schedule by which doubles are known. */
    public record Member(int[] list, boolean[] choices, Score score, long mark) {}

    ElitePool(int most, SplittableRandom random) {
        this.most = most;
        this.random = random;
    }

    static long mark(Schedule schedule) {
        return Arrays.hashCode(schedule.start);
    }

    void clear() {
        members.clear();
    }

    int size() {
        return members.size();
    }

    Member get(int at) {
        return members.get(at);
    }

    /** Takes a member in, in place of the worst where there are enough; doubles and the worst of all stay out. */
    void add(Member member) {
        for (Member other : members) {
            if (other.mark == member.mark) {
                return;
            }
        }
        members.add(member);
        members.sort(Comparator.comparing(Member::score));
        if (members.size() > most) {
            members.remove(most);
        }
    }

    /** One of the better members: the best of two at random. */
    Member pick() {
        return members.get(Math.min(random.nextInt(members.size()), random.nextInt(members.size())));
    }

    /** A list with a stretch in the order of one parent between ends in the order of another. */
    int[] cross(int[] father, int[] mother, int free) {
        int size = father.length;
        int a = free + random.nextInt(size - free + 1);
        int b = free + random.nextInt(size - free + 1);
        int from = Math.min(a, b);
        int to = Math.max(a, b);
        boolean[] taken = new boolean[size];
        int[] child = new int[size];
        for (int i = 0; i < from; i++) {
            child[i] = father[i];
            taken[father[i]] = true;
        }
        int at = fill(child, from, to, mother, taken);
        fill(child, at, size, father, taken);
        return child;
    }

    private static int fill(int[] child, int from, int to, int[] parent, boolean[] taken) {
        int at = from;
        for (int node : parent) {
            if (at == to) {
                break;
            }
            if (!taken[node]) {
                taken[node] = true;
                child[at++] = node;
            }
        }
        return at;
    }
}
