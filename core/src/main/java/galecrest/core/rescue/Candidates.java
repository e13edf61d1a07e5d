package galecrest.core.rescue;

import galecrest.core.build.Build;
import galecrest.core.build.BuildId;
import galecrest.core.parts.PartId;
import galecrest.core.parts.PartLine;
import galecrest.core.people.Level;
import galecrest.core.plan.Because;
import galecrest.core.plan.Plan;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.risk.RiskProfile;
import galecrest.core.work.Commitment;
import galecrest.core.work.Job;
import galecrest.core.work.Link;
import galecrest.core.work.Outwork;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/** The moves worth trying for a commitment: those that touch its chain, or what drives its odds. */
final class Candidates {
    /** So many of each kind are tried at most. */
    private static final int OF_A_KIND = 3;
    /** What is on the chain in fewer trials is left alone. */
    private static final double OFTEN = 0.15;

    private static final int LONG_JOB_MINUTES = 60;

    private final ShopSnapshot shop;
    private final Commitment commitment;
    private final Map<WorkId, Work> works = new HashMap<>();
    private final Map<WorkId, Plan.Placed> placed;
    /** What the date waits for by the plan, in order of start. */
    private final List<Plan.Placed> waits = new ArrayList<>();
    /** The same, and what is on the chain in many trials. */
    private final Set<WorkId> chain = new LinkedHashSet<>();

    private final RiskProfile.Odds odds;

    Candidates(ShopSnapshot shop, Plan plan, RiskProfile chance, Commitment commitment) {
        this.shop = shop;
        this.commitment = commitment;
        shop.works().forEach(w -> works.put(w.id(), w));
        placed = plan.byWork();
        odds = chance.odds().stream()
                .filter(o -> o.commitment().equals(commitment.id()))
                .findFirst()
                .orElseThrow();
        plan.outlooks().stream()
                .filter(o -> o.commitment().equals(commitment.id()))
                .forEach(o -> chain.addAll(o.chain()));
        chain.stream()
                .filter(placed::containsKey)
                .map(placed::get)
                .sorted(Comparator.comparing(Plan.Placed::start))
                .forEach(waits::add);
        odds.chain().stream().filter(c -> c.share() >= OFTEN).forEach(c -> chain.add(c.work()));
    }

    /** Each by itself, or where one is no use without the other, as with the shifts of a crew, together. */
    List<List<Move>> moves() {
        List<Move> moves = new ArrayList<>();
        for (PartId part : first(parts())) {
            moves.add(new Move.Expedite(part));
            moves.add(new Move.InterimFix(part));
        }
        outworks().stream().limit(OF_A_KIND).forEach(moves::add);
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
        Instant until = commitment.due().isAfter(shop.now()) ? commitment.due() : finish();
        return Stream.concat(
                        new ExtraShifts(shop, waits, until).best(OF_A_KIND).stream(),
                        moves.stream().map(List::of))
                .toList();
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
                .filter(d -> d.what() == RiskProfile.What.PART && d.correlation() > OFTEN)
                .forEach(d -> parts.add(new PartId(d.id())));
        parts.removeIf(id -> !lines.containsKey(id) || lines.get(id).state().here());
        return parts;
    }

    private List<Move> outworks() {
        List<Move> moves = new ArrayList<>();
        Set<WorkId> asked = new LinkedHashSet<>(chain);
        odds.drivers().stream()
                .filter(d -> d.what() == RiskProfile.What.OUTWORK)
                .forEach(d -> asked.add(new WorkId(d.id())));
        for (WorkId id : asked) {
            if (works.get(id) instanceof Outwork outwork && outwork.status() != Status.DONE) {
                moves.add(new Move.AskEarlier(id));
            }
        }
        return moves;
    }

    /** The longest jobs of one person, where somebody else has a little of the skill. */
    private List<Move> secondHands() {
        return waits.stream()
                .map(p -> works.get(p.work()))
                .filter(w -> w instanceof Job job
                        && job.status() == Status.TODO
                        && job.crew().size() == 1
                        && likely(job) >= LONG_JOB_MINUTES
                        && shop.people().stream()
                                        .filter(p -> p.can(job.crew().get(0).skill(), Level.LEARNER))
                                        .count()
                                > 1)
                .sorted(Comparator.comparingLong(Candidates::likely).reversed())
                .map(w -> (Move) new Move.SecondHand(w.id()))
                .toList();
    }

    private static long likely(Work work) {
        return work instanceof Job job ? job.estimate().likely().value() : 0;
    }

    /**
     * Links along the chain, those first that make the longest waits. Safety: none leads to another gate or to the work
     * that closes one (the first fire, the roll-out), for there what comes before is what makes it safe.
     */
    private List<Move> risks() {
        return shop.links().stream()
                .filter(link -> chain.contains(link.first())
                        && chain.contains(link.then())
                        && link.type() == Link.Type.FINISH_START
                        && link.risk().isEmpty()
                        && works.get(link.then()) instanceof Job then
                        && then.status() == Status.TODO
                        && placed.containsKey(link.first())
                        && placed.containsKey(link.then())
                        && then.gate() == works.get(link.first()).gate()
                        && !closesGate(then))
                .sorted(Comparator.comparing(this::waited).reversed().thenComparing(link -> placed.get(link.then())
                        .start()))
                .map(link -> (Move) new Move.StartAtRisk(link.id()))
                .toList();
    }

    /** Whether nothing more for the gate of the work comes after it. */
    private boolean closesGate(Work work) {
        return shop.links().stream()
                .noneMatch(link ->
                        link.first().equals(work.id()) && works.get(link.then()).gate() == work.gate());
    }

    /** How much sooner than the one the other could begin, were it certain. */
    private Duration waited(Link link) {
        Plan.Placed first = placed.get(link.first());
        Plan.Placed then = placed.get(link.then());
        boolean bound = then.because().blocker().filter(link.first()::equals).isPresent();
        return bound ? Duration.between(first.start(), then.start()) : Duration.ZERO;
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
