package galecrest.core.planner.sgs;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;

/** The search finds what the library's binary search finds ({@link Arrays#binarySearch(int[], int, int, int)}). */
class SortedSearchTest {
    @Property(tries = 500)
    void findsWhatBinarySearchFinds(
            @ForAll @Size(max = 40) @IntRange(min = -50, max = 50) int[] values,
            @ForAll @Size(min = 1, max = 30) @IntRange(min = -60, max = 60) int[] asked,
            @ForAll @IntRange(min = -2, max = 45) int near) {
        int[] column = Arrays.stream(values).distinct().sorted().toArray();
        for (int count = 0; count <= column.length; count++) {
            for (int slot : asked) {
                int found = Arrays.binarySearch(column, 0, count, slot);
                int expected = found >= 0 ? found : -found - 2;
                assertThat(SortedSearch.last(column, count, slot, near)).isEqualTo(expected);
            }
        }
    }

    @Property(tries = 100)
    void ofEqualValuesTheLastCounts(@ForAll @Size(min = 1, max = 30) @IntRange(min = 0, max = 5) int[] values) {
        int[] column = Arrays.stream(values).sorted().toArray();
        for (int value : column) {
            long noGreater = Arrays.stream(column).filter(v -> v <= value).count();
            assertThat(SortedSearch.last(column, column.length, value, 0)).isEqualTo((int) noGreater - 1);
        }
    }
}
