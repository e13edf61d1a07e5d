package galecrest.server.offer;

import galecrest.core.insight.BetterPlan;
import galecrest.core.plan.Plan;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.work.WorkId;
import galecrest.server.access.LeadOrManager;
import galecrest.server.access.ManagerOnly;
import galecrest.server.journal.Journal;
import galecrest.server.plan.PlanService;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
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

    OfferService(OfferRepository offers, PlanService plans, Journal journal, Clock clock) {
        this.offers = offers;
        this.plans = plans;
        this.journal = journal;
        this.clock = clock;
    }

    private record Mended(OfferRow row, Plan plan, BetterPlan better) {}

    /**
     * Puts what was found on offer, where it is worth it and was not dismissed before; whether it did.
     *
     * @param now what it was found for
     */
    public boolean found(PlanService.Current now, Plan plan) {
        Optional<BetterPlan> better = BetterPlan.between(now.shop(), now.plan(), plan);
        if (better.isEmpty()) {
            return false;
        }
        String dates = better.get().wins().stream()
                .map(w -> w.commitment().value())
                .sorted()
                .collect(Collectors.joining(" "));
        boolean dismissed = offers.dismissed(dates)
                .map(was -> better.get().gain() < GROWN * was)
                .orElse(false);
        if (dismissed) {
            return false;
        }
        String id = offers.insert(plan, dates, better.get().gain(), clock.instant());
        boolean byRule = offers.rule()
                .filter(rule -> better.get().gain() >= rule.gainHours() && isFarOff(better.get(), now.shop(), rule))
                .isPresent();
        if (byRule) {
            journal.judgeDraft(() -> taken(id));
        }
        return true;
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
        List<OfferRow> rows = offers.standing();
        if (rows.isEmpty()) {
            return List.of();
        }
        PlanService.Current now = plans.current();
        List<Mended> mended = new ArrayList<>();
        for (OfferRow row : rows) {
            Plan plan = plans.withTaken(now.shop(), row.plan());
            BetterPlan.between(now.shop(), now.plan(), plan).ifPresent(b -> mended.add(new Mended(row, plan, b)));
        }
        mended.sort((a, b) -> Double.compare(b.better().gain(), a.better().gain()));
        return mended.stream().map(m -> view(now.shop(), m)).toList();
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
        offers.answer(id, OfferState.TAKEN);
        return "took a better plan: " + better.headline(now.shop());
    }

    @ManagerOnly
    void keep(String id) {
        journal.judgeDraft(() -> {
            open(id);
            offers.answer(id, OfferState.KEPT);
            return "kept a better plan for later";
        });
    }

    @ManagerOnly
    void dismiss(String id) {
        journal.judgeDraft(() -> {
            open(id);
            offers.answer(id, OfferState.DISMISSED);
            return "turned a better plan down";
        });
    }

    private OfferRow open(String id) {
        OfferRow row = offers.find(id).orElseThrow(() -> new NotFoundException("offer"));
        if (row.state() == OfferState.TAKEN || row.state() == OfferState.DISMISSED) {
            throw new ValidationException("offer", "Somebody has answered this offer already.");
        }
        return row;
    }
}
