package galecrest.core.money;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class FindingLimitTest {
    private static FindingLimit limit(String rate, String most) {
        return new FindingLimit(new BigDecimal(rate), Optional.of(new BigDecimal(most)));
    }

    /** Worked by hand: two hands for 1 h 30 at 88 are 264.00; 50 min at 88 are 73.33. */
    @Test
    void workIsPricedByTheHourOfEachHand() {
        assertThat(limit("88", "400").price(90, 2)).hasToString("264.00");
        assertThat(limit("88", "400").price(50, 1)).hasToString("73.33");
    }

    @Test
    void whatCostsJustTheLimitGoesAhead() {
        assertThat(limit("88", "264").asks(90, 2)).isFalse();
        assertThat(limit("88", "263.99").asks(90, 2)).isTrue();
        assertThat(limit("88", "0").asks(1, 0)).isTrue();
        assertThat(new FindingLimit(new BigDecimal("88"), Optional.empty()).asks(10_000, 6))
                .isFalse();
    }

    /** More work never needs less asking; in whole numbers: minutes × hands × rate > limit × 60, but for half a cent. */
    @Property
    void itIsAskedByTheProductAlone(
            @ForAll @IntRange(min = 1, max = 5000) int minutes,
            @ForAll @IntRange(min = 1, max = 6) int hands,
            @ForAll @IntRange(min = 1, max = 200) int rate,
            @ForAll @IntRange(max = 5000) int most) {
        long over = (long) minutes * hands * rate * 100 - most * 6000L;
        boolean asks = limit(String.valueOf(rate), String.valueOf(most)).asks(minutes, hands);
        if (Math.abs(over) > 30) {
            assertThat(asks).isEqualTo(over > 0);
        }
        if (asks) {
            assertThat(limit(String.valueOf(rate), String.valueOf(most)).asks(minutes + 1, hands))
                    .isTrue();
        }
    }
}
