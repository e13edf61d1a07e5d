package galecrest.core.plan;

import galecrest.core.parts.PartLine;
import galecrest.core.shop.Problem;
import galecrest.core.work.Job;
import galecrest.core.work.Link;
import galecrest.core.work.Outwork;
import galecrest.core.work.Pin;
import galecrest.core.work.Work;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/** Finds all that is wrong with a snapshot as a whole: names used twice, things that do not exist, circles. */
public final class SnapshotValidator {
    private final ShopSnapshot shop;
    private final LinkIndex ends;
    private final List<Problem> problems = new ArrayList<>();

    private SnapshotValidator(ShopSnapshot shop, LinkIndex ends) {
        this.shop = shop;
        this.ends = ends;
    }

    /** All problems; empty where the snapshot can be planned. */
    public static List<Problem> problems(ShopSnapshot shop) {
        return problems(shop, LinkIndex.of(shop.works(), shop.links()));
    }

    /** The same, where the ends of the links are known already. */
    public static List<Problem> problems(ShopSnapshot shop, LinkIndex ends) {
        SnapshotValidator check = new SnapshotValidator(shop, ends);
        check.check();
        return List.copyOf(check.problems);
    }

    private void check() {
        var people = ids("people", shop.people(), p -> p.id());
        var stations = ids("stations", shop.stations(), s -> s.id());
        var vendors = ids("vendors", shop.vendors(), v -> v.id());
        var builds = ids("builds", shop.builds(), b -> b.id());
        var works = ends.clear() ? ends.numbers().keySet() : ids("works", shop.works(), Work::id);
        var parts = ids("parts", shop.parts(), p -> p.id());
        ids("links", shop.links(), l -> l.id());
        ids("pins", shop.pins(), p -> p.id());
        ids("commitments", shop.commitments(), c -> c.id());
        for (Work work : shop.works()) {
            known("build of ", work.name(), work.build(), builds);
            if (work instanceof Job job) {
                job.parts().forEach(p -> known("part of ", job.name(), p, parts));
                job.started().ifPresent(s -> {
                    s.by().forEach(p -> known("crew of ", job.name(), p, people));
                    s.station().ifPresent(id -> known("station of ", job.name(), id, stations));
                });
            } else if (work instanceof Outwork outwork) {
                known("vendor of ", work.name(), outwork.vendor(), vendors);
            }
        }
        for (PartLine part : shop.parts()) {
            part.pairedWith().ifPresent(p -> known("pair of ", part.name(), p, parts));
        }
        links();
        shop.commitments().forEach(c -> {
            known("build of ", c.name(), c.build(), builds);
            c.works().forEach(w -> known("works of ", c.name(), w, works));
            c.leftForLater().forEach(w -> known("work left for later by ", c.name(), w, works));
            c.slotOf().ifPresent(w -> known("outwork of ", c.name(), w, works));
            c.outing().ifPresent(o -> {
                o.crew().forEach(p -> known("crew of ", c.name(), p, people));
                o.takes().forEach(s -> known("station taken to ", c.name(), s, stations));
                o.there().forEach(w -> known("work done at ", c.name(), w, works));
            });
        });
        for (var pin : shop.pins()) {
            known("pin", pin.work(), works);
            if (pin instanceof Pin.ToPerson p) {
                known("pin", p.person(), people);
            } else if (pin instanceof Pin.ToStation p) {
                known("pin", p.station(), stations);
            } else if (pin instanceof Pin.After p) {
                known("pin", p.first(), works);
            }
        }
        ends.circle()
                .ifPresent(names ->
                        problems.add(new Problem("links", "The links close a circle: " + String.join(" → ", names))));
    }

    private void links() {
        Set<Long> ties = new HashSet<>(2 * shop.links().size());
        for (int i = 0; i < shop.links().size(); i++) {
            Link link = shop.links().get(i);
            long tie = (long) ends.from()[i] * ends.names().size() + ends.to()[i];
            if (!ties.add(tie * Link.Type.values().length + link.type().ordinal())) {
                problems.add(
                        new Problem("links", "Two links of one kind tie " + link.first() + " to " + link.then() + "."));
            }
            if (ends.unknown(ends.from()[i])) {
                unknown("link", link.first());
            }
            if (ends.unknown(ends.to()[i])) {
                unknown("link", link.then());
            }
        }
    }

    private <T, I> Set<I> ids(String field, Collection<T> things, Function<T, I> id) {
        Set<I> ids = new HashSet<>(2 * things.size());
        for (T thing : things) {
            if (!ids.add(id.apply(thing))) {
                problems.add(new Problem(field, "The id " + id.apply(thing) + " is used twice."));
            }
        }
        return ids;
    }

    private <I> void known(String field, I id, Set<I> ids) {
        known(field, "", id, ids);
    }

    private <I> void known(String field, String of, I id, Set<I> ids) {
        if (!ids.contains(id)) {
            unknown(field + of, id);
        }
    }

    private void unknown(String field, Object id) {
        problems.add(new Problem(field, "There is nothing with the id " + id + "."));
    }

    /** Names of the work on a circle that the links close, the first one again at the end; empty where none does. */
    public static Optional<List<String>> circle(Collection<? extends Work> works, Collection<Link> links) {
        return LinkIndex.of(works, links).circle();
    }
}
