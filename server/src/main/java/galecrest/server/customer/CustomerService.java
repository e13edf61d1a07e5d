package galecrest.server.customer;

import galecrest.core.build.Build;
import galecrest.core.build.BuildId;
import galecrest.core.money.Ledger;
import galecrest.core.plan.Plan;
import galecrest.core.work.Commitment;
import galecrest.core.work.ReasonTag;
import galecrest.core.work.Status;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import galecrest.server.access.ManagerOnly;
import galecrest.server.background.OddsService;
import galecrest.server.background.OddsView;
import galecrest.server.changeorder.ChangeOrderService;
import galecrest.server.changeorder.CustomerChange;
import galecrest.server.money.MoneyService;
import galecrest.server.pdf.PdfSheet;
import galecrest.server.photo.PhotoService;
import galecrest.server.plan.PlanService;
import galecrest.server.problem.NotFoundException;
import galecrest.server.shop.NameRepository;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Service;

/** What whoever has a customer's link may see and answer: one build's released facts, nothing else. */
@Service
class CustomerService {
    private static final int SOME = 5;

    private final CustomerLinkService links;
    private final CustomerLinkRepository record;
    private final PlanService plans;
    private final OddsService odds;
    private final ChangeOrderService changes;
    private final MoneyService money;
    private final PhotoService photos;
    private final NameRepository names;

    CustomerService(
            CustomerLinkService links,
            CustomerLinkRepository record,
            PlanService plans,
            OddsService odds,
            ChangeOrderService changes,
            MoneyService money,
            PhotoService photos,
            NameRepository names) {
        this.names = names;
        this.links = links;
        this.record = record;
        this.plans = plans;
        this.odds = odds;
        this.changes = changes;
        this.money = money;
        this.photos = photos;
    }

    CustomerPageResponse page(String token) {
        return page(links.open(token));
    }

    private CustomerPageResponse page(CustomerLinkRow link) {
        PlanService.Current now = PlanService.told(plans.current());
        BuildId id = new BuildId(link.buildId());
        Build build = now.shop().builds().stream()
                .filter(b -> b.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new NotFoundException("page"));
        List<Work> works =
                now.shop().works().stream().filter(w -> w.build().equals(id)).toList();
        Map<String, String> called = record.called(link.buildId());
        List<CustomerStage> stages = record.stages(link.buildId());
        List<CustomerChange> orders = own(now, id, changes.of(link.buildId()));
        return new CustomerPageResponse(
                names.shop(),
                now.shop().zone().getId(),
                now.shop().rules().says(),
                now.shop().now(),
                build.name(),
                build.number(),
                stages.stream().mapToInt(CustomerStage::done).sum(),
                stages.stream().mapToInt(CustomerStage::total).sum(),
                stages,
                works.stream()
                        .filter(w -> w.status() == Status.STARTED)
                        .flatMap(w -> Stream.ofNullable(called.get(w.id().value())))
                        .distinct()
                        .toList(),
                next(now, works, called),
                waits(works, link.buildId(), orders, called),
                dates(now, id),
                orders,
                record.measured(link.buildId()),
                record.photos(link.buildId()),
                changes.currency(),
                link.money() ? money(money.of(link.buildId())) : null);
    }

    /** What a change does to the dates of other customers is none of this one's business. */
    private static List<CustomerChange> own(PlanService.Current now, BuildId id, List<CustomerChange> orders) {
        Map<String, Commitment> mine = new HashMap<>();
        now.shop().commitments().stream().filter(c -> c.build().equals(id)).forEach(c -> mine.put(c.id().value(), c));
        return orders.stream()
                .map(o -> new CustomerChange(
                        o.id(),
                        o.title(),
                        o.note(),
                        o.total(),
                        o.effect().stream()
                                .filter(e -> mine.containsKey(e.commitment()))
                                .map(e -> e.named(mine.get(e.commitment()).name()))
                                .toList(),
                        o.state(),
                        o.decidedBy()))
                .toList();
    }

    private static List<String> next(PlanService.Current now, List<Work> works, Map<String, String> called) {
        Map<WorkId, Plan.Placed> placed = now.plan().byWork();
        return works.stream()
                .filter(w -> w.status() == Status.TODO && placed.containsKey(w.id()))
                .sorted(Comparator.comparing((Work w) -> placed.get(w.id()).start())
                        .thenComparing(Work::id))
                .flatMap(w -> Stream.ofNullable(called.get(w.id().value())))
                .distinct()
                .limit(SOME)
                .toList();
    }

