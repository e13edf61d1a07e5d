package galecrest.server.outwork;

import galecrest.core.build.Gate;
import galecrest.core.build.Zone;
import galecrest.core.money.Amount;
import galecrest.core.people.Level;
import galecrest.core.plan.Plan;
import galecrest.core.plan.ReasonText;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.sheet.JobSpec;
import galecrest.core.time.Span;
import galecrest.core.vendor.Checklists;
import galecrest.core.vendor.OfferedSlot;
import galecrest.core.work.CrewPlace;
import galecrest.core.work.CureLock;
import galecrest.core.work.Outwork;
import galecrest.server.access.AnyHand;
import galecrest.server.access.CurrentUser;
import galecrest.server.access.LeadOrManager;
import galecrest.server.access.Role;
import galecrest.server.journal.Journal;
import galecrest.server.plan.DateEffect;
import galecrest.server.plan.PlanService;
import galecrest.server.plan.WhatIf;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import galecrest.server.progress.ProgressService;
import galecrest.server.vendor.PromisedDates;
import galecrest.server.work.JobRequest;
import galecrest.server.work.WorkService;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Sending out and fetching back, with what must be looked at on both sides. */
@Service
class OutworkService {
    /** So many offered times are tried at once; each takes a plan. */
    private static final int LOOKED_AT = 4;

    private final OutworkRepository outwork;
    private final WorkService works;
    private final ProgressService progress;
    private final PlanService plans;
    private final Journal journal;
    private final Clock clock;
    private final CurrentUser who;

    OutworkService(
            OutworkRepository outwork,
            WorkService works,
            ProgressService progress,
            PlanService plans,
            Journal journal,
            Clock clock,
            CurrentUser who) {
        this.outwork = outwork;
        this.works = works;
        this.progress = progress;
        this.plans = plans;
        this.journal = journal;
        this.clock = clock;
        this.who = who;
    }

    @AnyHand
    OutworkSheetResponse sheet(String id) {
        OutworkRow row = row(id);
        Checklists lists = Checklists.of(row.trade());
        return new OutworkSheetResponse(
                row.id(),
                row.buildId(),
                row.name(),
                row.vendorId(),
                row.status(),
                row.specification(),
                row.driver(),
                row.trailer(),
                who.account().role() == Role.HAND ? null : row.price(),
                row.promisedBack(),
                views(row, CheckSide.SEND, lists.send()),
                views(row, CheckSide.RETURN, lists.back()));
    }

    private OutworkRow row(String id) {
        return outwork.find(id).orElseThrow(() -> new NotFoundException("outside work"));
    }

    private List<CheckView> views(OutworkRow row, CheckSide side, List<Checklists.Item> items) {
        Map<String, CheckRow> checks = outwork.checks(row.id(), side);
        List<String> open = outwork.openJobs(row.buildId());
        return items.stream()
                .map(item -> {
                    CheckRow check = checks.get(item.text());
                    String job = item.job().map(Checklists.FollowOn::name).orElse(null);
                    return new CheckView(
                            item.text(),
                            check != null && check.done(),
                            check == null ? "" : check.answer(),
                            check == null ? null : check.byName(),
                            check == null ? null : check.at(),
                            job,
                            job != null && open.contains(job.toLowerCase(Locale.ROOT)));
                })
                .toList();
    }

    @LeadOrManager
    void change(String id, OutworkSheetRequest form) {
        BigDecimal price = form.price();
        if (!Amount.isPrice(price)) {
            throw new ValidationException("price", Amount.PRICE);
        }
        journal.judge(() -> {
            OutworkRow row = row(id);
            outwork.change(id, form);
            return "wrote the order for " + row.name();
        });
    }

    @AnyHand
    void check(String id, CheckRequest form) {
        OutworkRow row = row(id);
        Checklists lists = Checklists.of(row.trade());
        boolean known = (form.side() == CheckSide.SEND ? lists.send() : lists.back())
                .stream().anyMatch(i -> i.text().equals(form.item()));
        if (!known) {
            throw new ValidationException("item", "That is not on the checklist.");
        }
        journal.change(
                (form.done() ? "checked: " : "not yet: ") + form.item(),
                () -> outwork.check(id, form, who.name(), clock.instant()));
    }

