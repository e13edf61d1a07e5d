package galecrest.server.board;

import galecrest.core.people.Person;
import galecrest.core.people.PersonId;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanDifference;
import galecrest.core.plan.ReasonText;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.shop.StationId;
import galecrest.core.work.Job;
import galecrest.core.work.Outing;
import galecrest.core.work.WorkId;
import galecrest.server.NewId;
import galecrest.server.plan.PlanService;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Puts one board together from the record and the plan. */
final class BoardAssembly {
    private final BoardSource source;
    private final String shopName;
    private final boolean told;
    private final PlanService.Current current;
    private final PlanService plans;
    private final BoardRepository record;
    private final ShopSnapshot shop;
    private final Plan plan;
    private final ReasonText words;
    private final Map<WorkId, Plan.Placed> placed;

    /**
     * A board of the record and its plan.
     *
     * @param told whether only what people have been told is on it, and nothing of a draft
     */
    BoardAssembly(PlanService.Current whole, PlanService plans, BoardRepository record, String shopName, boolean told) {
        this.shopName = shopName;
        PlanService.Current shown = told ? PlanService.told(whole) : whole;
        source = new BoardSource(
                told,
                shown,
                plans,
                record,
                whole.shop(),
                shown.plan(),
                new ReasonText(whole.shop()),
                shown.plan().byWork());
        this.current = source.current();
        this.shop = source.shop();
        this.plan = source.plan();
        this.words = source.words();
        this.placed = source.placed();
        this.told = told;
        this.plans = plans;
        this.record = record;
    }

    Board board() {
        WorkViews works = new WorkViews(source);
        ResourceViews resources = new ResourceViews(source);
        List<Board.CommitmentView> commitments = commitments();
        return new Board(
                NewId.next(),
                current.change(),
                shop.now(),
                shop.zone().getId(),
                shop.rules().says(),
                shopName,
                draft(),
                new BriefView(source).brief(commitments),
                new CarViews(source).cars(),
                works.works(),
                works.links(),
                parts(),
                commitments,
                resources.people(),
                resources.stations(),
                resources.vendors(),
                pins(),
                resources.loads(),
                score());
    }

    private Board.Draft draft() {
        Optional<PlanService.Published> published = plans.lastPublished();
        Optional<PlanDifference> difference = told ? Optional.empty() : plans.unpublished(current);
        return new Board.Draft(
                published.map(PlanService.Published::at).orElse(null),
                published.map(PlanService.Published::by).orElse(null),
                difference.map(d -> d.moved().size()).orElse(0),
                difference.map(d -> names(d.toTell(shop))).orElse(List.of()),
                plan.thawed().stream()
                        .map(t -> words.work(t.work()) + ": " + t.reason())
                        .toList());
    }

    private List<String> names(Set<PersonId> ids) {
        return shop.people().stream()
                .filter(p -> ids.contains(p.id()))
                .map(Person::name)
                .toList();
    }

    private List<Board.PartView> parts() {
        Map<String, PartRow> rows = record.parts();
        Map<String, List<String>> needs = new HashMap<>();
        shop.works().forEach(w -> {
            if (w instanceof Job job) {
                job.parts().forEach(p -> needs.computeIfAbsent(p.value(), k -> new ArrayList<>())
                        .add(job.id().value()));
            }
        });
        return shop.parts().stream()
                .filter(p -> rows.containsKey(p.id().value()))
                .map(p -> {
                    var row = rows.get(p.id().value());
                    return new Board.PartView(
                            p.id().value(),
                            row.buildId(),
                            p.name(),
                            p.state(),
                            p.state().here(),
                            p.state().toOrder(),
                            p.vendor().map(v -> v.value()).orElse(null),
                            told ? null : row.price(),
                            p.arrival().map(a -> a.low()).orElse(null),
                            p.arrival().map(a -> a.likely()).orElse(null),
                            p.arrival().map(a -> a.high()).orElse(null),
                            p.state().here() || p.state().turnedDown()
                                    ? null
                                    : shop.expected(p).map(a -> a.likely()).orElse(null),
                            (int) p.inspection().value(),
                            p.pairedWith().map(x -> x.value()).orElse(null),
                            p.pairOverride().orElse(null),
                            needs.getOrDefault(p.id().value(), List.of()),
                            row.quantity(),
                            row.received(),
                            row.own(),
                            row.specification(),
                            row.kit(),
                            row.tracking(),
                            row.version());
                })
                .toList();
    }

    private static Board.OutingView outing(Outing outing) {
        return new Board.OutingView(
                outing.back(),
                outing.crew().stream().map(PersonId::value).sorted().toList(),
                outing.takes().stream().map(StationId::value).sorted().toList());
    }

    private List<Board.CommitmentView> commitments() {
        Map<String, Integer> versions = record.versions("commitment");
        List<Board.CommitmentView> views = new ArrayList<>();
        for (int i = 0; i < shop.commitments().size(); i++) {
            var commitment = shop.commitments().get(i);
            Plan.Outlook outlook = plan.outlooks().get(i);
            views.add(new Board.CommitmentView(
                    commitment.id().value(),
                    commitment.build().value(),
                    commitment.name(),
                    commitment.kind(),
                    commitment.due(),
                    commitment.gate(),
                    commitment.weight(),
                    versions.getOrDefault(commitment.id().value(), 0),
                    outlook.finish().orElse(null),
                    outlook.margin().map(m -> m.value()).orElse(null),
                    outlook.chain().stream().map(WorkId::value).toList(),
                    outlook.missing().stream().map(WorkId::value).toList(),
                    words.chain(commitment, outlook, placed),
                    commitment.slotOf().map(WorkId::value).orElse(null),
                    commitment.outing().map(BoardAssembly::outing).orElse(null)));
        }
        return views;
    }

    private List<Board.PinView> pins() {
        if (told) {
            return List.of();
        }
        Map<String, String> broken = new HashMap<>();
        plan.brokenPins().forEach(b -> broken.put(b.pin().value(), b.reason()));
        return shop.pins().stream()
                .map(p -> PinViews.of(p, broken.get(p.id().value())))
                .toList();
    }

    private Board.ScoreView score() {
        var s = plan.score();
        return new Board.ScoreView(
                s.missing(),
                s.hardLateness(),
                s.promisedLateness(),
                s.bufferEaten(),
                s.followLate(),
                s.atRisk(),
                s.churn(),
                s.carsInBits(),
                s.finishing());
    }
}
