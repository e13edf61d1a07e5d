package galecrest.core.rescue;

import galecrest.core.build.Build;
import galecrest.core.build.BuildId;
import galecrest.core.build.Commitment;
import galecrest.core.build.Job;
import galecrest.core.build.Link;
import galecrest.core.build.Outwork;
import galecrest.core.build.Status;
import galecrest.core.build.Work;
import galecrest.core.build.WorkId;
import galecrest.core.parts.PartId;
import galecrest.core.parts.PartLine;
import galecrest.core.people.PersonId;
import galecrest.core.plan.Because;
import galecrest.core.plan.Chance;
import galecrest.core.plan.Plan;
import galecrest.core.plan.ShopSnapshot;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** The moves worth trying for a commitment: those that touch its chain, or what drives its odds. */
final class Candidates {
    /** So many of each kind are tried at most. */
    private static final int OF_A_KIND = 3;
    /** What is on the chain in fewer trials is left alone. */
    private static final double OFTEN = 0.15;

    private static final int LONG_JOB_MINUTES = 120;
    private static final LocalTime MORNING = LocalTime.of(8, 0);
    private static final LocalTime AFTERNOON = LocalTime.of(16, 0);

    private final ShopSnapshot shop;
    private final Commitment commitment;
    private final Map<WorkId, Work> works = new HashMap<>();
    private final Map<WorkId, Plan.Placed> placed = new HashMap<>();
    private final Set<WorkId> chain = new LinkedHashSet<>();
    private final Chance.Odds odds;

    Candidates(ShopSnapshot shop, Plan plan, Chance chance, Commitment commitment) {
        this.shop = shop;
        this.commitment = commitment;
        shop.works().forEach(w -> works.put(w.id(), w));
        plan.placed().forEach(p -> placed.put(p.work(), p));
        odds = chance.odds().stream()
                .filter(o -> o.commitment().equals(commitment.id()))
                .findFirst()
                .orElseThrow();
        plan.outlooks().stream()
                .filter(o -> o.commitment().equals(commitment.id()))
                .forEach(o -> chain.addAll(o.chain()));
        odds.chain().stream().filter(c -> c.share() >= OFTEN).forEach(c -> chain.add(c.work()));
    }

    List<Move> moves() {
        List<Move> moves = new ArrayList<>();
        for (PartId part : first(parts())) {
            moves.add(new Move.Expedite(part));
            moves.add(new Move.InterimFix(part));
        }
        outworks().stream().limit(OF_A_KIND).forEach(moves::add);
        extraShifts(moves);
        secondHands().stream().limit(OF_A_KIND).forEach(moves::add);
        risks().stream().limit(OF_A_KIND).forEach(moves::add);
        boolean followers = shop.works().stream()
                .anyMatch(w -> !w.essential()
                        && w.status() == Status.TODO
                        && placed.containsKey(w.id())
                        && placed.get(w.id()).start().isBefore(finish()));
        if (followers) {
            moves.add(new Move.LetFollow(commitment.id(), finish()));
        }
        for (BuildId build : first(inTheWay())) {
            moves.add(new Move.Park(build, finish()));
        }
        if (commitment.kind() == Commitment.Kind.EVENT) {
            moves.add(new Move.SwapEvent(commitment.id()));
        }
        return moves;
    }

    private static <T> List<T> first(Set<T> of) {
        return of.stream().limit(OF_A_KIND).toList();
    }

    /** When the date or the plan's finish is past, whichever is later. */
    private Instant finish() {
        Instant last = commitment.due();
        for (WorkId id : chain) {
            Plan.Placed p = placed.get(id);
            if (p != null
                    && works.get(id).build().equals(commitment.build())
                    && p.ready().isAfter(last)) {
                last = p.ready();
            }
        }
        return last;
    }

    /** Parts not here that the chain waits for, or that drive the odds. */
    private Set<PartId> parts() {
        Map<PartId, PartLine> lines = new HashMap<>();
        shop.parts().forEach(p -> lines.put(p.id(), p));
        Set<PartId> parts = new LinkedHashSet<>();
        for (WorkId id : chain) {
            if (placed.containsKey(id) && placed.get(id).because() instanceof Because.Part because) {
                parts.add(because.part());
            }
        }
        odds.drivers().stream()
                .filter(d -> d.what() == Chance.What.PART && d.correlation() > OFTEN)
                .forEach(d -> parts.add(new PartId(d.id())));
        parts.removeIf(id -> !lines.containsKey(id) || lines.get(id).state().here());
        return parts;
    }

