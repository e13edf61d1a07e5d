package galecrest.server.receiving;

import galecrest.core.parts.PartState;
import galecrest.core.plan.PlanDifference;
import galecrest.core.shop.Problem;
import galecrest.core.time.DurationText;
import galecrest.core.work.CommitmentId;
import galecrest.server.access.AnyHand;
import galecrest.server.access.CurrentUser;
import galecrest.server.build.FittedForNowRepository;
import galecrest.server.journal.Journal;
import galecrest.server.mate.MateRepository;
import galecrest.server.parts.PartLineRepository;
import galecrest.server.parts.PartRow;
import galecrest.server.plan.PlanService;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import galecrest.server.vendor.DeliveryRepository;
import galecrest.server.vendor.VendorRepository;
import galecrest.server.vendor.VendorRow;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;

/** Looking deliveries over: what is accepted frees its jobs, what is refused is a late part. On the phone too. */
@Service
@AnyHand
class ReceivingService {
    /** What should come within this time is shown among the arrivals. */
    private static final Duration SOON = Duration.ofHours(14);

    private final PartLineRepository parts;
    private final MateRepository joints;
    private final InspectionRepository inspections;
    private final DeliveryRepository deliveries;
    private final FittedForNowRepository fittedForNow;
    private final VendorRepository vendors;
    private final PlanService plans;
    private final Journal journal;
    private final Clock clock;
    private final CurrentUser who;

    ReceivingService(
            PartLineRepository parts,
            MateRepository joints,
            InspectionRepository inspections,
            DeliveryRepository deliveries,
            FittedForNowRepository fittedForNow,
            VendorRepository vendors,
            PlanService plans,
            Journal journal,
            Clock clock,
            CurrentUser who) {
        this.parts = parts;
        this.joints = joints;
        this.inspections = inspections;
        this.deliveries = deliveries;
        this.fittedForNow = fittedForNow;
        this.vendors = vendors;
        this.plans = plans;
        this.journal = journal;
        this.clock = clock;
        this.who = who;
    }

    List<ArrivalResponse> open() {
        Instant soon = clock.instant().plus(SOON);
        return parts.openParts().stream()
                .filter(p -> p.state().toInspect()
                        || (p.state() == PartState.SHIPPED || p.state() == PartState.ORDERED)
                                && p.likely() != null
                                && p.likely().isBefore(soon))
                .map(p -> new ArrivalResponse(
                        p.id(),
                        p.buildId(),
                        p.name(),
                        p.state(),
                        p.quantity(),
                        p.received(),
                        vendors.known(p.vendorId())
                                .map(VendorRow::name)
                                .orElse(p.own() ? "brought by the customer" : ""),
                        p.specification(),
                        joints.of(p.id())))
                .toList();
    }

    InspectedResponse inspect(String id, InspectionRequest form) {
        PlanService.Current before = plans.current();
        Judged judged = journal.change(() -> judged(id, form), Judged::summary);
        PlanService.Current after = plans.current();
        return new InspectedResponse(judged.state(), cost(plans.since(before, after), after));
    }

    /** What came of an inspection. */
    private record Judged(PartState state, String summary) {}

    private Judged judged(String id, InspectionRequest form) {
        PartRow part = parts.part(id).orElseThrow(() -> new NotFoundException("part"));
        check(part, form);
        int received = part.received() + form.counted();
        Instant now = clock.instant();
        inspections.inspection(id, form, who.name(), now);
        if (!form.accepted()) {
            parts.refused(id);
            return new Judged(PartState.REFUSED, "refused " + part.name() + ": " + form.reason());
        }
        PartState state = received < part.quantity() ? PartState.SHIPPED : PartState.ACCEPTED;
        parts.received(id, received, state);
        if (state == PartState.SHIPPED) {
            return new Judged(state, "accepted " + received + " of " + part.quantity() + " " + part.name());
        }
        if (part.vendorId() != null && part.promisedAt() != null) {
            deliveries.part(part.vendorId(), part.name(), part.promisedAt(), now);
        }
        return new Judged(state, "accepted " + part.name());
    }

    private static List<String> cost(PlanDifference difference, PlanService.Current now) {
        return difference.margins().stream()
                .filter(m -> m.before().isPresent()
                        && m.after().isPresent()
                        && m.after().get().value() < m.before().get().value())
                .map(m -> name(now, m.commitment()) + ": "
                        + DurationText.signed(m.before().orElseThrow()) + " → "
                        + DurationText.signed(m.after().orElseThrow()))
                .toList();
    }

    private static String name(PlanService.Current now, CommitmentId id) {
        return now.shop().commitments().stream()
                .filter(c -> c.id().equals(id))
                .map(c -> c.name())
                .findFirst()
                .orElse("");
    }

    private static void check(PartRow part, InspectionRequest form) {
        List<Problem> problems = new ArrayList<>();
        boolean ordered =
                part.own() || part.orderedAt() != null || !part.state().toOrder();
        if (!ordered) {
            problems.add(new Problem("counted", part.name() + " has not been ordered; it cannot have come."));
        } else if (part.state().here()) {
            problems.add(new Problem("counted", part.name() + " was accepted already."));
        } else if (part.state().turnedDown()) {
            problems.add(new Problem("counted", part.name() + " was refused; order it again first."));
        }
        int open = part.quantity() - part.received();
        if (form.counted() < 0 || form.counted() > 10_000) {
            problems.add(new Problem("counted", "Count what came: 0 to 10 000."));
        } else if (form.accepted() && (form.counted() < 1 || form.counted() > open)) {
            problems.add(new Problem(
                    "counted", open + " are open; accept at most as many, and at least one. Refuse what is too many."));
        }
        if (form.accepted() && (!form.rightVariant() || !form.damage().isBlank())) {
            problems.add(new Problem(
                    "accepted", "The wrong variant or a damaged part is refused; say so, or take the remark away."));
        }
        if (!form.accepted() && form.reason().isBlank()) {
            problems.add(new Problem("reason", "Why is it refused? The vendor will ask."));
        }
        ValidationException.throwIfAny(problems);
    }

    void fit(String id, FitRequest form) {
        if (form.forNow() && (form.gate() == null || form.reason().isBlank())) {
            throw new ValidationException("gate", "Fitted for now: say why, and before which gate it is made good.");
        }
        PartState to = form.forNow() ? PartState.FITTED_FOR_NOW : PartState.FITTED;
        journal.judge(() -> {
            PartRow part = parts.part(id).orElseThrow(() -> new NotFoundException("part"));
            if (part.state() == to) {
                return null;
            }
            part.state().problem(to, part.own()).ifPresent(p -> {
                throw new ValidationException("state", p);
            });
            parts.state(id, to);
            if (form.forNow()) {
                fittedForNow.insert(part.buildId(), part.name(), form.reason().strip(), form.gate(), clock.instant());
            }
            return "fitted " + part.name() + (form.forNow() ? " for now" : "");
        });
    }
}