    private List<String> waits(
            List<Work> works, String build, List<CustomerChange> orders, Map<String, String> called) {
        List<String> waits = new ArrayList<>();
        orders.stream().filter(o -> o.decidedBy() == null).forEach(o -> waits.add("Your yes or no: " + o.title()));
        works.stream()
                .filter(w -> w.status() != Status.DONE)
                .filter(w ->
                        w.hold().filter(h -> h.reason() == ReasonTag.DECIDE).isPresent())
                .flatMap(w -> Stream.ofNullable(called.get(w.id().value())))
                .distinct()
                .forEach(name -> waits.add("A decision about: " + name));
        record.ownParts(build).forEach(p -> waits.add("A part that you bring: " + p));
        return waits;
    }

    private List<CustomerDate> dates(PlanService.Current now, BuildId id) {
        Map<String, OddsView.Odds> known = new HashMap<>();
        odds.told().ifPresent(o -> o.odds().forEach(x -> known.put(x.commitmentId(), x)));
        List<CustomerDate> dates = new ArrayList<>();
        for (int i = 0; i < now.shop().commitments().size(); i++) {
            Commitment commitment = now.shop().commitments().get(i);
            if (commitment.build().equals(id)) {
                OddsView.Odds odd = known.get(commitment.id().value());
                dates.add(new CustomerDate(
                        commitment.name(),
                        commitment.due(),
                        now.plan().outlooks().get(i).finish().orElse(null),
                        odd == null ? null : odd.p50(),
                        odd == null ? null : odd.p95()));
            }
        }
        return dates;
    }

    private static CustomerMoney money(Ledger ledger) {
        return new CustomerMoney(
                ledger.agreed().value(),
                ledger.spent().value(),
                ledger.tax().value(),
                ledger.paid().value(),
                ledger.owed().value());
    }

    void answer(String token, String id, AnswerRequest form) {
        CustomerLinkRow link = links.open(token);
        SecurityContext before = SecurityContextHolder.getContext();
        SecurityContext customer = SecurityContextHolder.createEmptyContext();
        customer.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(
                form.name().strip() + " (customer)", null, List.of()));
        SecurityContextHolder.setContext(customer);
        try {
            changes.decideAsCustomer(
                    link.buildId(), id, form.accept(), form.name().strip(), form.note());
        } finally {
            SecurityContextHolder.setContext(before);
        }
    }

    PhotoService.Picture photo(String token, String id, boolean small) {
        return photos.released(links.open(token).buildId(), id, small);
    }

    /** The same as the page, on paper. */
    byte[] report(String token) {
        return report(links.open(token));
    }

    /** What a customer would be shown, for the manager to hand over; with money or without. */
    @ManagerOnly
    byte[] reportOf(String build, boolean money) {
        return report(new CustomerLinkRow(build, money));
    }

    private byte[] report(CustomerLinkRow link) {
        CustomerPageResponse page = page(link);
        ZoneId zone = ZoneId.of(page.zone());
        PdfSheet sheet = PdfSheet.titled((page.number() + " " + page.car()).strip())
                .line(page.shop() + ", " + day(page.now(), zone))
                .line(page.done() + " of " + page.total() + " jobs are done.");
        list(sheet, "Going on now", page.doing());
        list(sheet, "Next", page.next());
        list(sheet, "Waits for you", page.waitsForYou());
        sheet.heading("Dates");
        sheet.table(
                List.of("what", "due", "likely by", "almost surely by"),
                page.dates().stream()
                        .map(d -> List.of(
                                d.name(), day(d.due(), zone), day(d.likelyBy(), zone), day(d.almostSurelyBy(), zone)))
                        .toList());
        if (!page.measured().isEmpty()) {
            sheet.heading("Measured");
            sheet.table(
                    List.of("what", "value", "on"),
                    page.measured().stream()
                            .map(m -> List.of(m.what(), m.value(), day(m.at(), zone)))
                            .toList());
        }
        if (page.money() != null) {
            CustomerMoney m = page.money();
            sheet.heading("Money, " + page.currency());
            sheet.table(
                    List.of("agreed", "done so far, net", "tax", "paid", "open"),
                    List.of(List.of(
                            m.agreed().toPlainString(),
                            m.spent().toPlainString(),
                            m.tax().toPlainString(),
                            m.paid().toPlainString(),
                            m.owed().toPlainString())));
        }
        page.photos().stream()
                .limit(SOME)
                .forEach(p -> sheet.picture(
                        photos.released(link.buildId(), p.id(), false).content(),
                        p.caption() + ", " + day(p.at(), zone)));
        return sheet.pdf();
    }

    private static void list(PdfSheet sheet, String heading, List<String> lines) {
        if (!lines.isEmpty()) {
            sheet.heading(heading);
            lines.forEach(l -> sheet.line("- " + l));
        }
    }

    private String day(@Nullable Instant at, ZoneId zone) {
        return at == null ? "not known yet" : names.says().year(at.atZone(zone));
    }
}
