package galecrest.core.rehearse;

import galecrest.core.build.BuildId;
import galecrest.core.parts.PartLine;
import galecrest.core.parts.PartState;
import galecrest.core.people.Person;
import galecrest.core.people.PersonId;
import galecrest.core.people.ShiftChange;
import galecrest.core.people.WorkingDay;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanOptions;
import galecrest.core.plan.ReasonText;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.planner.Planner;
import galecrest.core.rescue.Move;
import galecrest.core.rescue.MoveEffects;
import galecrest.core.risk.RiskProfile;
import galecrest.core.time.Arrival;
import galecrest.core.time.DurationText;
import galecrest.core.time.Minutes;
import galecrest.core.work.Commitment;
import galecrest.core.work.CommitmentId;
import galecrest.core.work.Estimate;
import galecrest.core.work.Job;
import galecrest.core.work.Outwork;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A shop that is played on: people do what the plan has for them, everything takes as long as luck has it, and whenever
 * something comes otherwise than was thought the plan is mended as it would be in life. Nothing of it is in any record. The
 * same shop, luck and decisions give the same week.
 */
public final class Rehearsal {
    /** When a turn ends: in the morning before work, and at noon. */
    private static final List<LocalTime> TURNS = List.of(LocalTime.of(7, 30), LocalTime.of(12, 30));

    private static final Duration TICK = Duration.ofMinutes(15);
    private static final int LONGEST_WEEKEND = 10;
    /** What takes so much longer than was thought is worth telling: a third. */
    private static final double LONG = 1.33;

    private final Luck luck;
    private ShopSnapshot shop;
    private Plan plan;
    /** Minutes that jobs which have begun really take yet. */
    private final Map<WorkId, Double> left = new HashMap<>();

    private final Set<WorkId> toldLong = new HashSet<>();
    private final List<Event> events = new ArrayList<>();

    /** Begins with the shop as it is. */
    public Rehearsal(ShopSnapshot shop, Luck luck) {
        this.shop = shop;
        this.luck = luck;
        plan = planned(shop);
        settle();
    }

    private static Plan planned(ShopSnapshot shop) {
        return Planner.plan(shop, PlanOptions.interactive(shop));
    }

    /** The shop as it stands. */
    public ShopSnapshot shop() {
        return shop;
    }

    /** The plan as it stands. */
    public Plan plan() {
        return plan;
    }

    /** How each date stands. */
    public List<Standing> standings() {
        return Standing.of(plan);
    }

    /** Hours late, all dates together, each by how much it matters. */
    public double lateness() {
        return Standing.lateness(shop, plan);
    }

    /** What would be with a decision: the shop, and its plan. */
    Rehearsal deciding(List<Move> moves) {
        Rehearsal other = new Rehearsal(shop, luck, plan);
        other.decide(moves);
        return other;
    }

    private Rehearsal(ShopSnapshot shop, Luck luck, Plan plan) {
        this.shop = shop;
        this.luck = luck;
        this.plan = plan;
    }

    /** Something is decided; the plan answers. */
    public void decide(List<Move> moves) {
        for (Move move : moves) {
            shop = MoveEffects.apply(shop, move);
        }
        if (!moves.isEmpty()) {
            settle();
        }
    }

    /** The plan that stands is mended, and moves no more than it must. */
    private void mend() {
        shop = shop.withPublished(plan);
        plan = planned(shop);
    }

    /** At a turn the work of cars whose dates are in trouble may come sooner or later, as a better plan on offer has it. */
    private void settle() {
        mend();
        Set<CommitmentId> trouble = standings().stream()
                .filter(Standing::inTrouble)
                .map(Standing::date)
                .collect(Collectors.toSet());
        Set<BuildId> builds = shop.commitments().stream()
                .filter(c -> trouble.contains(c.id()))
                .map(Commitment::build)
                .collect(Collectors.toSet());
        if (!builds.isEmpty()) {
            ShopSnapshot standing = shop.withPublished(plan);
            Plan other =
                    Planner.plan(standing, PlanOptions.interactive(standing).lettingGo(builds));
            if (Standing.lateness(standing, other) < Standing.lateness(standing, plan)
                    || Standing.spare(other, trouble) > Standing.spare(plan, trouble)) {
                shop = standing;
                plan = other;
            }
        }
    }

    /** Plays on to the next turn; what happened meanwhile, in order. */
    public List<Event> playOn() {
        events.clear();
        Instant until = nextTurn(shop.now());
        for (Instant now = shop.now().plus(TICK); !now.isAfter(until); now = now.plus(TICK)) {
            if (anybodyIn(now) || now.equals(until)) {
                tick(now);
            }
        }
        if (shop.now().isBefore(until)) {
            tick(until);
        }
        settle();
        return List.copyOf(events);
    }