    /**
     * The times that the vendor offers; of those around when it could leave, what booking each does to the dates. The others
     * are asked for one by one, since each is a plan of its own.
     */
    @LeadOrManager
    SlotsResponse slots(String id) {
        OutworkRow row = row(id);
        PlanService.Current now = plans.current();
        Outwork work = outwork(now.shop(), id);
        List<OfferedSlot> offered = row.status().equals("TODO") ? offered(now.shop(), work) : List.of();
        int first = firstLookedAt(now, work, offered);
        List<SlotView> views = IntStream.range(0, offered.size())
                .parallel()
                .mapToObj(i -> i >= first && i < first + LOOKED_AT
                        ? tried(row, now, work, offered.get(i))
                        : view(work, offered.get(i), null, null))
                .toList();
        return new SlotsResponse(views, work.slot().map(Span::from).orElse(null));
    }

    /** The last time before the work could leave by the plan, where there is one. */
    private static int firstLookedAt(PlanService.Current now, Outwork work, List<OfferedSlot> offered) {
        Instant leaves = Optional.ofNullable(now.plan().byWork().get(work.id()))
                .map(p -> p.start().plus(work.transportOut()))
                .orElse(now.shop().now());
        int before = (int)
                offered.stream().filter(s -> s.when().from().isBefore(leaves)).count();
        return Math.max(0, Math.min(before - 1, offered.size() - LOOKED_AT));
    }

    /** One of the times that are offered, with what booking it does. */
    @LeadOrManager
    SlotView slot(String id, String slotId) {
        OutworkRow row = row(id);
        PlanService.Current now = plans.current();
        Outwork work = outwork(now.shop(), id);
        return offered(now.shop(), work).stream()
                .filter(s -> s.id().equals(slotId))
                .findFirst()
                .map(s -> tried(row, now, work, s))
                .orElseThrow(() -> new NotFoundException("offered time"));
    }

    private SlotView tried(OutworkRow row, PlanService.Current now, Outwork work, OfferedSlot slot) {
        PlanService.Current with = plans.of(booked(now.shop(), work, slot.when()));
        boolean missed = with.plan().placed().stream().anyMatch(p -> p.work().equals(work.id()) && p.slotMissed());
        return view(work, slot, missed, WhatIf.between(row.buildId(), now, with));
    }

    private static SlotView view(
            Outwork work, OfferedSlot slot, @Nullable Boolean missed, @Nullable List<DateEffect> effect) {
        return new SlotView(
                slot.id(),
                slot.when().from(),
                slot.when().to(),
                slot.when().from().minus(work.transportOut()),
                missed,
                effect);
    }

    /** The shop as it would be with the work booked for that time. */
    private static ShopSnapshot booked(ShopSnapshot shop, Outwork work, Span when) {
        return shop.withWorks(shop.works().stream()
                .map(w -> w.id().equals(work.id()) ? work.withSlot(Optional.of(when)) : w)
                .toList());
    }

    private static Outwork outwork(ShopSnapshot shop, String id) {
        return shop.works().stream()
                .filter(w -> w instanceof Outwork && w.id().value().equals(id))
                .map(Outwork.class::cast)
                .findFirst()
                .orElseThrow(() -> new NotFoundException("outside work"));
    }

    private static List<OfferedSlot> offered(ShopSnapshot shop, Outwork work) {
        return shop.vendor(work.vendor()).stream()
                .flatMap(v -> v.slots().stream())
                .filter(s -> s.when().from().isAfter(shop.now()))
                .sorted(Comparator.comparing((OfferedSlot s) -> s.when().from()).thenComparing(OfferedSlot::id))
                .toList();
    }

