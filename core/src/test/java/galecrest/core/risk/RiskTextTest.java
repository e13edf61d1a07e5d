package galecrest.core.risk;

import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.ReasonText;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.plan.Shops;
import galecrest.core.planner.Planner;
import galecrest.core.work.WorkId;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class RiskTextTest {
    private static final ShopSnapshot SHOP = Shops.shop()
            .person("Bo", "fit")
            .wanted("flange")
            .job("hang doors", "Nine", 60, "fit")
            .outwork("coat header", "Nine", false, 3)
            .snapshot();
    private static final RiskText SAY = new RiskText(new ReasonText(SHOP));

    @Test
    void driversAreSaidAsWhatIsNotKnown() {
        assertThat(Stream.of(
                                new RiskProfile.Driver(RiskProfile.What.WORK, "hang doors", 0.5),
                                new RiskProfile.Driver(RiskProfile.What.FINDINGS, "hang doors", 0.5),
                                new RiskProfile.Driver(RiskProfile.What.OUTWORK, "coat header", 0.5),
                                new RiskProfile.Driver(RiskProfile.What.PART, "flange", 0.5),
                                new RiskProfile.Driver(RiskProfile.What.AT_RISK, "l0", 0.5))
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
        RiskProfile.Overrun overrun = new RiskProfile.Overrun(doors, 0.094);
        assertThat(SAY.overrun(overrun, plan.byWork().get(doors)))
                .isEqualTo("hang doors does not fit Bo's hours in 9 %");
        assertThat(SAY.overrun(overrun, null)).isEqualTo("hang doors does not fit the hours of the day in 9 %");
    }
}
