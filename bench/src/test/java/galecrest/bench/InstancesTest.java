package galecrest.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import galecrest.core.audit.PlanAudit;
import galecrest.core.insight.LowerBound;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.planner.Planner;
import org.junit.jupiter.api.Test;

/** Classic instances through the planner's ordinary entry. */
class InstancesTest {
    /** Fisher and Thompson (1963), six jobs on six machines; optimum 55. */
    private static final String FT06 = """
            6 6
            2 1 0 3 1 6 3 7 5 3 4 6
            1 8 2 5 4 10 5 10 0 10 3 4
            2 5 3 4 5 8 0 9 1 1 4 7
            1 5 0 5 2 5 3 3 4 8 5 9
            2 9 1 3 4 5 5 4 0 3 3 1
            1 3 3 3 5 9 0 10 4 4 2 1
            """;

    /** Two activities that do not fit side by side, one after them, in PSPLIB's format: 3 + 4 + 2, checked by hand. */
    private static final String SMALL = """
            ************************************************************************
            PRECEDENCE RELATIONS:
            jobnr.    #modes  #successors   successors
               1        1          2           2   3
               2        1          1           4
               3        1          1           4
               4        1          1           5
               5        1          0
            ************************************************************************
            REQUESTS/DURATIONS:
            jobnr. mode duration  R 1
            ------------------------------------------------------------------------
              1      1     0       0
              2      1     3       2
              3      1     4       2
              4      1     2       3
              5      1     0       0
            ************************************************************************
            RESOURCEAVAILABILITIES:
              R 1
                3
            ************************************************************************
            """;

    @Test
    void sixBySixIsSolvedToItsOptimum() {
        ShopSnapshot shop = Instances.read(FT06);
        Plan plan = Planner.plan(shop, PlanOptions.thorough(40_000, 1));
        assertThat(PlanAudit.violations(shop, plan)).isEmpty();
        assertThat(Instances.makespan(plan)).isEqualTo(55);
        assertThat(LowerBound.makespan(shop)).isLessThanOrEqualTo(55L * Instances.UNIT_MINUTES);
    }

    @Test
    void resourceUnitsAreInterchangeablePeople() {
        ShopSnapshot shop = Instances.read(SMALL);
        assertThat(shop.people()).hasSize(3);
        Plan plan = Planner.plan(shop, PlanOptions.interactive(shop));
        assertThat(PlanAudit.violations(shop, plan)).isEmpty();
        assertThat(Instances.makespan(plan)).isEqualTo(9);
    }

    @Test
    void whatIsNeitherIsRefused() {
        assertThatThrownBy(() -> Instances.read("hello")).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Instances.read("")).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Instances.read("PRECEDENCE RELATIONS")).isInstanceOf(IllegalArgumentException.class);
    }
}
