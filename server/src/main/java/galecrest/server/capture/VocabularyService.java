package galecrest.server.capture;

import galecrest.core.build.BuildId;
import galecrest.core.parts.PartLine;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.sheet.Vocabulary;
import galecrest.core.work.Job;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import galecrest.server.work.WorkRepository;
import java.util.List;
import org.springframework.stereotype.Service;

/** The words that a line about a car may use: those of the shop as it is. */
@Service
class VocabularyService {
    private final WorkRepository works;

    VocabularyService(WorkRepository works) {
        this.works = works;
    }

    /** @param nearest what goes on at the car and what comes next, the first first */
    Vocabulary of(ShopSnapshot shop, String build, List<String> nearest) {
        BuildId car = new BuildId(build);
        List<Job> jobs = shop.works().stream()
                .filter(w -> w instanceof Job && w.build().equals(car) && w.status() != Status.DONE)
                .map(w -> (Job) w)
                .toList();
        return new Vocabulary(
                skills(shop),
                people(shop),
                jobs.stream().map(j -> named(j.id().value(), j)).toList(),
                nearest,
                shop.parts().stream()
                        .filter(p -> !p.state().here())
                        .filter(p -> neededBy(p, jobs).size() > 0)
                        .map(p -> new Vocabulary.Part(p.id().value(), p.name(), neededBy(p, jobs)))
                        .toList(),
                shop.commitments().stream()
                        .filter(c -> c.build().equals(car))
                        .map(c -> new Vocabulary.Named(c.id().value(), c.name()))
                        .toList(),
                works.stages(build).values().stream().distinct().sorted().toList());
    }

    /** Those of the shop alone, for lines that are jobs and nothing else. */
    Vocabulary ofShop(ShopSnapshot shop) {
        return new Vocabulary(skills(shop), people(shop), List.of(), List.of(), List.of(), List.of(), List.of());
    }

    private static List<String> skills(ShopSnapshot shop) {
        return shop.people().stream()
                .flatMap(p -> p.skills().keySet().stream())
                .distinct()
                .sorted()
                .toList();
    }

    private static List<Vocabulary.Named> people(ShopSnapshot shop) {
        return shop.people().stream()
                .map(p -> new Vocabulary.Named(p.id().value(), p.name()))
                .toList();
    }

    private static Vocabulary.Named named(String id, Work work) {
        return new Vocabulary.Named(id, work.name());
    }

    private static List<String> neededBy(PartLine part, List<Job> jobs) {
        return jobs.stream()
                .filter(j -> j.parts().contains(part.id()))
                .map(j -> j.id().value())
                .toList();
    }
}
