package galecrest.server.season;

import galecrest.core.plan.ShopSnapshot;
import galecrest.core.season.Stretch;
import galecrest.core.season.StretchRule;
import galecrest.server.access.AnyHand;
import galecrest.server.access.ManagerOnly;
import galecrest.server.event.EventResponse;
import galecrest.server.event.EventService;
import galecrest.server.journal.Journal;
import galecrest.server.plan.PlanService;
import galecrest.server.problem.ValidationException;
import java.time.LocalDate;
import java.util.List;
import org.springframework.stereotype.Service;

/** How long people are at it without a day off around an event, and from when on the house warns. */
@Service
class StretchService {
    /** So many days before an event are looked at, and after it. */
    private static final int DAYS_BEFORE = 14;

    private static final int DAYS_AFTER = 7;

    private final EventService events;
    private final SeasonRepository record;
    private final PlanService plans;
    private final Journal journal;

    StretchService(EventService events, SeasonRepository record, PlanService plans, Journal journal) {
        this.events = events;
        this.record = record;
        this.plans = plans;
        this.journal = journal;
    }

    /** The stretches of all who have work in the two weeks before an event, at it or in the week after. */
    @AnyHand
    List<StretchResponse> around(String event) {
        EventResponse there = events.get(event);
        return plans.beside(now -> {
            ShopSnapshot shop = now.shop();
            LocalDate loads = there.loadsAt().atZone(shop.zone()).toLocalDate();
            LocalDate back = there.back().atZone(shop.zone()).toLocalDate();
            return Stretch.of(shop, now.plan(), loads.minusDays(DAYS_BEFORE), back.plusDays(DAYS_AFTER), record.rule())
                    .stream()
                    .map(s -> new StretchResponse(
                            s.person().value(), s.first(), s.days(), s.nights(), s.hours(), s.weekFrom(), s.warnings()))
                    .toList();
        });
    }

    @AnyHand
    StretchRule rule() {
        return record.rule();
    }

    @ManagerOnly
    void keep(StretchRuleRequest form) {
        StretchRule rule;
        try {
            rule = new StretchRule(form.mostDays(), form.mostNights(), form.mostHours(), form.eventHours());
        } catch (IllegalArgumentException wrong) {
            throw new ValidationException("mostDays", wrong.getMessage());
        }
        journal.change("changed the house rule for long stretches", () -> record.keep(rule));
    }
}