    private List<Move> outworks() {
        List<Move> moves = new ArrayList<>();
        Set<WorkId> asked = new LinkedHashSet<>(chain);
        odds.drivers().stream()
                .filter(d -> d.what() == Chance.What.OUTWORK)
                .forEach(d -> asked.add(new WorkId(d.id())));
        for (WorkId id : asked) {
            if (works.get(id) instanceof Outwork outwork && outwork.status() != Status.DONE) {
                moves.add(new Move.AskEarlier(id));
            }
        }
        return moves;
    }

    /** A Saturday, and this week's evenings, for whoever has most to do on the chain. */
    private void extraShifts(List<Move> moves) {
        Map<PersonId, Long> load = new LinkedHashMap<>();
        for (WorkId id : chain) {
            Plan.Placed p = placed.get(id);
            if (p != null && works.get(id) instanceof Job job && p.start().isBefore(finish())) {
                p.crew().forEach(c -> load.merge(c, job.toDo().value(), Long::sum));
                if (p.because() instanceof Because.PersonBusy busy) {
                    load.merge(busy.person(), job.toDo().value(), Long::sum);
                }
            }
        }
        LocalDate today = shop.now().atZone(shop.zone()).toLocalDate();
        LocalDate saturday = today.plusDays(1);
        while (saturday.getDayOfWeek() != DayOfWeek.SATURDAY) {
            saturday = saturday.plusDays(1);
        }
        LocalDate last = commitment.due().atZone(shop.zone()).toLocalDate();
        LocalDate day = saturday.isBefore(last) ? saturday : today;
        LocalTime from = saturday.isBefore(last) ? MORNING : AFTERNOON;
        LocalTime to = saturday.isBefore(last) ? AFTERNOON : LocalTime.of(20, 0);
        load.entrySet().stream()
                .sorted((a, b) -> Long.compare(b.getValue(), a.getValue()))
                .limit(OF_A_KIND)
                .forEach(e -> moves.add(new Move.ExtraShift(e.getKey(), day, from, to)));
    }

    private List<Move> secondHands() {
        return chain.stream()
                .filter(id -> works.get(id) instanceof Job job
                        && job.status() == Status.TODO
                        && job.crew().size() == 1
                        && job.estimate().likely().value() >= LONG_JOB_MINUTES)
                .sorted((a, b) -> Long.compare(
                        ((Job) works.get(b)).estimate().likely().value(),
                        ((Job) works.get(a)).estimate().likely().value()))
                .map(id -> (Move) new Move.SecondHand(id))
                .toList();
    }

    /** Links along the chain, those after outside work and curing first, since they make the longest waits. */
    private List<Move> risks() {
        List<Move> afterOutside = new ArrayList<>();
        List<Move> others = new ArrayList<>();
        for (Link link : shop.links()) {
            Work then = works.get(link.then());
            boolean along = chain.contains(link.first()) && chain.contains(link.then());
            if (along
                    && link.type() == Link.Type.FINISH_START
                    && link.risk().isEmpty()
                    && then instanceof Job
                    && then.status() == Status.TODO
                    && works.get(link.first()).status() != Status.DONE) {
                boolean waits = works.get(link.first()) instanceof Job job
                        && !job.cure().isZero();
                (waits ? afterOutside : others).add(new Move.StartAtRisk(link.id()));
            }
        }
        afterOutside.addAll(others);
        return afterOutside;
    }

    /** Other builds whose work is in the way on the chain. */
    private Set<BuildId> inTheWay() {
        Set<BuildId> builds = new LinkedHashSet<>();
        for (WorkId id : chain) {
            BuildId build = works.get(id).build();
            if (!build.equals(commitment.build())) {
                builds.add(build);
            }
        }
        for (Build build : shop.builds()) {
            boolean busy = shop.works().stream()
                    .anyMatch(w -> w.build().equals(build.id())
                            && w.status() == Status.TODO
                            && placed.containsKey(w.id())
                            && placed.get(w.id()).start().isBefore(finish()));
            if (busy && !build.id().equals(commitment.build()) && builds.size() < OF_A_KIND) {
                builds.add(build.id());
            }
        }
        return builds;
    }
}
