package galecrest.server.vendor;

import galecrest.core.money.Amount;
import galecrest.core.shop.Problem;
import galecrest.core.time.Shift;
import galecrest.server.NewId;
import galecrest.server.access.ManagerOnly;
import galecrest.server.journal.Journal;
import galecrest.server.problem.ConflictException;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;

@Service
@ManagerOnly
class VendorService {
    private static final int MOST_DAYS = 250;

    private final VendorRepository vendors;
    private final Journal journal;

    VendorService(VendorRepository vendors, Journal journal) {
        this.vendors = vendors;
        this.journal = journal;
    }

    String add(VendorRequest form) {
        check(form);
        String id = NewId.next();
        journal.change("noted the vendor " + form.name(), () -> vendors.insert(id, form));
        return id;
    }

    void change(String id, VendorRequest form) {
        check(form);
        journal.change("changed the vendor " + form.name(), () -> {
            vendors.name(id).orElseThrow(() -> new NotFoundException("vendor"));
            if (!vendors.update(id, form)) {
                throw new ConflictException("Somebody else changed this vendor meanwhile.", 0, List.of());
            }
        });
    }

    void remove(String id) {
        journal.judge(() -> {
            String name = vendors.name(id).orElseThrow(() -> new NotFoundException("vendor"));
            vendors.used(id).ifPresent(why -> {
                throw new ValidationException("vendor", why);
            });
            vendors.delete(id);
            return "removed the vendor " + name;
        });
    }

    private static void check(VendorRequest form) {
        List<Problem> problems = new ArrayList<>();
        if (!form.email().isBlank() && !form.email().strip().matches("[^@\\s]+@[^@\\s]+")) {
            problems.add(new Problem("email", "This is no mail address."));
        }
        for (int i = 0; i < form.hours().size(); i++) {
            var hours = form.hours().get(i);
            if (hours.day() < 1 || hours.day() > 7 || !Shift.startsBeforeEnd(hours.start(), hours.end())) {
                problems.add(new Problem("hours." + i, "The opening hours end before they start."));
            }
        }
        for (int i = 0; i < form.closures().size(); i++) {
            if (form.closures().get(i).to().isBefore(form.closures().get(i).from())) {
                problems.add(new Problem("closures." + i, "The closure ends before it starts."));
            }
        }
        for (int i = 0; i < form.offers().size(); i++) {
            var offer = form.offers().get(i);
            if (!(0 <= offer.lowDays()
                    && offer.lowDays() <= offer.likelyDays()
                    && offer.likelyDays() <= offer.highDays()
                    && offer.highDays() <= MOST_DAYS)) {
                problems.add(new Problem(
                        "offers." + i + ".lowDays",
                        "The lead time must be low ≤ likely ≤ high, up to " + MOST_DAYS + " working days."));
            }
            if (!Amount.isPrice(offer.price())) {
                problems.add(new Problem("offers." + i + ".price", Amount.PRICE));
            }
        }
        for (int i = 0; i < form.slots().size(); i++) {
            if (!form.slots().get(i).from().isBefore(form.slots().get(i).to())) {
                problems.add(new Problem("slots." + i, "The time ends before it starts."));
            }
        }
        ValidationException.throwIfAny(problems);
    }
}
