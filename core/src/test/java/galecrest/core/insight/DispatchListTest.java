package galecrest.core.insight;

import static galecrest.core.plan.Shops.JobShape.needs;
import static galecrest.core.plan.Shops.shop;
import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.people.PersonId;
import galecrest.core.plan.Because;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.RandomShops;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.plan.Shops;
import galecrest.core.planner.Planner;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What can be worked on now and what holds the rest, by hand and on random shops. */
class DispatchListTest {
    private static DispatchList list(ShopSnapshot shop) {
        var thought = Planner.think(shop, PlanOptions.interactive(shop), (s, b) -> true);
        return DispatchList.of(shop, thought.plan(), LatestDates.latestStarts(shop, thought.plan()));
    }

    /** Two fitters, three jobs at hand, one that waits for a part and one behind it. */
    @Test
    void everybodyHasWhatOnlyWaitsForHandsAndTheRestItsReason() {
        Shops shops = shop().person("bo", "fit").person("kit", "fit");
        shops.part("flange", shops.instant(2, 12, 0), 0)
                .job("urgent", "car", 240, "fit")
                .job("later", "car", 240, "fit")
                .job("last", "car", 240, "fit")
                .job("exhaust", "car", 60, "fit", needs("flange"))
                .job("fire up", "car", 60, "fit")
                .after("exhaust", "fire up")
                .due("race", "car", shops.instant(4, 9, 0));
        DispatchList list = list(shops.snapshot());
        assertThat(list.people()).hasSize(2);
        Set<String> own = new HashSet<>();
        for (DispatchList.OfPerson person : list.people()) {
            assertThat(person.ready()).extracting(r -> r.work().value()).contains("urgent", "later", "last");
            assertThat(person.ready()).extracting(r -> r.work().value()).doesNotContain("exhaust", "fire up");
            assertThat(person.ready().get(0).own()).isTrue();
            own.add(person.ready().get(0).work().value());
        }
        assertThat(own).as("nobody's first is another's").hasSize(2);
        assertThat(list.held()).singleElement().satisfies(h -> {
            assertThat(h.work().value()).isEqualTo("exhaust");
            assertThat(h.because()).isInstanceOf(Because.Part.class);
            assertThat(h.behind()).isEqualTo(1);
        });
    }

    @Test
    void whatGoesBeforeIsNeverSkipped() {
        for (int seed = 0; seed < 40; seed++) {
            ShopSnapshot shop = RandomShops.shop(seed, 25);
            Set<Object> open = new HashSet<>();
            Set<Object> started = new HashSet<>();
            shop.works().stream()
                    .filter(w -> w.status() == Status.STARTED)
                    .map(Work::id)
                    .forEach(started::add);
            shop.works().stream()
                    .filter(w -> w.status() != Status.DONE)
                    .map(Work::id)
                    .forEach(open::add);
            DispatchList list = list(shop);
            assertThat(list.people())
                    .extracting(DispatchList.OfPerson::person)
                    .isEqualTo(
                            shop.people().stream().map(p -> (PersonId) p.id()).toList());
            List<Object> ready = list.people().stream()
                    .flatMap(p -> p.ready().stream())
                    .<Object>map(DispatchList.Ready::work)
                    .distinct()
                    .toList();
            assertThat(open).containsAll(ready);
            shop.links().stream()
                    .filter(l -> l.type() == galecrest.core.work.Link.Type.FINISH_START
                            && l.risk().isEmpty())
                    .filter(l -> open.contains(l.first()) && !started.contains(l.then()))
                    .forEach(l -> assertThat(ready).as("seed of %s", l).doesNotContain(l.then()));
            list.held().forEach(h -> assertThat(ready).doesNotContain(h.work()));
        }
    }
}
