package galecrest.core.planner.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.time.Span;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

/** Windows of slots against a plain set of bits. */
class WorkingWindowsTest {
    private static final int SLOTS = 288;
    private static final TimeGrid GRID =
            new TimeGrid(Instant.parse("2027-02-01T00:00:00Z"), ZoneOffset.UTC, Duration.ofDays(1));

    private record Both(WorkingWindows windows, BitSet bits) {}

    private static Both random(Random random) {
        List<Span> spans = new ArrayList<>();
        BitSet bits = new BitSet();
        for (int i = 0; i < random.nextInt(6); i++) {
            int from = random.nextInt(SLOTS - 1);
            int to = from + 1 + random.nextInt(Math.min(60, SLOTS - from - 1) + 1);
            spans.add(GRID.span(from, Math.min(to, SLOTS)));
            bits.set(from, Math.min(to, SLOTS));
        }
        return new Both(WorkingWindows.of(spans, GRID), bits);
    }

    private static void same(WorkingWindows windows, BitSet bits) {
        for (int slot = 0; slot < SLOTS; slot++) {
            int next = bits.nextSetBit(slot);
            assertThat(windows.next(slot)).isEqualTo(next < 0 ? WorkingWindows.NEVER : next);
            assertThat(windows.workBefore(slot)).isEqualTo(bits.get(0, slot).cardinality());
        }
    }

    @Property(tries = 300)
    void openSlotsAreTheSameAsTheBits(@ForAll long seed) {
        Random random = new Random(seed);
        Both a = random(random);
        Both b = random(random);
        same(a.windows, a.bits);
        BitSet both = (BitSet) a.bits.clone();
        both.and(b.bits);
        same(a.windows.and(b.windows), both);
        BitSet either = (BitSet) a.bits.clone();
        either.or(b.bits);
        same(a.windows.or(b.windows), either);
    }

    @Property(tries = 300)
    void workIsDoneInOpenSlotsOnly(@ForAll long seed) {
        Random random = new Random(seed);
        Both a = random(random);
        int from = random.nextInt(SLOTS);
        int work = 1 + random.nextInt(40);
        int slot = from;
        int done = 0;
        while (slot < SLOTS && done < work) {
            done += a.bits.get(slot) ? 1 : 0;
            slot++;
        }
        assertThat(a.windows.finish(from, work)).isEqualTo(done == work ? slot : WorkingWindows.NEVER);
    }
}
