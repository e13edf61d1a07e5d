package galecrest.server.wall;

import galecrest.core.build.Build;
import galecrest.core.gate.GateStatus;
import galecrest.core.people.Person;
import galecrest.core.plan.Plan;
import galecrest.core.plan.ReasonText;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.time.Minutes;
import galecrest.core.work.Commitment;
import galecrest.core.work.CommitmentId;
import galecrest.core.work.Job;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import galecrest.server.NewId;
import galecrest.server.access.CurrentUser;
import galecrest.server.access.ManagerOnly;
import galecrest.server.access.Role;
import galecrest.server.gate.GateService;
import galecrest.server.journal.Journal;
import galecrest.server.plan.PlanService;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import galecrest.server.shop.NameRepository;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** What the screen in the workshop shows, to whoever has a link to it; and the links. */
@Service
class WallService {
    private static final int MOST_NEWS = 8;
    private static final int MOST_LINKS = 20;
    private static final Duration NEWS = Duration.ofHours(1);

    private final WallRepository record;
    private final PlanService plans;
    private final GateService gates;
    private final NameRepository names;
    private final Journal journal;
    private final Clock clock;
    private final CurrentUser who;

    WallService(
            WallRepository record,
            PlanService plans,
            GateService gates,
            NameRepository names,
            Journal journal,
            Clock clock,
            CurrentUser who) {
        this.record = record;
        this.plans = plans;
        this.gates = gates;
        this.names = names;
        this.journal = journal;
        this.clock = clock;
        this.who = who;
    }

    @ManagerOnly
    List<WallLinkResponse> links() {
        return record.open();
    }

    @ManagerOnly
    MadeWallLinkResponse make() {
        String token = NewId.secret();
        journal.judge(() -> {
            if (record.open().size() >= MOST_LINKS) {
                throw new ValidationException(
                        "link", "There are " + MOST_LINKS + " links to the wall already; revoke one first.");
            }
            record.insert(NewId.hash(token), clock.instant(), who.name());
            return "made a link to the wall";
        });
        return new MadeWallLinkResponse("/wall/" + token);
    }

    @ManagerOnly
    void revoke(String id) {
        journal.change("revoked a link to the wall", () -> {
            if (!record.revoke(id, clock.instant())) {
                throw new NotFoundException("link");
            }
        });
    }

    private void mayLook(String token) {
        if (!record.isOpen(NewId.hash(token))) {
            throw new NotFoundException("wall");
        }
    }

    /** The number of the last change, for a screen that asks whether it must draw anew. */
    long change(String token) {
        mayLook(token);
        return journal.last();
    }

    WallResponse look(String token) {
        mayLook(token);
        PlanService.Current told = PlanService.told(plans.current());
        ShopSnapshot shop = told.shop();
        Instant now = clock.instant();
        ZoneId zone = names.zone();
        Instant tomorrow =
                now.atZone(zone).toLocalDate().plusDays(1).atStartOfDay(zone).toInstant();
        ReasonText words = new ReasonText(shop);
        Set<String> noCars = Set.copyOf(record.noCars());
        return new WallResponse(
                told.change(),
                names.shop(),
                zone.getId(),
                shop.rules().says(),
                now,
                people(shop, told.plan(), words, now),
                record.arrivals(
                        now.atZone(zone).toLocalDate().atStartOfDay(zone).toInstant(), tomorrow),
                shop.builds().stream()
                        .filter(b -> !b.isParked(now) && !noCars.contains(b.id().value()))
                        .map(b -> car(b, shop, told.plan()))
                        .toList(),
                journal.latest(Role.HAND, Long.MAX_VALUE, MOST_NEWS).stream()
                        .filter(e -> e.at().isAfter(now.minus(NEWS)))
                        .map(e -> new WallResponse.WallNewsResponse(e.at(), e.actor(), e.summary()))
                        .toList());
    }

    /** Who is on what: what goes on, else what is next for them today. */
    private static List<WallResponse.WallPersonResponse> people(
            ShopSnapshot shop, Plan plan, ReasonText words, Instant now) {
        Map<WorkId, Work> works = shop.works().stream().collect(Collectors.toMap(Work::id, Function.identity()));
        return shop.people().stream()
                .map(person -> plan.placed().stream()
                        .filter(p -> p.crew().contains(person.id()) && p.end().isAfter(now))
                        .min(Comparator.comparing((Plan.Placed p) -> !goesOn(works.get(p.work()), person))
                                .thenComparing(Plan.Placed::start))
                        .map(p -> on(person, p, works.get(p.work()), words))
                        .orElse(new WallResponse.WallPersonResponse(person.name(), null, null, false, null)))
                .toList();
    }

    private static boolean goesOn(Work work, Person person) {
        return work instanceof Job job
                && job.started().filter(s -> s.by().contains(person.id())).isPresent();
    }

    private static WallResponse.WallPersonResponse on(Person person, Plan.Placed placed, Work work, ReasonText words) {
        boolean begun = goesOn(work, person);
        return new WallResponse.WallPersonResponse(
                person.name(), work.name(), words.build(work.build()), begun, begun ? placed.end() : placed.start());
    }

    private WallResponse.WallCarResponse car(Build build, ShopSnapshot shop, Plan plan) {
        Optional<Commitment> next = shop.commitments().stream()
                .filter(c -> c.build().equals(build.id()) && c.due().isAfter(shop.now()))
                .min(Comparator.comparing(Commitment::due));
        Optional<Plan.Outlook> outlook = next.map(Commitment::id).flatMap(id -> outlook(plan, id));
        return new WallResponse.WallCarResponse(
                build.number(),
                build.name(),
                next.map(Commitment::name).orElse(null),
                next.map(Commitment::due).orElse(null),
                outlook.flatMap(Plan.Outlook::margin).map(Minutes::value).orElse(null),
                outlook.map(Plan.Outlook::late).orElse(false),
                next.map(c -> open(build, c)).orElse(0));
    }

    private static Optional<Plan.Outlook> outlook(Plan plan, CommitmentId id) {
        return plan.outlooks().stream().filter(o -> o.commitment().equals(id)).findFirst();
    }

    private int open(Build build, Commitment date) {
        return gates.stateOf(build.id().value(), date.gate())
                .filter(g -> g.state() != GateStatus.State.PASSED)
                .map(g -> g.open().size())
                .orElse(0);
    }
}
