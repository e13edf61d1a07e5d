package galecrest.server.demo;

import galecrest.core.parts.PartLine;
import galecrest.core.parts.PartState;
import galecrest.core.people.Person;
import galecrest.core.people.PersonId;
import galecrest.core.people.WorkingDay;
import galecrest.core.plan.Plan;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.time.Minutes;
import galecrest.core.work.Job;
import galecrest.core.work.Outwork;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import galecrest.server.access.Account;
import galecrest.server.access.ManagerOnly;
import galecrest.server.access.Role;
import galecrest.server.journal.Journal;
import galecrest.server.parts.PartLineRepository;
import galecrest.server.plan.PlanService;
import galecrest.server.problem.ValidationException;
import galecrest.server.progress.ProgressService;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Collectors;
import org.springframework.context.annotation.Profile;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Service;

/**
 * A day goes by in the demo: the hands start and finish what the plan has for them, a little sooner or later than thought,
 * parcels come, and it is the next morning. All of it goes the way that it goes on the phones.
 */
@Service
@Profile("demo")
class DemoDay {
    private static final Duration STEP = Duration.ofMinutes(30);
    /** From so little left on a job is done soon; some take longer than was thought. */
    private static final Minutes NEARLY = Minutes.of(20);

    private static final double DONE_AT_A_STEP = 0.7;
    private static final DateTimeFormatter SAID = DateTimeFormatter.ofPattern("EEEE d MMMM, HH:mm", Locale.ENGLISH);

    private final DemoClock clock;
    private final PlanService plans;
    private final ProgressService progress;
    private final PartLineRepository parts;
    private final Journal journal;
    private final AtomicBoolean going = new AtomicBoolean();

    DemoDay(DemoClock clock, PlanService plans, ProgressService progress, PartLineRepository parts, Journal journal) {
        this.clock = clock;
        this.plans = plans;
        this.progress = progress;
        this.parts = parts;
        this.journal = journal;
    }

    boolean moves() {
        return clock.moves();
    }

    /** Lets the rest of the day go by; returns the morning in words. */
    @ManagerOnly
    public String nextMorning() {
        if (!clock.moves()) {
            throw new ValidationException("clock", "The clock of this shop is set from outside.");
        }
        if (!going.compareAndSet(false, true)) {
            throw new ValidationException("clock", "The day is going by already.");
        }
        try {
            // Apart from the manager's request: what the hands do is not the manager's to undo.
            CompletableFuture.runAsync(this::goBy).join();
            return SAID.format(clock.now().atZone(DemoShop.ZONE));
        } catch (CompletionException e) {
            throw e.getCause() instanceof RuntimeException cause ? cause : e;
        } finally {
            going.set(false);
        }
    }

    private void goBy() {
        Instant morning = clock.nextMorning();
        Random luck = new Random(morning.getEpochSecond());
        Set<WorkId> tried = new HashSet<>();
        for (Instant now = clock.now().plus(STEP); now.isBefore(morning); now = now.plus(STEP)) {
            if (!anybodyIn(plans.shop(), now)) {
                continue;
            }
            clock.moveTo(now);
            parcels(plans.shop());
            finish(plans.shop(), luck);
            start(plans.current(), tried);
        }
        clock.moveTo(morning);
        as(Optional.empty(), () -> journal.change("it is " + SAID.format(morning.atZone(DemoShop.ZONE)), () -> {}));
    }

    private static boolean anybodyIn(ShopSnapshot shop, Instant now) {
        return shop.people().stream().anyMatch(p -> isIn(shop, p, now));
    }

    private static boolean isIn(ShopSnapshot shop, Person person, Instant now) {
        LocalDate day = LocalDate.ofInstant(now, shop.zone());
        return WorkingDay.of(person, day, shop.zone()).stream()
                .anyMatch(s -> !now.isBefore(s.from()) && now.isBefore(s.to()));
    }

