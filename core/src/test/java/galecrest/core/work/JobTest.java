package galecrest.core.work;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import galecrest.core.plan.Shops;
import galecrest.core.time.Minutes;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class JobTest {
    private static final Job JOB = (Job) new Shops()
            .person("ann", "fit")
            .job("a", "car", 600, "fit")
            .snapshot()
            .works()
            .get(0);

    private static Job job(int low, int likely, int high) {
        return JOB.withCrew(JOB.crew(), Estimate.ofMinutes(low, likely, high));
    }

    private static long left(Job job, int worked) {
        return job.afterWorking(Minutes.of(worked)).toDo().value();
    }

    @Test
    void withinItsTimeWhatIsLeftIsTheRest() {
        assertThat(left(job(300, 600, 1200), 0)).isEqualTo(600);
        assertThat(left(job(300, 600, 1200), 450)).isEqualTo(150);
        assertThat(left(job(300, 600, 1200), 595))
                .as("at least a quarter of an hour")
                .isEqualTo(15);
    }

    /** Against durations drawn from the triangular density by its inverse (closed form, from memory), those alone that last longer. */
    @ParameterizedTest
    @ValueSource(ints = {600, 700, 900, 1100})
    void pastItsTimeTheClockIsBelieved(int worked) {
        Random random = new Random(11);
        double rest = IntStream.range(0, 400_000)
                .mapToDouble(i -> triangular(300, 600, 1200, random.nextDouble()))
                .filter(t -> t > worked)
                .map(t -> t - worked)
                .average()
                .orElseThrow();
        assertThat((double) left(job(300, 600, 1200), worked)).isCloseTo(rest, within(4.0));
    }

    private static double triangular(double low, double mode, double high, double u) {
        double peak = (mode - low) / (high - low);
        return u < peak
                ? low + Math.sqrt(u * (high - low) * (mode - low))
                : high - Math.sqrt((1 - u) * (high - low) * (high - mode));
    }

    @Test
    void beyondItsWorstItGoesOnForATenthOfWhatItTook() {
        assertThat(left(job(300, 600, 1200), 2000)).isEqualTo(200);
        assertThat(left(job(10, 20, 30), 60)).isEqualTo(15);
    }
}