    /** Books one of the times that the vendor offers; none gives the booked time back. */
    @LeadOrManager
    void book(String id, @Nullable String slotId) {
        journal.judge(() -> {
            OutworkRow row = row(id);
            if (!row.status().equals("TODO")) {
                throw new ValidationException("slotId", row.name() + " is away already, or done.");
            }
            if (slotId == null) {
                outwork.book(id, null);
                return "gave back the time booked for " + row.name();
            }
            ShopSnapshot shop = plans.shopWithinChange();
            OfferedSlot slot = offered(shop, outwork(shop, id)).stream()
                    .filter(s -> s.id().equals(slotId))
                    .findFirst()
                    .orElseThrow(() -> new ValidationException("slotId", "That time is not offered any more."));
            outwork.book(id, slot.when());
            return "booked " + new ReasonText(shop).time(slot.when().from()) + " for " + row.name();
        });
    }

    @LeadOrManager
    void send(String id, SendRequest form) {
        ValidationException.throwIfAny(PromisedDates.problems(form.backLow(), form.backLikely(), form.backHigh()));
        Instant now = clock.instant();
        Instant likely = form.backLikely() == null ? plannedBack(id, now) : form.backLikely();
        Instant low = form.backLow() == null ? likely : form.backLow();
        Instant high = form.backHigh() == null ? likely.plus(Duration.ofDays(1)) : form.backHigh();
        journal.judge(() -> {
            OutworkRow row = row(id);
            List<String> open = views(
                            row, CheckSide.SEND, Checklists.of(row.trade()).send())
                    .stream()
                    .filter(c -> !c.done())
                    .map(CheckView::item)
                    .toList();
            if (!open.isEmpty() && !form.anyway()) {
                throw new ValidationException(
                        "checklist",
                        open.size() + " of the checklist are open: "
                                + open.stream().collect(Collectors.joining("; ")) + ".");
            }
            if (!row.status().equals("TODO")) {
                throw new ValidationException("send", row.name() + " is away already, or done.");
            }
            outwork.send(id, now, low, likely, high);
            return "sent out: " + row.name() + (open.isEmpty() ? "" : ", checklist unfinished");
        });
    }

    private Instant plannedBack(String id, Instant now) {
        return plans.current().plan().placed().stream()
                .filter(p -> p.work().value().equals(id))
                .map(Plan.Placed::end)
                .findFirst()
                .orElse(now.plus(Duration.ofDays(7)));
    }

    @LeadOrManager
    ReturnedResponse back(String id, ReturnRequest form) {
        List<String> made = new ArrayList<>();
        journal.judge(() -> {
            OutworkRow row = row(id);
            if (!row.status().equals("STARTED")) {
                throw new ValidationException("return", row.name() + " is not away.");
            }
            List<Checklists.FollowOn> follow = Checklists.of(row.trade()).back().stream()
                    .flatMap(i -> i.job().stream())
                    .filter(j -> form.jobs().contains(j.name()))
                    .toList();
            ShopSnapshot shop = plans.shopWithinChange();
            progress.isBack(id);
            for (Checklists.FollowOn job : follow) {
                works.insertJob(form(shop, row, job.name(), job.skill(), job.minutes()), false);
                made.add(job.name());
            }
            if (!form.limits().isBlank()) {
                String name = "Limit met: " + form.limits().strip();
                works.insertJob(form(shop, row, name, "engines", 60), true);
                made.add(name);
            }
            return "is back: " + row.name();
        });
        return new ReturnedResponse(made);
    }

    /** A job that follows; a skill that nobody in this shop has is replaced by fitting. */
    private JobRequest form(ShopSnapshot shop, OutworkRow row, String name, String skill, int minutes) {
        boolean known = shop.people().stream().anyMatch(p -> p.skills().containsKey(skill));
        JobSpec spec = new JobSpec(
                name,
                Zone.ENGINE_BAY,
                true,
                false,
                Math.max(5, minutes * 2 / 3),
                minutes,
                minutes * 2,
                List.of(new CrewPlace(known ? skill : "fit", Level.LEARNER)),
                "",
                false,
                0,
                CureLock.NOTHING,
                row.gate() == Gate.TUNER ? Gate.ROLL_OUT : row.gate(),
                true,
                0,
                0);
        return new JobRequest(row.buildId(), "After outside work", spec, null, "", List.of(row.id()), 0);
    }
}