    /** What is expected by now comes, is as ordered, and is accepted. */
    private void parcels(ShopSnapshot shop) {
        for (PartLine part : shop.parts()) {
            boolean comes = (part.state() == PartState.ORDERED || part.state() == PartState.SHIPPED)
                    && shop.expected(part)
                            .filter(a -> !a.likely().isAfter(shop.now()))
                            .isPresent();
            if (comes) {
                as(
                        Optional.empty(),
                        () -> journal.judge(() -> {
                            int quantity =
                                    parts.part(part.id().value()).orElseThrow().quantity();
                            parts.received(part.id().value(), quantity, PartState.ACCEPTED);
                            return part.name() + " came and is accepted";
                        }));
            }
        }
        shop.works().stream()
                .filter(w -> w instanceof Outwork o
                        && o.away()
                                .filter(a -> !a.back().likely().isAfter(shop.now()))
                                .isPresent())
                .forEach(w -> as(
                        Optional.empty(),
                        () -> journal.judge(() -> {
                            progress.isBack(w.id().value());
                            return w.name() + " is back";
                        })));
    }

    private void finish(ShopSnapshot shop, Random luck) {
        for (Work work : shop.works()) {
            if (work instanceof Job job
                    && job.status() == Status.STARTED
                    && job.hold().isEmpty()
                    && job.toDo().compareTo(NEARLY) <= 0
                    && job.started().filter(s -> !s.by().isEmpty()).isPresent()
                    && luck.nextDouble() < DONE_AT_A_STEP) {
                PersonId by = job.started().orElseThrow().by().get(0);
                as(person(shop, by), () -> progress.done(job.id().value()));
            }
        }
    }

    /** Whoever is in and free begins what the plan has for now. */
    private void start(PlanService.Current now, Set<WorkId> tried) {
        ShopSnapshot shop = now.shop();
        Map<WorkId, Work> works = shop.works().stream().collect(Collectors.toMap(Work::id, w -> w));
        Set<PersonId> busy = shop.works().stream()
                .filter(w -> w instanceof Job)
                .flatMap(w -> ((Job) w).started().stream())
                .flatMap(s -> s.by().stream())
                .collect(Collectors.toCollection(HashSet::new));
        List<Plan.Placed> due = now.plan().placed().stream()
                .filter(p -> !p.start().isAfter(shop.now().plus(Duration.ofMinutes(5))))
                .filter(p -> works.get(p.work()) instanceof Job job
                        && job.status() != Status.DONE
                        && job.hold().isEmpty()
                        && !p.crew().isEmpty())
                .sorted(Comparator.comparing(Plan.Placed::start))
                .toList();
        for (Plan.Placed placed : due) {
            boolean free = placed.crew().stream().noneMatch(busy::contains)
                    && placed.crew().stream().allMatch(c -> person(shop, c)
                            .filter(p -> isIn(shop, p, shop.now()))
                            .isPresent());
            if (free && !tried.contains(placed.work())) {
                busy.addAll(placed.crew());
                as(person(shop, placed.crew().get(0)), () -> begin(placed.work(), tried));
            }
        }
    }

    private void begin(WorkId work, Set<WorkId> tried) {
        try {
            progress.start(work.value(), true);
        } catch (ValidationException refused) {
            // A gate that cannot be passed yet: somebody must see to it first.
            tried.add(work);
        }
    }

    private static Optional<Person> person(ShopSnapshot shop, PersonId id) {
        return shop.people().stream().filter(p -> p.id().equals(id)).findFirst();
    }

    /** Does it as that person would on the phone, or as the shop itself. */
    private static void as(Optional<Person> person, Runnable what) {
        Account account = person.map(p -> new Account(p.id().value(), p.name(), Role.HAND, p.id().value()))
                .orElse(new Account("demo", "Brackwater Works", Role.LEAD, null));
        SecurityContextHolder.getContext()
                .setAuthentication(UsernamePasswordAuthenticationToken.authenticated(
                        account, null, List.of(new SimpleGrantedAuthority("ROLE_" + account.role()))));
        try {
            what.run();
        } finally {
            SecurityContextHolder.clearContext();
        }
    }
}
