package galecrest.core.rescue;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import galecrest.core.audit.PlanAudit;
import galecrest.core.parts.PartLine;
import galecrest.core.parts.PartState;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.RandomShops;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.planner.Planner;
import galecrest.core.risk.RiskOptions;
import galecrest.core.work.Commitment;
import galecrest.core.work.CommitmentId;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Moves change what they say, every plan with them keeps every rule, and what is offered wins something. */
class RescueTest {
    private static final RiskOptions LUCK = RiskOptions.of(60, 4, 2);

    private static List<Rescue.Tried> rescue(ShopSnapshot shop, CommitmentId commitment, List<Rescue.Progress> told) {
        var thought = Planner.think(shop, PlanOptions.interactive(shop).withSteps(40), (s, b) -> true);
        return Rescue.of(shop, thought.plan(), commitment, LUCK, told::add);
    }

    /** The dates of a shop that its first plan has late. */
    private static List<Commitment> late(ShopSnapshot shop) {
        var outlooks = Planner.plan(shop, PlanOptions.once()).outlooks();
        return shop.commitments().stream()
                .filter(c -> outlooks.stream()
                        .anyMatch(
                                o -> o.commitment().equals(c.id()) && o.margin().isPresent() && o.late()))
                .toList();
    }

    @Test
    void everyMoveOfRandomShopsKeepsEveryRuleAndWinsSomething() {
        int offered = 0;
        for (long seed = 1; seed < 160; seed++) {
            ShopSnapshot shop = RandomShops.shop(seed, 26);
            for (var commitment : late(shop)) {
                List<Rescue.Progress> told = new ArrayList<>();
                for (Rescue.Tried tried : rescue(shop, commitment.id(), told)) {
                    offered++;
                    ShopSnapshot with = shop;
                    for (Move move : tried.moves()) {
                        with = MoveEffects.apply(with, move);
                    }
                    var plan = Planner.plan(with, PlanOptions.interactive(with).withSteps(20));
                    assertThat(PlanAudit.violations(with, plan))
                            .as(tried.words().toString())
                            .isEmpty();
                    boolean sooner = tried.chanceAfter() > tried.chanceBefore()
                            || tried.marginBefore().isEmpty()
                            || tried.marginAfter()
                                            .orElseThrow()
                                            .compareTo(tried.marginBefore().get())
                                    > 0;
                    assertThat(sooner).as(tried.words().toString()).isTrue();
                    assertThat(tried.words())
                            .isNotEmpty()
                            .hasSizeLessThanOrEqualTo(tried.moves().size());
                }
                assertThat(told).allMatch(p -> p.done() <= p.all());
            }
        }
        assertThat(offered).isGreaterThan(20);
    }

    @Test
    void anExpeditedPartComesAtItsEarliest() {
        ShopSnapshot shop = RandomShops.shop(7, 20);
        var part = shop.parts().stream()
                .filter(p -> p.arrival().isPresent() && p.state() != PartState.FITTED)
                .findFirst()
                .orElseThrow();
        var after = MoveEffects.apply(shop, new Move.Expedite(part.id())).parts().stream()
                .filter(p -> p.id().equals(part.id()))
                .findFirst()
                .orElseThrow();
        assertThat(after.arrival().orElseThrow().likely())
                .isEqualTo(part.arrival().orElseThrow().low());
        assertThat(after.arrival().orElseThrow().high())
                .isEqualTo(part.arrival().orElseThrow().likely());
    }

    /** Going on without one half of a pair frees the other, or nothing is won. */
    @Test
    void goingOnWithoutHalfOfAPairFreesTheOther() {
        ShopSnapshot shop = IntStream.range(0, 50)
                .mapToObj(seed -> RandomShops.shop(seed, 20))
                .filter(s -> s.parts().stream().anyMatch(PartLine::waitsForPair))
                .findFirst()
                .orElseThrow();
        PartLine half =
                shop.parts().stream().filter(PartLine::waitsForPair).findFirst().orElseThrow();
        PartLine freed = MoveEffects.apply(
                        shop, new Move.InterimFix(half.pairedWith().orElseThrow()))
                .parts()
                .stream()
                .filter(p -> p.id().equals(half.id()))
                .findFirst()
                .orElseThrow();
        assertThat(freed.waitsForPair()).isFalse();
        assertThat(freed.pairOverride()).contains(MoveEffects.HALF_GONE);
    }

    @Test
    void itStopsWhenItIsToldTo() {
        ShopSnapshot shop = RandomShops.shop(3, 20);
        var thought = Planner.think(shop, PlanOptions.once(), (s, b) -> true);
        assertThatThrownBy(() -> Rescue.of(
                        shop, thought.plan(), shop.commitments().get(0).id(), LUCK, p -> {
                            throw new Rescue.Cancelled();
                        }))
                .isInstanceOf(Rescue.Cancelled.class);
    }
}
