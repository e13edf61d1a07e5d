package galecrest.server.offer;

import galecrest.core.build.BuildId;
import galecrest.core.insight.BetterPlan;
import galecrest.core.plan.Plan;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.work.Commitment;
import galecrest.core.work.CommitmentId;
import galecrest.core.work.WorkId;
import galecrest.server.access.LeadOrManager;
import galecrest.server.access.ManagerOnly;
import galecrest.server.journal.Journal;
import galecrest.server.plan.OneAtATime;
import galecrest.server.plan.PlanService;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicLong;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/**
 * Better plans on offer. What is kept of one is the plan that was found; whenever it is shown or taken it is mended with
 * what has changed since, and it stands only as long as that is still worth it.
 */
@Service
public class OfferService {
    /** A dismissed offer is made again only where it is worth so much more. */
    private static final double GROWN = 1.25;

    private final OfferRepository offers;
    private final PlanService plans;
    private final Journal journal;
    private final Clock clock;
    /** The last change of the record for which a late date was looked at at once. */
    private final AtomicLong looked = new AtomicLong(-1);

    private final OneAtATime<Open> mending = new OneAtATime<>();
    private volatile @Nullable Open last;

    OfferService(OfferRepository offers, PlanService plans, Journal journal, Clock clock) {
        this.offers = offers;
        this.plans = plans;
        this.journal = journal;
        this.clock = clock;
    }

    private record Mended(OfferRow row, Plan plan, BetterPlan better) {}

    /** What is on offer beside a plan, mended once for all who look. */
    private record Open(PlanService.Current now, Set<String> which, List<Mended> offers) {
        boolean is(PlanService.Current of, Set<String> these) {
            return now == of && which.equals(these);
        }
    }

    /**
     * Puts what was found on offer, where it is worth it and was not dismissed before; whether it did.
     *
     * @param now what it was found for
     */
    public boolean found(PlanService.Current now, Plan plan) {
        Optional<BetterPlan> better = BetterPlan.between(now.shop(), now.plan(), plan);
        Optional<String> id = better.flatMap(b -> offered(plan, b));
        id.filter(offer -> offers.rule()
                        .filter(rule ->
                                better.get().gain() >= rule.gainHours() && isFarOff(better.get(), now.shop(), rule))
                        .isPresent())
                .ifPresent(offer -> journal.judgeDraft(() -> taken(offer)));
        return id.isPresent();
    }

    /** Puts it on offer; empty where it was dismissed before and has not grown since. */
    private Optional<String> offered(Plan plan, BetterPlan better) {
        String dates =
                better.wins().stream().map(w -> w.commitment().value()).sorted().collect(Collectors.joining(" "));
        boolean dismissed =
                offers.dismissed(dates).map(was -> better.gain() < GROWN * was).orElse(false);
        return dismissed ? Optional.empty() : Optional.of(offers.insert(plan, dates, better.gain(), clock.instant()));
    }

    /**
     * Where a hard date is late, its car is let go at once, without waiting for the long thinking: whoever made the edit
     * that lost the date hears with the answer what would save it. Once for each record, and only for who made it;
     * whether something was found.
     */
    private boolean lookedAtOnce(PlanService.Current now) {
        Set<CommitmentId> late = now.plan().outlooks().stream()
                .filter(Plan.Outlook::late)
                .map(Plan.Outlook::commitment)
                .collect(Collectors.toSet());
        Set<BuildId> cars = now.shop().commitments().stream()
                .filter(c -> c.kind().hard() && late.contains(c.id()))
                .map(Commitment::build)
                .collect(Collectors.toSet());
        if (cars.isEmpty() || !journal.lastIsOfSession() || looked.getAndSet(now.change()) == now.change()) {
            return false;
        }
        Plan plan = plans.lettingGo(now, cars);
        return BetterPlan.between(now.shop(), now.plan(), plan)
                .flatMap(better -> offered(plan, better))
                .isPresent();
    }

    private static boolean isFarOff(BetterPlan better, ShopSnapshot shop, TakingRule rule) {
        LocalDate first = LocalDate.ofInstant(shop.now(), shop.zone()).plusDays(rule.afterDays() + 1L);
        return better.from()
                .map(at -> !LocalDate.ofInstant(at, shop.zone()).isBefore(first))
                .orElse(true);
    }

