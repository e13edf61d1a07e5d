package galecrest.server.background;

import galecrest.core.plan.Plan;
import galecrest.core.plan.ReasonText;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.risk.RiskProfile;
import galecrest.core.risk.RiskText;
import galecrest.core.work.WorkId;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * The odds of all commitments.
 *
 * @param change the change of the record that they are for
 * @param madeFor the moment that they are for
 * @param departures of outwork with a booked time or with times offered
 * @param harm what one more day of each thing outside does, the worst first
 */
public record OddsView(
        long change,
        Instant madeFor,
        int trials,
        List<Odds> odds,
        List<Harm> harm,
        List<Departure> departures,
        List<Overrun> overruns) {
    /**
     * A job that must not be interrupted and may run past the hours of who is to do it.
     *
     * @param said the same in words
     */
    public record Overrun(String workId, double share, String said) {}

    /** When outwork can truly leave, and how likely in time for the times offered; see {@link RiskProfile.Departure}. */
    public record Departure(
            String workId,
            @Nullable Instant p50,
            @Nullable Instant p80,
            @Nullable Instant bookedFrom,
            @Nullable Double booked,
            List<InTime> offered) {}

    /** The chance to leave in time for a time that is offered. */
    public record InTime(String slotId, double chance) {}

    /** The odds of one commitment; see {@link RiskProfile.Odds}. */
    public record Odds(
            String commitmentId,
            double chance,
            double error,
            @Nullable Instant p50,
            @Nullable Instant p80,
            @Nullable Instant p95,
            List<Instant> spread,
            List<OnChain> chain,
            List<Driver> drivers) {}

    /**
     * What one more day of a thing that is outside does; see {@link galecrest.core.insight.DelayImpact}.
     *
     * @param id of a part or of outwork
     * @param hardest the date that becomes later by most, or else loses most of its margin
     */
    public record Harm(
            String id,
            long inHandMinutes,
            double hardHours,
            double promisedHours,
            long marginLostMinutes,
            @Nullable String hardest,
            long hardestLosesMinutes,
            @Nullable Instant neededAt,
            @Nullable Instant orderBy,
            @Nullable Integer daysLeft) {}

    /** The share of trials in which a work was on the chain. */
    public record OnChain(String workId, double share) {}

    /** What moves the finish, in words, and its rank correlation with it. */
    public record Driver(RiskProfile.What what, String id, String said, double correlation) {}

    /** Chains are told as far as so many works. */
    private static final int MOST = 12;

    static OddsView of(
            long change,
            ShopSnapshot shop,
            Plan plan,
            RiskProfile chance,
            List<galecrest.core.insight.DelayImpact.OfThing> harm) {
        RiskText risks = new RiskText(new ReasonText(shop));
        Map<WorkId, Plan.Placed> placed = plan.byWork();
        return new OddsView(
                change,
                shop.now(),
                chance.trials(),
                chance.odds().stream()
                        .map(o -> new Odds(
                                o.commitment().value(),
                                o.chance(),
                                o.error(),
                                o.p50().orElse(null),
                                o.p80().orElse(null),
                                o.p95().orElse(null),
                                o.spread(),
                                o.chain().stream()
                                        .limit(MOST)
                                        .map(c -> new OnChain(c.work().value(), c.share()))
                                        .toList(),
                                o.drivers().stream()
                                        .map(d -> new Driver(d.what(), d.id(), risks.driver(d), d.correlation()))
                                        .toList()))
                        .toList(),
                harm.stream()
                        .map(h -> new Harm(
                                h.id(),
                                h.inHand().toMinutes(),
                                h.hardHours(),
                                h.promisedHours(),
                                h.marginLost().value(),
                                h.hardest().map(c -> c.value()).orElse(null),
                                h.hardestLoses().value(),
                                h.need().map(n -> n.neededAt()).orElse(null),
                                h.need().flatMap(n -> n.orderBy()).orElse(null),
                                h.need().flatMap(n -> n.daysLeft()).orElse(null)))
                        .toList(),
                chance.departures().stream()
                        .map(d -> new Departure(
                                d.work().value(),
                                d.p50().orElse(null),
                                d.p80().orElse(null),
                                d.bookedFor().orElse(null),
                                d.booked().orElse(null),
                                d.offered().stream()
                                        .map(o -> new InTime(o.slot().id(), o.chance()))
                                        .toList()))
                        .toList(),
                chance.overruns().stream()
                        .map(o -> new Overrun(o.work().value(), o.share(), risks.overrun(o, placed.get(o.work()))))
                        .toList());
    }
}
