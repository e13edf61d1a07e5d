package galecrest.core.gauge.fabrication;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertTimeoutPreemptively;

import java.time.Duration;
import java.util.Arrays;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class CutListTest {
    private static int[] ones(int count) {
        int[] all = new int[count];
        Arrays.fill(all, 1);
        return all;
    }

    /** A second derivation: every way to put the pieces on bars, one after the other, with branches cut that are no better. */
    private static int fewest(double[] pieces, double stock, double kerf) {
        return put(pieces, 0, new double[pieces.length], 0, stock + kerf, kerf, pieces.length);
    }

    private static int put(double[] pieces, int at, double[] used, int bars, double room, double kerf, int best) {
        if (bars >= best) {
            return best;
        }
        if (at == pieces.length) {
            return bars;
        }
        int found = best;
        for (int bar = 0; bar <= bars && bar < used.length; bar++) {
            if (used[bar] + pieces[at] + kerf <= room + 1e-9) {
                used[bar] += pieces[at] + kerf;
                found = put(pieces, at + 1, used, Math.max(bars, bar + 1), room, kerf, found);
                used[bar] -= pieces[at] + kerf;
            }
        }
        return found;
    }

    private static void holds(CutList list, double[] lengths, int[] counts, double stock, double kerf) {
        int[] cut = new int[lengths.length];
        for (int[] bar : list.bars()) {
            assertThat(Arrays.stream(bar).mapToDouble(k -> lengths[k]).sum() + kerf * (bar.length - 1))
                    .isLessThanOrEqualTo(stock + 1e-6);
            Arrays.stream(bar).forEach(k -> cut[k]++);
        }
        assertThat(cut).isEqualTo(counts);
    }

    @Property(tries = 150)
    void isAsGoodAsTryingEverything(@ForAll long seed) {
        Random random = new Random(seed);
        double kerf = random.nextInt(5) / 1000.0;
        double[] pieces = random.doubles(1 + random.nextInt(8), 0.4, 5.9)
                .map(d -> Math.round(d * 20) / 20.0)
                .toArray();
        CutList list = CutList.of(pieces, ones(pieces.length), 6, kerf);
        holds(list, pieces, ones(pieces.length), 6, kerf);
        assertThat(list.proven()).isTrue();
        assertThat(list.bars()).hasSize(fewest(pieces, 6, kerf));
    }

    @Test
    void fillsBarsWhereItGoes() {
        double[] lengths = {2.7, 2.3, 1.3, 1.0};
        int[] counts = {4, 4, 6, 6};
        CutList list = CutList.of(lengths, counts, 6, 0);
        holds(list, lengths, counts, 6, 0);
        // Σ = 33.8 m, six bars of 6 m at the least.
        assertThat(list.bars()).hasSize(6);
        assertThat(list.proven()).isTrue();
    }

    /** The kerf counts between pieces, and not behind the last. */
    @Test
    void aKerfStandsBetweenPieces() {
        assertThat(CutList.of(new double[] {3}, new int[] {2}, 6, 0).bars()).hasSize(1);
        assertThat(CutList.of(new double[] {3}, new int[] {2}, 6, 0.003).bars()).hasSize(2);
        assertThat(CutList.of(new double[] {3}, new int[] {2}, 6.003, 0.003).bars())
                .hasSize(1);
    }

    /** Three long pieces that want a bar each, and forty short ones that fit in more ways than can be tried: an answer comes. */
    @Test
    void moreWaysThanCanBeTriedAreSaidToBe() {
        double[] lengths = new double[41];
        int[] counts = ones(41);
        lengths[0] = 3.1;
        counts[0] = 3;
        for (int i = 1; i < lengths.length; i++) {
            lengths[i] = 0.01 + i / 10_000.0;
        }
        CutList list = assertTimeoutPreemptively(Duration.ofSeconds(60), () -> CutList.of(lengths, counts, 6, 0));
        holds(list, lengths, counts, 6, 0);
        assertThat(list.bars()).hasSize(3);
        assertThat(list.proven()).isFalse();
    }

    @Test
    void manyPiecesAreCutInTime() {
        Random random = new Random(8);
        double[] lengths = random.doubles(60, 0.2, 2.5).toArray();
        CutList list = CutList.of(lengths, ones(60), 6, 0.003);
        holds(list, lengths, ones(60), 6, 0.003);
        double sum = Arrays.stream(lengths).sum();
        assertThat(list.bars().size()).isLessThanOrEqualTo((int) Math.ceil(sum / 6 * 11 / 9) + 1);
    }
}