    /** The next morning or noon of a day on which anybody is in. */
    Instant nextTurn(Instant now) {
        LocalDate day = LocalDate.ofInstant(now, shop.zone());
        for (int ahead = 0; ahead <= LONGEST_WEEKEND; ahead++) {
            LocalDate at = day.plusDays(ahead);
            if (shop.people().stream()
                    .anyMatch(p -> !WorkingDay.of(p, at, shop.zone()).isEmpty())) {
                for (LocalTime turn : TURNS) {
                    Instant moment = at.atTime(turn).atZone(shop.zone()).toInstant();
                    if (moment.isAfter(now)) {
                        return moment;
                    }
                }
            }
        }
        return now.plus(Duration.ofDays(1));
    }

    private boolean anybodyIn(Instant now) {
        return shop.people().stream().anyMatch(p -> isIn(p, now));
    }

    private boolean isIn(Person person, Instant now) {
        return WorkingDay.of(person, LocalDate.ofInstant(now, shop.zone()), shop.zone()).stream()
                .anyMatch(s -> now.isAfter(s.from()) && !now.isAfter(s.to()));
    }

    private void tick(Instant now) {
        Instant before = shop.now();
        shop = shop.at(now);
        boolean otherwise = ill(before, now) | comes(now) | works(before, now);
        if (otherwise) {
            mend();
        }
        if (begin(now)) {
            mend();
        }
    }

    /** At the first tick of a day it shows who is not there. */
    private boolean ill(Instant before, Instant now) {
        LocalDate day = LocalDate.ofInstant(now, shop.zone());
        if (day.equals(LocalDate.ofInstant(before, shop.zone()))) {
            return false;
        }
        Set<PersonId> ill = shop.people().stream()
                .filter(p -> !WorkingDay.of(p, day, shop.zone()).isEmpty() && luck.ill(p.id(), day))
                .map(Person::id)
                .collect(Collectors.toSet());
        shop = shop.withPeople(shop.people().stream()
                .map(p -> ill.contains(p.id()) ? p.with(ShiftChange.leave(day, day, "ill")) : p)
                .toList());
        ill.forEach(p -> tell(say().person(p) + " is ill today", true));
        return !ill.isEmpty();
    }

    private ReasonText say() {
        return new ReasonText(shop);
    }

    /** Work with its car. */
    private String called(Work work) {
        return say().build(work.build()) + " " + work.name();
    }

    private void tell(String said, boolean bad) {
        events.add(new Event(shop.now(), said, bad));
    }

    /** Parts and outside work come when luck has it. */
    private boolean comes(Instant now) {
        List<PartLine> parts = new ArrayList<>();
        boolean any = false;
        for (PartLine part : shop.parts()) {
            Optional<Arrival> promised = part.state().here() ? Optional.empty() : shop.expected(part);
            boolean here = promised.filter(p -> part.state() == PartState.ORDERED || part.state() == PartState.SHIPPED)
                    .map(p -> luck.comes(RiskProfile.What.PART, part.id().value(), p))
                    .filter(at -> !at.isAfter(now))
                    .isPresent();
            any |= here;
            parts.add(here ? part.accepted() : part);
            if (here) {
                boolean late = promised.orElseThrow().likely().isBefore(now.minus(Duration.ofHours(12)));
                tell(part.name() + " is here" + (late ? ", late" : ""), late);
            }
        }
        shop = any ? shop.withParts(parts) : shop;
        return any;
    }

    /** Who is at work works; what is finished is finished. Whether anything came otherwise than the plan has it. */
    private boolean works(Instant before, Instant now) {
        double minutes = Duration.between(before, now).toMinutes();
        List<Work> all = new ArrayList<>();
        List<Work> found = new ArrayList<>();
        boolean any = false;
        for (Work work : shop.works()) {
            Work after = work;
            if (work instanceof Job job && goesOn(job) && crewIsIn(job, now)) {
                after = worked(job, minutes, found);
            } else if (work instanceof Outwork outwork && outwork.away().isPresent()) {
                after = back(outwork, now);
            }
            any |= after.status() == Status.DONE && work.status() != Status.DONE;
            all.add(after);
        }
        all.addAll(found);
        shop = shop.withWorks(all);
        return any;
    }

    private static boolean goesOn(Job job) {
        return job.status() == Status.STARTED
                && job.hold().isEmpty()
                && job.started().filter(s -> !s.by().isEmpty()).isPresent();
    }

    private boolean crewIsIn(Job job, Instant now) {
        List<PersonId> by = job.started().orElseThrow().by();
        return shop.people().stream().filter(p -> by.contains(p.id())).allMatch(p -> isIn(p, now));
    }

