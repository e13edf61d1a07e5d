package galecrest.core.planner.sgs;

import galecrest.core.planner.problem.CarClaim;
import java.util.Arrays;

/**
 * Stays that may overlap, sorted by their start, each with the greatest end so far so that the overlaps of a stretch
 * are found without looking at all: cars at a station, claims on a car.
 */
final class Occupancy {
    private static final int FIELDS = 6;
    private int[][] columns = new int[FIELDS + 1][16];
    private int count;
    /** Where something was found last. */
    private int near;

    void clear() {
        count = 0;
    }

    /**
     * Adds a stay.
     *
     * @param who the build of a car at a station; how a claim holds a car, see {@link CarClaim}
     * @param owner the work whose stay it is
     */
    void add(int from, int to, int who, int zone, int station, int owner) {
        if (count == columns[0].length) {
            for (int c = 0; c < columns.length; c++) {
                columns[c] = Arrays.copyOf(columns[c], count * 2);
            }
        }
        int at = before(from + 1);
        for (int[] column : columns) {
            System.arraycopy(column, at, column, at + 1, count - at);
        }
        columns[0][at] = from;
        columns[1][at] = to;
        columns[2][at] = who;
        columns[3][at] = zone;
        columns[4][at] = station;
        columns[5][at] = owner;
        count++;
        int[] greatest = columns[FIELDS];
        for (int i = at; i < count; i++) {
            greatest[i] = i == 0 ? columns[1][0] : Math.max(greatest[i - 1], columns[1][i]);
        }
    }

    /** How many begin before the slot. */
    private int before(int slot) {
        near = SortedSearch.last(columns[0], count, slot - 1, near);
        return near + 1;
    }

    /** Another build's stay that overlaps the stretch, the one that ends last; or −1. */
    int other(int build, int from, int to) {
        int last = -1;
        for (int i = before(to) - 1; i >= 0 && columns[FIELDS][i] > from; i--) {
            if (columns[1][i] > from && columns[2][i] != build && (last < 0 || columns[1][i] > columns[1][last])) {
                last = i;
            }
        }
        return last;
    }

    /**
     * The stay of another build after which the first stretch of so many slots is free of such stays, from a slot on; −1
     * where it is free at once.
     */
    int lastBeforeFree(int build, int from, int slots) {
        int i = before(from + slots);
        while (i > 0 && columns[FIELDS][i - 1] > from) {
            i--;
        }
        int last = -1;
        int free = from;
        for (; i < count && columns[0][i] < free + slots; i++) {
            if (columns[2][i] != build && columns[1][i] > free) {
                last = i;
                free = columns[1][i];
            }
        }
        return last;
    }

    /** A claim that the wanted one cannot share the car with, the one that ends last; or −1. */
    int conflict(int from, int to, int hold, int zone, int station) {
        int last = -1;
        for (int i = before(to) - 1; i >= 0 && columns[FIELDS][i] > from; i--) {
            if (columns[1][i] > from
                    && CarClaim.excludes(columns[2][i], columns[3][i], columns[4][i], hold, zone, station)
                    && (last < 0 || columns[1][i] > columns[1][last])) {
                last = i;
            }
        }
        return last;
    }

    int end(int stay) {
        return columns[1][stay];
    }

    int who(int stay) {
        return columns[2][stay];
    }

    int owner(int stay) {
        return columns[5][stay];
    }
}
