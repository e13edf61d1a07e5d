package galecrest.server.board;

import galecrest.core.build.Zone;
import galecrest.core.insight.CarStatus;
import galecrest.core.insight.Load;
import galecrest.core.people.Person;
import galecrest.core.people.PersonId;
import galecrest.core.people.ShiftChange;
import galecrest.core.people.WorkedTime;
import galecrest.core.plan.Plan;
import galecrest.core.plan.PlanDifference;
import galecrest.core.plan.ReasonText;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.time.Closure;
import galecrest.core.time.Shift;
import galecrest.core.vendor.VendorRecord;
import galecrest.core.work.Job;
import galecrest.core.work.LinkId;
import galecrest.core.work.Outwork;
import galecrest.core.work.RunningIn;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import galecrest.server.NewId;
import galecrest.server.plan.PlanService;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Puts one board together from the record and the plan. */
final class BoardAssembly {
    private static final int LOAD_DAYS = 42;

    private final boolean told;
    private final PlanService.Current current;
    private final PlanService plans;
    private final BoardRepository record;
    private final String shopName;
    private final ShopSnapshot shop;
    private final Plan plan;
    private final ReasonText words;
    private final Map<WorkId, Plan.Placed> placed;
    private final Map<WorkId, String> cannot = new HashMap<>();

    /**
     * A board of the record and its plan.
     *
     * @param told whether only what people have been told is on it, and nothing of a draft
     */
    BoardAssembly(
            PlanService.Current current, PlanService plans, BoardRepository record, String shopName, boolean told) {
        this.shopName = shopName;
        this.told = told;
        this.current = told ? PlanService.told(current) : current;
        this.plans = plans;
        this.record = record;
        this.shop = current.shop();
        this.plan = this.current.plan();
        this.words = new ReasonText(shop);
        this.placed = plan.byWork();
        plan.unplanned().forEach(u -> cannot.put(u.work(), u.reason()));
    }

    Board board() {
        List<Board.CommitmentView> commitments = commitments();
        return new Board(
                NewId.next(),
                current.change(),
                shop.now(),
                shop.zone().getId(),
                shopName,
                draft(),
                brief(commitments),
                cars(),
                works(),
                links(),
                parts(),
                commitments,
                people(),
                stations(),
                vendors(),
                pins(),
                loads(),
                score());
    }

