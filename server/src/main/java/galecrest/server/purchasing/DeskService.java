package galecrest.server.purchasing;

import galecrest.core.mate.MateKind;
import galecrest.core.parts.PartId;
import galecrest.core.parts.PartLine;
import galecrest.core.parts.PartState;
import galecrest.core.time.Arrival;
import galecrest.core.work.Hold;
import galecrest.core.work.Outwork;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import galecrest.server.access.AnyHand;
import galecrest.server.access.LeadOrManager;
import galecrest.server.background.OddsService;
import galecrest.server.background.OddsView;
import galecrest.server.mate.FitAssessment;
import galecrest.server.mate.MateKindView;
import galecrest.server.mate.MateRepository;
import galecrest.server.mate.MateView;
import galecrest.server.parts.PartLineRepository;
import galecrest.server.parts.PartRow;
import galecrest.server.plan.PlanService;
import galecrest.server.problem.NotFoundException;
import galecrest.server.receiving.InspectionRepository;
import galecrest.server.stock.StockRepository;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** All that is outside the building, the most harmful first. */
@Service
class DeskService {
    private static final Instant SOME_DAY = Instant.MAX;

    private final PartLineRepository parts;
    private final MateRepository joints;
    private final VendorWordRepository vendorWords;
    private final InspectionRepository inspections;
    private final PlanService plans;
    private final OddsService odds;
    private final StockRepository stock;

    DeskService(
            PartLineRepository parts,
            MateRepository joints,
            VendorWordRepository vendorWords,
            InspectionRepository inspections,
            StockRepository stock,
            PlanService plans,
            OddsService odds) {
        this.parts = parts;
        this.joints = joints;
        this.vendorWords = vendorWords;
        this.inspections = inspections;
        this.plans = plans;
        this.odds = odds;
        this.stock = stock;
    }

    @LeadOrManager
    DeskResponse desk() {
        PlanService.Current now = plans.current();
        Optional<OddsView> latest = odds.latest();
        Map<String, OddsView.Harm> harm = new HashMap<>();
        latest.ifPresent(o -> o.harm().forEach(h -> harm.put(h.id(), h)));
        Map<String, VendorWord> words = vendorWords.lastWords();
        List<DeskLine> lines = new ArrayList<>(parts(now, harm, words));
        lines.addAll(outwork(now, harm, words));
        Map<String, Integer> rank = new HashMap<>();
        latest.ifPresent(o -> o.harm().forEach(h -> rank.put(h.id(), rank.size())));
        lines.sort(Comparator.comparingInt(DeskService::first)
                .thenComparingInt(l -> rank.getOrDefault(l.id(), Integer.MAX_VALUE))
                .thenComparing(l -> l.expected() == null ? SOME_DAY : l.expected())
                .thenComparing(DeskLine::id));
        return new DeskResponse(
                lines,
                latest.map(OddsView::change).orElse(null),
                now.change(),
                stock.run(),
                stock.shelf(),
                parts.kits());
    }

    /** What is overdue is chased first, then what holds a job and has no date, then the most harmful. */
    private static int first(DeskLine line) {
        return line.overdue() ? 0 : line.holds() && line.expected() == null ? 1 : 2;
    }

    private List<DeskLine> parts(
            PlanService.Current now, Map<String, OddsView.Harm> harm, Map<String, VendorWord> words) {
        Map<PartId, PartLine> planned = new HashMap<>();
        now.shop().parts().forEach(p -> planned.put(p.id(), p));
        Map<String, List<MateView>> mates = joints.all();
        Set<PartId> holding = now.shop().works().stream()
                .flatMap(w -> w.hold().flatMap(Hold::part).stream())
                .collect(Collectors.toSet());
        return parts.openParts().stream()
                .map(p -> {
                    VendorWord word = words.get(p.id());
                    boolean turnedDown = p.state().turnedDown();
                    return new DeskLine(
                            DeskKind.PART,
                            p.id(),
                            p.buildId(),
                            p.name(),
                            p.state().name(),
                            p.quantity(),
                            p.received(),
                            p.vendorId(),
                            turnedDown ? null : p.likely(),
                            turnedDown
                                    ? null
                                    : Optional.ofNullable(planned.get(new PartId(p.id())))
                                            .flatMap(now.shop()::expected)
                                            .map(Arrival::likely)
                                            .orElse(null),
                            harm.get(p.id()),
                            word,
                            word == null ? null : word.nextAt(),
                            p.state().toOrder() ? held(mates.getOrDefault(p.id(), List.of())) : null,
                            p.kit(),
                            !turnedDown
                                    && !p.state().toInspect()
                                    && p.likely() != null
                                    && p.likely().isBefore(now.shop().now()),
                            holding.contains(new PartId(p.id())));
                })
                .toList();
    }

    private static @Nullable String held(List<MateView> mates) {
        return FitAssessment.held(mates).orElse(null);
    }

    private List<DeskLine> outwork(
            PlanService.Current now, Map<String, OddsView.Harm> harm, Map<String, VendorWord> words) {
        List<DeskLine> lines = new ArrayList<>();
        for (Work work : now.shop().works()) {
            if (work instanceof Outwork o && o.status() != Status.DONE) {
                VendorWord word = words.get(o.id().value());
                lines.add(new DeskLine(
                        DeskKind.OUTWORK,
                        o.id().value(),
                        o.build().value(),
                        o.name(),
                        o.away().isPresent() ? "AWAY" : o.slot().isPresent() ? "SLOT" : "TO_SEND",
                        1,
                        0,
                        o.vendor().value(),
                        o.away().map(a -> a.back().likely()).orElse(null),
                        now.shop()
                                .expected(o)
                                .map(Arrival::likely)
                                .or(() -> now.plan().placed().stream()
                                        .filter(p -> p.work().equals(o.id()))
                                        .map(p -> p.end())
                                        .findFirst())
                                .orElse(null),
                        harm.get(o.id().value()),
                        word,
                        word == null ? null : word.nextAt(),
                        null,
                        "",
                        o.away()
                                .filter(a ->
                                        a.back().likely().isBefore(now.shop().now()))
                                .isPresent(),
                        false));
            }
        }
        return lines;
    }

    @AnyHand
    PartResponse part(String id) {
        PartRow part = parts.part(id).orElseThrow(() -> new NotFoundException("part"));
        List<MateView> mates = joints.of(id);
        return new PartResponse(
                id,
                mates,
                vendorWords.words(id),
                inspections.inspections(id),
                vendorWords.mail(id),
                Arrays.stream(PartState.values())
                        .filter(s -> s != part.state()
                                && part.state().problem(s, part.own()).isEmpty())
                        .toList(),
                held(mates),
                part.overrideReason(),
                part.orderedAt(),
                part.promisedAt(),
                stock.takenFrom(id).orElse(null),
                part.insteadOf(),
                Arrays.stream(MateKind.values())
                        .map(k -> new MateKindView(k, k.label(), k.example()))
                        .toList());
    }

    @LeadOrManager
    List<MailResponse> mail() {
        return vendorWords.mail(null);
    }
}
