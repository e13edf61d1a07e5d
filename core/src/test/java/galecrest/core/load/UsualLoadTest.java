package galecrest.core.load;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class UsualLoadTest {
    @Test
    void growsWithCarsSessionsAndSets() {
        List<LoadItem> one = UsualLoad.of(List.of("8"), 3, List.of("set 21"));
        List<LoadItem> two = UsualLoad.of(List.of("8", "5"), 6, List.of("set 21", "set 22"));
        assertThat(two.size() - one.size())
                .as("six things a car and a set more")
                .isEqualTo(7);
        assertThat(one).extracting(LoadItem::name).contains("fuel, 60 L in cans", "set 21", "log book of 8");
        assertThat(two).extracting(LoadItem::name).contains("fuel, 240 L in cans");
        assertThat(two).extracting(i -> i.box() + i.name()).doesNotHaveDuplicates();
    }
}
