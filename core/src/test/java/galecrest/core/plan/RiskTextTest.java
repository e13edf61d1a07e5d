package galecrest.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.build.WorkId;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class RiskTextTest {
    private static final ShopSnapshot SHOP = Shops.shop()
            .person("Bo", "fit")
            .wanted("flange")
            .job("hang doors", "Nine", 60, "fit")
            .outwork("coat header", "Six", false, 3)
            .snapshot();
    private static final RiskText SAY = new RiskText(new Sentences(SHOP));

    @Test
    void driversAreSaidAsWhatIsNotKnown() {
        assertThat(Stream.of(
                                new Chance.Driver(Chance.What.WORK, "hang doors", 0.5),
                                new Chance.Driver(Chance.What.FINDINGS, "hang doors", 0.5),
                                new Chance.Driver(Chance.What.OUTWORK, "coat header", 0.5),
                                new Chance.Driver(Chance.What.PART, "flange", 0.5),
                                new Chance.Driver(Chance.What.AT_RISK, "l0", 0.5))
                        .map(SAY::driver))
                .containsExactly(
                        "how long hang doors takes",
                        "whether hang doors finds more to do",
                        "when coat header comes back, and whether right",
                        "when flange comes",
                        "whether a start at risk must be done again");
    }

    @Test
    void whatRunsOverIsSaidWithWhoseHoursItDoesNotFit() {
        WorkId doors = new WorkId("hang doors");
        Plan plan = Planner.plan(SHOP, PlanOptions.once());
        Chance.Overrun overrun = new Chance.Overrun(doors, 0.094);
        assertThat(SAY.overrun(overrun, plan.byWork().get(doors)))
                .isEqualTo("hang doors does not fit Bo's hours in 9 %");
        assertThat(SAY.overrun(overrun, null)).isEqualTo("hang doors does not fit the hours of the day in 9 %");
    }
}
