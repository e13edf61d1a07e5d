package galecrest.core.rescue;

import static galecrest.core.plan.Shops.JobShape.hands;
import static galecrest.core.plan.Shops.JobShape.needs;
import static galecrest.core.plan.Shops.shop;
import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.people.PersonId;
import galecrest.core.people.ShiftChange;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.plan.Shops;
import galecrest.core.planner.Planner;
import galecrest.core.risk.MonteCarlo;
import galecrest.core.risk.RiskOptions;
import galecrest.core.time.Minutes;
import galecrest.core.work.CommitmentId;
import galecrest.core.work.LinkId;
import galecrest.core.work.WorkId;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What is thought of for a date in trouble: people are asked for when the chain can go on, hands where there are any. */
class CandidatesTest {
    private static final CommitmentId DATE = new CommitmentId("date");
    private static final LocalDate MONDAY = Shops.MONDAY.toLocalDate();
    private static final RiskOptions LUCK = RiskOptions.of(40, 1, 1);

    private static List<List<Move>> thoughtOf(Shops shops) {
        ShopSnapshot shop = shops.snapshot();
        var thought = Planner.think(shop, PlanOptions.once(), (s, b) -> true);
        var chance = MonteCarlo.of(shop, thought.plan(), LUCK, done -> true).orElseThrow();
        return new Candidates(shop, thought.plan(), chance, shop.commitments().get(0)).moves();
    }

    private static List<List<Move>> ofKind(Class<? extends Move> kind, Shops shops) {
        return thoughtOf(shops).stream()
                .filter(moves -> kind.isInstance(moves.get(0)))
                .toList();
    }

    private static Move evening(String person, int day) {
        return new Move.ExtraShift(
                new PersonId(person), MONDAY.plusDays(day), LocalTime.of(16, 0), LocalTime.of(20, 0));
    }

    private static Shops tenHours() {
        Shops shops = shop();
        return shops.job("long", "car", 600, "fit").due("date", "car", shops.instant(1, 9, 0));
    }

    @Test
    void anEveningIsAskedForWhereTheWorkGoesOnOverNight() {
        assertThat(ofKind(Move.ExtraShift.class, tenHours().person("bo", "fit")))
                .containsExactly(List.of(evening("bo", 0)));
    }

    @Test
    void nobodyOnLeaveIsAsked() {
        assertThat(ofKind(
                        Move.ExtraShift.class,
                        tenHours().person("bo", "fit", ShiftChange.leave(MONDAY.plusDays(1), MONDAY.plusDays(1), ""))))
                .isEqualTo(List.of(List.of(evening("bo", 0))));
        assertThat(ofKind(
                        Move.ExtraShift.class,
                        tenHours().person("bo", "fit", ShiftChange.leave(MONDAY, MONDAY.plusDays(1), ""))))
                .isEmpty();
    }

    @Test
    void whoMustWorkTogetherIsAskedTogether() {
        Shops shops = shop();
        shops.person("bo", "fit")
                .person("ina", "fit")
                .job("lift", "car", 600, "fit", hands(2))
                .due("date", "car", shops.instant(1, 9, 0));
        List<List<Move>> asked = ofKind(Move.ExtraShift.class, shops);
        assertThat(asked).hasSize(1);
        assertThat(asked.get(0)).containsExactlyInAnyOrder(evening("bo", 0), evening("ina", 0));
        assertThat(MoveText.say(shops.snapshot(), asked.get(0)))
                .containsExactly("An extra shift for bo and ina, Mon 1 Feb, 16:00 to 20:00");
    }

    /** The part comes on Wednesday at noon: neither Monday's nor Tuesday's evening would help. */
    @Test
    void nobodyStaysLateForAPartThatComesTheDayAfter() {
        Shops shops = shop();
        shops.person("bo", "fit")
                .part("shaft", shops.instant(2, 12, 0), 0)
                .job("fit it", "car", 420, "fit", needs("shaft"))
                .due("date", "car", shops.instant(3, 9, 0));
        assertThat(ofKind(Move.ExtraShift.class, shops)).containsExactly(List.of(evening("bo", 2)));
    }

    @Test
    void aFreeDayIsAskedForWhereItComesBeforeTheDate() {
        Shops shops = shop();
        shops.person("bo", "fit").job("much", "car", 5 * 480 + 420, "fit").due("date", "car", shops.instant(7, 9, 0));
        assertThat(ofKind(Move.ExtraShift.class, shops))
                .contains(List.of(new Move.ExtraShift(
                        new PersonId("bo"), MONDAY.plusDays(5), LocalTime.of(8, 0), LocalTime.of(16, 0))));
    }

    @Test
    void aSecondHandIsLentWhereThereIsOne() {
        assertThat(ofKind(Move.SecondHand.class, tenHours().person("bo", "fit").person("ina", "weld")))
                .isEmpty();
        assertThat(ofKind(Move.SecondHand.class, tenHours().person("bo", "fit").person("ina", "fit")))
                .containsExactly(List.of(new Move.SecondHand(new WorkId("long"))));
    }

    /** Of three in a row for one gate the last closes it, and what makes it safe comes before. */
    @Test
    void whatClosesAGateIsNeverStartedAtRisk() {
        Shops shops = shop();
        shops.person("bo", "fit")
                .job("lines", "car", 120, "fit")
                .job("leak test", "car", 120, "fit")
                .job("fire", "car", 300, "fit")
                .after("lines", "leak test")
                .after("leak test", "fire")
                .due("date", "car", shops.instant(0, 15, 0));
        assertThat(ofKind(Move.StartAtRisk.class, shops))
                .containsExactly(List.of(new Move.StartAtRisk(new LinkId("l0"))));
    }

    /** Ten hours of work from Monday morning are done at 18:00 with the evening, not on Tuesday at 10:00. */
    @Test
    void theEveningWinsTheDateBack() {
        ShopSnapshot shop = tenHours().person("bo", "fit").snapshot();
        var thought = Planner.think(shop, PlanOptions.once(), (s, b) -> true);
        List<Rescue.Tried> tried = Rescue.of(shop, thought.plan(), DATE, LUCK, p -> {});
        Map<List<Move>, Rescue.Tried> by = new HashMap<>();
        tried.forEach(t -> by.put(t.moves(), t));
        Rescue.Tried stayed = by.get(List.<Move>of(evening("bo", 0)));
        assertThat(stayed.marginBefore()).contains(Minutes.of(-60));
        assertThat(stayed.marginAfter().orElseThrow().value()).isPositive();
        assertThat(stayed.chanceBefore()).isZero();
        assertThat(stayed.chanceAfter()).isEqualTo(1);
    }

    @Test
    void noPairDoesTwoThingsWithOnePart() {
        Shops shops = shop();
        shops.person("bo", "fit")
                .part("shaft", shops.instant(2, 12, 0), 0)
                .job("fit it", "car", 420, "fit", needs("shaft"))
                .due("date", "car", shops.instant(2, 16, 0));
        ShopSnapshot shop = shops.snapshot();
        var thought = Planner.think(shop, PlanOptions.once(), (s, b) -> true);
        List<List<Move>> tried = new ArrayList<>();
        Rescue.of(shop, thought.plan(), DATE, LUCK, p -> {}).forEach(t -> tried.add(t.moves()));
        assertThat(tried).isNotEmpty();
        assertThat(tried)
                .noneMatch(moves -> moves.stream().anyMatch(Move.Expedite.class::isInstance)
                        && moves.stream().anyMatch(Move.InterimFix.class::isInstance));
    }
}
