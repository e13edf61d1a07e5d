package galecrest.server.board;

import galecrest.core.build.Build;
import galecrest.core.build.BuildId;
import galecrest.core.build.Zone;
import galecrest.core.gauge.Measured;
import galecrest.core.insight.CarStatus;
import galecrest.core.plan.Plan;
import galecrest.core.plan.ReasonText;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.work.Commitment;
import galecrest.core.work.CommitmentId;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;

/** Cars as a board shows them: how they stand and what holds them. */
final class CarViews {
    private final BoardRepository record;
    private final ShopSnapshot shop;
    private final Plan plan;
    private final ReasonText words;
    private final Map<WorkId, Plan.Placed> placed;

    CarViews(BoardSource source) {
        record = source.record();
        shop = source.shop();
        plan = source.plan();
        words = source.words();
        placed = source.placed();
    }

    List<Board.Car> cars() {
        Map<String, CarRow> rows = record.cars();
        var stages = record.stages();
        var rounds = record.rounds();
        var forNow = record.forNow();
        var measurements = record.measurements();
        var restrictions = record.restrictions();
        List<Board.Car> cars = new ArrayList<>();
        List<CarStatus> reports = CarStatus.all(shop, plan);
        for (int i = 0; i < reports.size(); i++) {
            var build = shop.builds().get(i);
            CarStatus report = reports.get(i);
            String id = build.id().value();
            var row = rows.get(id);
            if (row == null) {
                continue;
            }
            cars.add(new Board.Car(
                    id,
                    build.number(),
                    build.name(),
                    row.body(),
                    row.customer(),
                    row.discipline(),
                    build.weight(),
                    build.zoneLimit(Zone.FRONT),
                    build.zoneLimit(Zone.ENGINE_BAY),
                    build.zoneLimit(Zone.COCKPIT),
                    build.zoneLimit(Zone.UNDERSIDE),
                    build.zoneLimit(Zone.REAR),
                    row.version(),
                    build.isParked(shop.now()),
                    build.parked()
                            .filter(p -> build.isParked(shop.now()))
                            .flatMap(Build.Parked::until)
                            .orElse(null),
                    report.station().map(s -> s.value()).orElse(null),
                    report.away().map(WorkId::value).orElse(null),
                    report.atDate().map(CommitmentId::value).orElse(null),
                    report.doing().stream().map(WorkId::value).toList(),
                    report.next().map(WorkId::value).orElse(null),
                    report.held().map(this::held).orElse(null),
                    report.nextDate().map(c -> c.value()).orElse(null),
                    gates(build.id(), measurements.getOrDefault(id, List.of())),
                    stages.getOrDefault(id, List.of()),
                    rounds.getOrDefault(id, List.of()),
                    forNow.getOrDefault(id, List.of()),
                    inOrder(measurements.getOrDefault(id, List.of())),
                    restrictions.getOrDefault(id, List.of()),
                    row.done(),
                    row.total()));
        }
        return cars;
    }

    /** In the order in which they must be measured; what has no place in it comes last. */
    private static List<Board.MeasurementView> inOrder(List<Board.MeasurementView> measured) {
        return measured.stream()
                .sorted(Comparator.comparingInt(m ->
                        Measured.of(m.gauge(), m.what()).map(Measured::ordinal).orElse(Integer.MAX_VALUE)))
                .toList();
    }

    /** The gates of the dates of a car, the next first. */
    private List<Board.GateView> gates(BuildId build, List<Board.MeasurementView> measured) {
        return shop.commitments().stream()
                .filter(c -> c.build().equals(build))
                .sorted(Comparator.comparing(Commitment::due))
                .map(date -> gate(date, measured))
                .toList();
    }

    private Board.GateView gate(Commitment date, List<Board.MeasurementView> measured) {
        List<Work> open = shop.works().stream()
                .filter(w -> w.build().equals(date.build()) && w.status() != Status.DONE)
                .toList();
        List<Measured> stale = measured.stream()
                .filter(m -> m.staleBecause() != null)
                .flatMap(m -> Measured.of(m.gauge(), m.what()).stream())
                .filter(m -> m.gate().upTo(date.gate()))
                .distinct()
                .sorted()
                .toList();
        return new Board.GateView(
                date.gate(),
                date.name(),
                (int) open.stream()
                        .filter(w -> w.essential() && w.gate().upTo(date.gate()))
                        .count(),
                stale.stream().map(Measured::label).toList(),
                stale.stream()
                        .filter(m -> open.stream().noneMatch(w -> m.is("", w.name())))
                        .map(Measured::label)
                        .toList(),
                measured.stream()
                        .filter(Board.MeasurementView::missed)
                        .flatMap(m -> Measured.of(m.gauge(), m.what()).stream())
                        .filter(m -> m.gate().upTo(date.gate()) && !stale.contains(m))
                        .sorted()
                        .map(Measured::label)
                        .toList());
    }

    private Board.Held held(CarStatus.HeldBy held) {
        String said = words.held(held.work(), held.because());
        return new Board.Held(
                held.work().value(), held.tag(), said, placed.get(held.work()).start(), held.needsSomebody());
    }
}
