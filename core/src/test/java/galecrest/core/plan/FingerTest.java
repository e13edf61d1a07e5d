package galecrest.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;

/** The search from the last place finds what the library's binary search finds, wherever it was before. */
class FingerTest {
    @Property(tries = 500)
    void findsWhatBinarySearchFinds(
            @ForAll @Size(max = 40) @IntRange(min = -50, max = 50) int[] values,
            @ForAll @Size(min = 1, max = 30) @IntRange(min = -60, max = 60) int[] asked) {
        int[] column = Arrays.stream(values).distinct().sorted().toArray();
        Finger finger = new Finger();
        for (int slot : asked) {
            int found = Arrays.binarySearch(column, slot);
            int expected = found >= 0 ? found : -found - 2;
            assertThat(finger.last(column, column.length, slot)).isEqualTo(expected);
        }
    }

    @Property(tries = 100)
    void whatIsAddedOrTakenAwayMeanwhileDoesNotMislead(@ForAll @Size(min = 2, max = 30) int[] values) {
        int[] column = Arrays.stream(values).sorted().toArray();
        Finger finger = new Finger();
        for (int count = column.length; count > 0; count--) {
            finger.last(column, count, Integer.MAX_VALUE);
            int last = finger.last(column, count, column[count - 1]);
            assertThat(column[last]).isEqualTo(column[count - 1]);
        }
        assertThat(finger.last(column, 0, 0)).isEqualTo(-1);
    }
}