    /**
     * The shop for which a better plan is looked for: first one that the house takes unasked, where it has such a rule, so
     * with nothing changed on the days that are to stay.
     */
    public ShopSnapshot lookedAt(ShopSnapshot shop, boolean first) {
        int frozen = shop.rules().frozenDays();
        return offers.rule()
                .filter(rule -> first && rule.afterDays() + 1 > frozen)
                .map(rule -> shop.withRules(shop.rules().withFrozenDays(rule.afterDays() + 1)))
                .orElse(shop);
    }

    /** What is on offer now, the most worth first. */
    @LeadOrManager
    List<OfferResponse> standing() {
        PlanService.Current now = plans.current();
        List<Mended> open = open(now);
        if (open.isEmpty() && lookedAtOnce(now)) {
            open = open(now);
        }
        return open.stream().map(m -> view(now.shop(), m)).toList();
    }

    /** What is on offer and better than the present plan, as it would be with what has changed since. */
    private List<Mended> open(PlanService.Current now) {
        List<OfferRow> rows = offers.standing();
        Set<String> which = rows.stream().map(row -> row.id() + row.state()).collect(Collectors.toSet());
        return mending.make(
                        of -> of.is(now, which),
                        () -> last != null && last.is(now, which)
                                ? last
                                : (last = new Open(now, which, mended(now, rows))))
                .offers();
    }

    private List<Mended> mended(PlanService.Current now, List<OfferRow> rows) {
        List<Mended> mended = new ArrayList<>();
        for (OfferRow row : rows) {
            Plan plan = plans.withTaken(now.shop(), row.plan());
            BetterPlan.between(now.shop(), now.plan(), plan).ifPresent(b -> mended.add(new Mended(row, plan, b)));
        }
        mended.sort((a, b) -> Double.compare(b.better().gain(), a.better().gain()));
        return mended;
    }

    private static OfferResponse view(ShopSnapshot shop, Mended of) {
        return new OfferResponse(
                of.row().id(),
                of.row().at(),
                of.row().state() == OfferState.KEPT,
                of.better().headline(shop),
                of.better().detail(shop),
                of.better().lines(shop),
                of.better().works().stream().map(WorkId::value).toList());
    }

    /** The plan goes by the offer from here on, as a draft until it is published. */
    @ManagerOnly
    void take(String id) {
        journal.judgeDraft(() -> taken(id));
    }

    /** Takes it within the change that is open; what it is in words. */
    private String taken(String id) {
        OfferRow row = open(id);
        PlanService.Current now = plans.currentWithinChange();
        Plan plan = plans.withTaken(now.shop(), row.plan());
        BetterPlan better = BetterPlan.between(now.shop(), now.plan(), plan)
                .orElseThrow(() -> new ValidationException(
                        "offer", "Something has changed since: this is no better than the plan as it is."));
        plans.take(plan);
        offers.answer(id, OfferState.TAKEN, better.gain());
        return "took a better plan: " + better.headline(now.shop());
    }

    @ManagerOnly
    void keep(String id) {
        journal.judgeDraft(() -> {
            offers.answer(id, OfferState.KEPT, worthNow(open(id)));
            return "kept a better plan for later";
        });
    }

    @ManagerOnly
    void dismiss(String id) {
        journal.judgeDraft(() -> {
            offers.answer(id, OfferState.DISMISSED, worthNow(open(id)));
            return "turned a better plan down";
        });
    }

    /** What it wins with what has changed since it was found, within the change that is open. */
    private double worthNow(OfferRow row) {
        PlanService.Current now = plans.currentWithinChange();
        return BetterPlan.between(now.shop(), now.plan(), plans.withTaken(now.shop(), row.plan()))
                .map(BetterPlan::gain)
                .orElse(0.0);
    }

    private OfferRow open(String id) {
        OfferRow row = offers.find(id).orElseThrow(() -> new NotFoundException("offer"));
        if (row.state() == OfferState.TAKEN || row.state() == OfferState.DISMISSED) {
            throw new ValidationException("offer", "Somebody has answered this offer already.");
        }
        return row;
    }
}
