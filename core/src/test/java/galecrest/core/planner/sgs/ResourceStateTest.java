package galecrest.core.planner.sgs;

import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.planner.calendar.TimeGrid;
import galecrest.core.planner.calendar.WorkingWindows;
import galecrest.core.time.Span;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

/** What is taken, against counts slot by slot. */
class ResourceStateTest {
    private static final int SLOTS = 288;
    private static final TimeGrid GRID =
            new TimeGrid(Instant.parse("2027-02-01T00:00:00Z"), ZoneOffset.UTC, Duration.ofDays(1));

    private record Stay(int from, int to, int who, int owner) {
        boolean overlaps(int a, int b) {
            return from < b && a < to;
        }
    }

    private static int[] stretch(Random random) {
        int from = random.nextInt(SLOTS - 1);
        return new int[] {from, from + 1 + random.nextInt(Math.min(40, SLOTS - from - 1) + 1)};
    }

    @Property(tries = 300)
    void handsInAZoneAreCountedSlotBySlot(@ForAll Random random) {
        ResourceProfile usage = new ResourceProfile();
        int[] counted = new int[SLOTS + 50];
        for (int owner = 0; owner < 1 + random.nextInt(12); owner++) {
            int[] its = stretch(random);
            int many = 1 + random.nextInt(2);
            usage.add(its[0], its[1], many, owner);
            for (int slot = its[0]; slot < its[1]; slot++) {
                counted[slot] += many;
            }
        }
        int[] asked = stretch(random);
        int most = random.nextInt(3);
        int step = usage.crowded(usage.stepAt(asked[0]), asked[1], most);
        int crowded = asked[0];
        while (crowded < asked[1] && counted[crowded] <= most) {
            crowded++;
        }
        if (crowded == asked[1]) {
            assertThat(step).isEqualTo(-1);
            return;
        }
        assertThat(Math.max(usage.slotOf(step), asked[0])).isEqualTo(crowded);
        int relieved = crowded;
        while (counted[relieved] > most) {
            relieved++;
        }
        assertThat(usage.slotOf(usage.relieved(step, most))).isEqualTo(relieved);
    }

    @Property(tries = 300)
    void theLastStayThatEndedIsNamed(@ForAll Random random) {
        ResourceProfile usage = new ResourceProfile();
        List<Stay> stays = new ArrayList<>();
        int free = 0;
        for (int owner = 0; owner < 8 && free < SLOTS; owner++) {
            Stay stay = new Stay(free + random.nextInt(3), 0, 0, owner);
            int to = stay.from + 1 + random.nextInt(20);
            usage.add(stay.from, to, 1, owner);
            stays.add(new Stay(stay.from, to, 0, owner));
            free = to;
        }
        int slot = random.nextInt(SLOTS);
        int last = stays.stream()
                .filter(s -> s.to <= slot)
                .reduce((a, b) -> b)
                .map(Stay::owner)
                .orElse(-1);
        assertThat(usage.endedBefore(slot)).isEqualTo(last);
    }

    @Property(tries = 300)
    void anotherCarAtAStationIsFound(@ForAll Random random) {
        Occupancy stays = new Occupancy();
        List<Stay> all = new ArrayList<>();
        for (int owner = 0; owner < random.nextInt(12); owner++) {
            int[] its = stretch(random);
            int build = random.nextInt(3);
            stays.add(its[0], its[1], build, 0, 0, owner);
            all.add(new Stay(its[0], its[1], build, owner));
        }
        int[] asked = stretch(random);
        int latest = all.stream()
                .filter(s -> s.who != 1 && s.overlaps(asked[0], asked[1]))
                .mapToInt(Stay::to)
                .max()
                .orElse(-1);
        int found = stays.other(1, asked[0], asked[1]);
        assertThat(found < 0 ? -1 : stays.end(found)).isEqualTo(latest);
        int length = asked[1] - asked[0];
        int from = asked[0];
        while (taken(all, from, from + length)) {
            from++;
        }
        int last = stays.lastBeforeFree(1, asked[0], length);
        assertThat(last < 0 ? asked[0] : stays.end(last)).isEqualTo(from);
    }

    private static boolean taken(List<Stay> stays, int from, int to) {
        return stays.stream().anyMatch(s -> s.who != 1 && s.overlaps(from, to));
    }

    /** Somebody's free working time, with what is taken in the hours only, as the planner takes it. */
    @Property(tries = 300)
    void theNextGapIsTheFirstThatHasTheHours(@ForAll Random random) {
        BitSet open = new BitSet();
        List<Span> spans = new ArrayList<>();
        for (int i = 0; i < 1 + random.nextInt(4); i++) {
            int[] its = stretch(random);
            spans.add(GRID.span(its[0], Math.min(SLOTS, its[1])));
            open.set(its[0], Math.min(SLOTS, its[1]));
        }
        WorkingWindows hours = WorkingWindows.of(spans, GRID);
        int shortest = 1 + random.nextInt(3);
        FreeIntervals gaps = new FreeIntervals(hours, SLOTS);
        gaps.clear(shortest);
        boolean[] busy = new boolean[SLOTS];
        int tries = random.nextInt(3) == 0 ? 200 : 8;
        for (int i = 0; i < tries; i++) {
            int from = random.nextInt(SLOTS - 1);
            int to = tries == 8 ? Math.min(SLOTS, from + 1 + random.nextInt(40)) : from + 1;
            if (!anyBusy(busy, from, to)) {
                Arrays.fill(busy, from, to, true);
                gaps.take(from, to);
            }
            if (i % 5 == 0) {
                gaps.next(random.nextInt(SLOTS), 1 + random.nextInt(10));
            }
        }
        int work = shortest + random.nextInt(10);
        int slot = random.nextInt(SLOTS);
        int first = slot;
        while (first < SLOTS && freeHours(busy, open, first) < work) {
            first++;
        }
        int found = gaps.next(slot, work);
        assertThat(found).isEqualTo(first == SLOTS ? WorkingWindows.NEVER : first);
    }

    private static boolean anyBusy(boolean[] busy, int from, int to) {
        for (int slot = from; slot < to; slot++) {
            if (busy[slot]) {
                return true;
            }
        }
        return false;
    }

    /** Open slots from this one until the next that is taken. */
    private static int freeHours(boolean[] busy, BitSet open, int from) {
        int count = 0;
        for (int slot = from; slot < SLOTS && !busy[slot]; slot++) {
            count += open.get(slot) ? 1 : 0;
        }
        return count;
    }
}
