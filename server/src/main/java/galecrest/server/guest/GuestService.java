package galecrest.server.guest;

import galecrest.server.access.LeadOrManager;
import galecrest.server.journal.Journal;
import galecrest.server.plan.PlanService;
import galecrest.server.problem.ValidationException;
import galecrest.server.work.WorkRepository;
import galecrest.server.work.WorkSummary;
import java.time.ZonedDateTime;
import java.util.Locale;
import org.springframework.stereotype.Service;

/** A job is done by somebody from outside, on their day; the plan waits for it as for anybody's shift. */
@Service
class GuestService {
    private static final int LONGEST_NAME = 60;

    private final GuestRepository guests;
    private final WorkRepository works;
    private final PlanService plans;
    private final Journal journal;

    GuestService(GuestRepository guests, WorkRepository works, PlanService plans, Journal journal) {
        this.guests = guests;
        this.works = works;
        this.plans = plans;
        this.journal = journal;
    }

    @LeadOrManager
    void comes(String work, GuestRequest form) {
        String name = form.name().strip();
        if (name.length() > LONGEST_NAME) {
            throw new ValidationException("name", "A name has 1 to " + LONGEST_NAME + " characters.");
        }
        journal.judge(() -> {
            WorkSummary head = works.mustBe(work);
            if (!head.kind().equals("JOB") || !head.status().equals("TODO")) {
                throw new ValidationException("name", head.name() + " has begun, or is no job of the shop.");
            }
            ZonedDateTime from = form.from().atZone(plans.shopWithinChange().zone());
            ZonedDateTime to = form.to().atZone(from.getZone());
            if (!from.isBefore(to) || !from.toLocalDate().equals(to.toLocalDate())) {
                throw new ValidationException("to", "They go later on the same day.");
            }
            String skill = "guest " + name.toLowerCase(Locale.ROOT);
            String person = guests.withSkill(skill).orElseGet(() -> guests.insert(name, skill));
            guests.isIn(
                    person,
                    from.toLocalDate(),
                    from.toLocalTime().toSecondOfDay() / 60,
                    to.toLocalTime().toSecondOfDay() / 60,
                    "for " + head.name());
            guests.does(work, skill, form.ourStation());
            return name + " comes for " + head.name();
        });
    }
}