    private Work worked(Job job, double minutes, List<Work> found) {
        double rest = left.computeIfAbsent(job.id(), id -> takesYet(job)) - minutes;
        left.put(job.id(), rest);
        if (rest > 0) {
            Job on = job.afterWorking(Minutes.of(Math.round(minutes)));
            boolean over = job.toDo().value() <= minutes
                    && luck.takes(job.id(), job.estimate())
                            >= LONG * job.estimate().likely().value();
            if (over && toldLong.add(job.id())) {
                tell(called(job) + " takes longer than was thought", true);
            }
            return on.asStarted(on.remaining(), job.started().orElseThrow());
        }
        job.findings().filter(f -> luck.finds(job.id(), f)).ifPresent(f -> {
            found.add(job.another(
                    new WorkId(job.id().value() + "-found"),
                    "Found at " + job.name(),
                    Estimate.ofMinutes(
                            Math.max(1, f.work().value() / 2),
                            Math.max(1, f.work().value()),
                            Math.max(1, 2 * f.work().value()))));
            tell("Found at " + called(job) + ": " + DurationText.of(f.work()) + " more", true);
        });
        return job.asDone(shop.now());
    }

    /** What a job really takes: as luck has it for the whole, less the share that is behind it. */
    private double takesYet(Job job) {
        double all = luck.takes(job.id(), job.estimate());
        double share = job.toDo().value() / (double) job.estimate().likely().value();
        return Math.max(1, all * Math.min(1, share));
    }

    private Work back(Outwork outwork, Instant now) {
        Arrival promised = shop.expected(outwork).orElseThrow();
        Instant comes = luck.comes(RiskProfile.What.OUTWORK, outwork.id().value(), promised);
        if (comes.isAfter(now)) {
            return outwork;
        }
        boolean late = promised.likely().isBefore(now.minus(Duration.ofHours(12)));
        tell(called(outwork) + " is back" + (late ? ", late" : ""), late);
        return outwork.asDone(now);
    }

    /** Whoever is in and free begins what the plan has for now; whether that was otherwise than the plan has it. */
    private boolean begin(Instant now) {
        Map<WorkId, Plan.Placed> placed = plan.byWork();
        Set<PersonId> busy = shop.works().stream()
                .filter(w -> w instanceof Job job && goesOn(job))
                .flatMap(w -> ((Job) w).started().orElseThrow().by().stream())
                .collect(Collectors.toCollection(HashSet::new));
        Map<WorkId, Work> begun = new HashMap<>();
        List<Work> due = shop.works().stream()
                .filter(w -> placed.containsKey(w.id())
                        && !placed.get(w.id()).start().isAfter(now))
                .sorted(Comparator.comparing((Work w) -> placed.get(w.id()).start())
                        .thenComparing(Work::id))
                .toList();
        for (Work work : due) {
            Plan.Placed at = placed.get(work.id());
            if (work instanceof Job job && canBegin(job, at, busy, now)) {
                busy.addAll(at.crew());
                begun.put(
                        job.id(),
                        job.asStarted(Optional.of(job.toDo()), new Job.Started(now, at.crew(), at.station())));
            } else if (work instanceof Outwork outwork && outwork.status() == Status.TODO) {
                begun.put(outwork.id(), sent(outwork, at, now));
            }
        }
        if (!begun.isEmpty()) {
            shop = shop.withWorks(shop.works().stream()
                    .map(w -> begun.getOrDefault(w.id(), w))
                    .toList());
        }
        return !begun.isEmpty();
    }

    private boolean canBegin(Job job, Plan.Placed at, Set<PersonId> busy, Instant now) {
        return job.status() != Status.DONE
                && !goesOn(job)
                && job.hold().isEmpty()
                && !at.crew().isEmpty()
                && at.crew().stream().noneMatch(busy::contains)
                && shop.people().stream()
                        .filter(p -> at.crew().contains(p.id()))
                        .allMatch(p -> isIn(p, now));
    }

    /** Sent now, promised for when the plan has it back, sooner or later as its turnaround is. */
    private Work sent(Outwork outwork, Plan.Placed at, Instant now) {
        tell(called(outwork) + " goes out", false);
        Outwork.Turnaround days = outwork.turnaround();
        Instant likely = at.end().isAfter(now) ? at.end() : now.plus(Duration.ofDays(days.likely()));
        Instant low = likely.minus(Duration.ofDays(Math.max(0, days.likely() - days.low())));
        return outwork.asSent(
                now,
                new Arrival(
                        low.isBefore(now) ? now : low,
                        likely,
                        likely.plus(Duration.ofDays(Math.max(0, days.high() - days.likely())))));
    }
}