    private Board.Draft draft() {
        Optional<PlanService.Published> published = plans.lastPublished();
        Optional<PlanDifference> difference = told ? Optional.empty() : plans.unpublished(current);
        return new Board.Draft(
                published.map(PlanService.Published::at).orElse(null),
                published.map(PlanService.Published::by).orElse(null),
                difference.map(d -> d.moved().size()).orElse(0),
                difference.map(d -> names(d.toTell())).orElse(List.of()),
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

    private Board.Brief brief(List<Board.CommitmentView> commitments) {
        LocalDate today = day(shop.now());
        Instant yesterday = today.minusDays(1).atTime(12, 0).atZone(shop.zone()).toInstant();
        Instant tonight = today.plusDays(1).atStartOfDay(shop.zone()).toInstant();
        List<String> arriving = shop.parts().stream()
                .filter(p -> !p.state().here()
                        && shop.expected(p).isPresent()
                        && day(shop.expected(p).get().likely()).equals(today))
                .map(p -> p.name() + ", " + words.time(shop.expected(p).get().likely()))
                .toList();
        List<String> away = shop.people().stream()
                .filter(p -> p.changes().stream()
                        .anyMatch(c -> c.kind() == ShiftChange.Kind.LEAVE
                                && !c.to().isBefore(today)
                                && !c.from().isAfter(today.plusDays(7))))
                .map(p -> p.name() + " " + awayWhen(p, today))
                .toList();
        Optional<Board.CommitmentView> worry = commitments.stream()
                .filter(c -> c.due().isAfter(shop.now()))
                .min(Comparator.comparingLong(
                        (Board.CommitmentView c) -> c.marginMinutes() == null ? Long.MIN_VALUE : c.marginMinutes()));
        return new Board.Brief(
                record.doneSince(yesterday),
                record.changesSince(yesterday),
                arriving,
                away,
                record.calls(tonight),
                worry.map(Board.CommitmentView::buildId).orElse(null),
                worry.map(c -> c.name()).orElse(null));
    }

    private String awayWhen(Person person, LocalDate today) {
        var leave = person.changes().stream()
                .filter(c -> c.kind() == ShiftChange.Kind.LEAVE && !c.to().isBefore(today))
                .min(Comparator.comparing(ShiftChange::from))
                .orElseThrow();
        Instant from = leave.from().atStartOfDay(shop.zone()).toInstant();
        Instant back = leave.to().plusDays(1).atStartOfDay(shop.zone()).toInstant();
        return leave.from().isAfter(today)
                ? words.day(from) + " to " + words.day(back.minusSeconds(60))
                : "until " + words.day(back.minusSeconds(60));
    }

    private LocalDate day(Instant at) {
        return at.atZone(shop.zone()).toLocalDate();
    }

    private List<Board.Car> cars() {
        Map<String, CarRow> rows = record.cars();
        var stages = record.stages();
        var forNow = record.forNow();
        var measurements = record.measurements();
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
                    report.station().map(s -> s.value()).orElse(null),
                    report.away().map(WorkId::value).orElse(null),
                    report.doing().stream().map(WorkId::value).toList(),
                    report.next().map(WorkId::value).orElse(null),
                    report.held().map(this::held).orElse(null),
                    report.nextDate().map(c -> c.value()).orElse(null),
                    stages.getOrDefault(id, List.of()),
                    forNow.getOrDefault(id, List.of()),
                    measurements.getOrDefault(id, List.of()),
                    row.done(),
                    row.total()));
        }
        return cars;
    }

    private Board.Held held(CarStatus.HeldBy held) {
        String said = words.held(held.work(), held.because());
        return new Board.Held(
                held.work().value(), held.tag(), said, placed.get(held.work()).start());
    }

    private List<Board.WorkView> works() {
        Map<String, WorkRow> rows = record.works();
        return shop.works().stream()
                .filter(w -> rows.containsKey(w.id().value()))
                .map(w -> work(w, rows.get(w.id().value())))
                .toList();
    }

    private Board.WorkView work(Work work, WorkRow row) {
        Plan.Placed at = placed.get(work.id());
        return new Board.WorkView(
                work.id().value(),
                work.build().value(),
                work instanceof Job
                        ? Board.Kind.JOB
                        : work instanceof Outwork ? Board.Kind.OUTWORK : Board.Kind.RUNNING_IN,
                work.name(),
                row.stage(),
                work.gate(),
                work.essential(),
                work.status(),
                work.notBefore().orElse(null),
                work.hold()
                        .map(h -> new Board.HoldView(
                                h.reason(), h.note(), h.until().orElse(null)))
                        .orElse(null),
                work.doneAt().orElse(null),
                row.note(),
                row.version(),
                work instanceof Job job ? job(job, row) : null,
                work instanceof Outwork outwork ? outwork(outwork) : null,
                work instanceof RunningIn r
                        ? new Board.RunningInView(
                                r.distanceKm(),
                                r.doneKm(),
                                r.perDayKm(),
                                (int) r.perDay().value(),
                                r.driver().skill(),
                                r.anyWeather())
                        : null,
                at == null ? null : placed(at),
                cannot.get(work.id()));
    }

    private Board.JobView job(Job job, WorkRow row) {
        return new Board.JobView(
                job.zone(),
                job.onCar(),
                job.wholeCar(),
                (int) job.estimate().low().value(),
                (int) job.estimate().likely().value(),
                (int) job.estimate().high().value(),
                (int) job.toDo().value(),
                job.crew(),
                job.stationKind().orElse(""),
                job.oneGo(),
                (int) job.cure().toMinutes(),
                job.cureLock(),
                job.findings().map(f -> (int) Math.round(100 * f.chance())).orElse(0),
                job.findings().map(f -> (int) f.work().value()).orElse(0),
                row.finding(),
                job.parts().stream().map(p -> p.value()).toList(),
                job.started()
                        .map(s -> s.by().stream().map(PersonId::value).toList())
                        .orElse(List.of()));
    }

    private Board.OutworkView outwork(Outwork outwork) {
        return new Board.OutworkView(
                outwork.vendor().value(),
                outwork.wholeCar(),
                (int) outwork.transportOut().toMinutes(),
                outwork.slot().map(s -> s.from()).orElse(null),
                outwork.slot().map(s -> s.to()).orElse(null),
                outwork.turnaround().low(),
                outwork.turnaround().likely(),
                outwork.turnaround().high(),
                (int) outwork.transportBack().toMinutes(),
                (int) outwork.inspection().value(),
                outwork.away().map(a -> a.since()).orElse(null),
                outwork.away().map(a -> a.back().low()).orElse(null),
                outwork.away().map(a -> a.back().likely()).orElse(null),
                outwork.away().map(a -> a.back().high()).orElse(null));
    }

    private Board.PlacedView placed(Plan.Placed at) {
        return new Board.PlacedView(
                at.start(),
                at.end(),
                at.ready(),
                at.at().stream().map(s -> new Board.Stretch(s.from(), s.to())).toList(),
                at.crew().stream().map(PersonId::value).toList(),
                at.station().map(s -> s.value()).orElse(null),
                at.slotMissed(),
                at.because().tag().orElse(null),
                words.reason(at.because()),
                at.because().blocker().map(WorkId::value).orElse(null));
    }

    private List<Board.LinkView> links() {
        Set<LinkId> used = Set.copyOf(plan.startedAtRisk());
        return shop.links().stream()
                .map(l -> new Board.LinkView(
                        l.id().value(),
                        l.first().value(),
                        l.then().value(),
                        l.type(),
                        (int) l.lag().minutes().value(),
                        l.lag().working(),
                        l.risk().map(r -> r.chance()).orElse(null),
                        used.contains(l.id())))
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
                            p.vendor().map(v -> v.value()).orElse(null),
                            row.price(),
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
                    words.chain(commitment, outlook, placed)));
        }
        return views;
    }

    private List<Board.PersonView> people() {
        Map<String, Integer> versions = record.versions("person");
        var changes = record.shiftChanges();
        return shop.people().stream()
                .map(p -> new Board.PersonView(
                        p.id().value(),
                        p.name(),
                        p.skills().entrySet().stream()
                                .map(s -> new Board.SkillView(s.getKey(), s.getValue()))
                                .sorted(Comparator.comparing(Board.SkillView::skill))
                                .toList(),
                        hours(p.shifts()),
                        changes.getOrDefault(p.id().value(), List.of()),
                        p.costPerHour(),
                        WorkedTime.of(p, shop.now(), shop.now().plusSeconds(300), shop.zone())
                                        .value()
                                > 0,
                        versions.getOrDefault(p.id().value(), 0)))
                .toList();
    }

    private static List<Board.HoursView> hours(List<Shift> shifts) {
        return shifts.stream()
                .map(s -> new Board.HoursView(s.day().getValue(), s.start(), s.end()))
                .toList();
    }

    private static List<Board.ClosureView> closures(List<Closure> closures) {
        return closures.stream()
                .map(c -> new Board.ClosureView(c.from(), c.to(), c.reason()))
                .toList();
    }

    private List<Board.StationView> stations() {
        Map<String, Integer> versions = record.versions("station");
        return shop.stations().stream()
                .map(s -> new Board.StationView(
                        s.id().value(),
                        s.name(),
                        s.kind(),
                        closures(s.closures()),
                        versions.getOrDefault(s.id().value(), 0)))
                .toList();
    }

    private List<Board.VendorView> vendors() {
        Map<String, Integer> versions = record.versions("vendor");
        Map<String, String> emails = record.emails();
        Map<String, List<Board.TimeView>> times = record.times();
        return shop.vendors().stream()
                .map(v -> new Board.VendorView(
                        v.id().value(),
                        v.name(),
                        v.trade(),
                        v.phone(),
                        emails.getOrDefault(v.id().value(), ""),
                        v.record().map(r -> r.sample()).orElse(0),
                        v.record().map(r -> r.usualSlip().toMinutes()).orElse(null),
                        v.record().map(VendorRecord::weight).orElse(null),
                        hours(v.hours()),
                        closures(v.closures()),
                        v.offers().stream()
                                .map(o -> new Board.OfferView(
                                        o.what(), o.price().orElse(null), o.low(), o.likely(), o.high()))
                                .toList(),
                        times.getOrDefault(v.id().value(), List.of()),
                        versions.getOrDefault(v.id().value(), 0)))
                .toList();
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

    private List<Board.LoadView> loads() {
        return Load.of(shop, plan, LOAD_DAYS).stream()
                .map(l -> new Board.LoadView(
                        l.person().map(PersonId::value).orElse(null),
                        l.station().map(s -> s.value()).orElse(null),
                        l.day(),
                        l.planned(),
                        l.there(),
                        l.away()))
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
