package galecrest.server.rate;

import galecrest.core.money.MoneyForm;
import galecrest.core.shop.Problem;
import galecrest.server.access.ManagerOnly;
import galecrest.server.journal.Journal;
import galecrest.server.problem.ValidationException;
import galecrest.server.shop.ShopService;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;

/** What the shop charges, and what it may do unasked. */
@Service
public class RatesService {
    private final RatesRepository record;
    private final ShopService shop;
    private final Journal journal;

    RatesService(RatesRepository record, ShopService shop, Journal journal) {
        this.record = record;
        this.shop = shop;
        this.journal = journal;
    }

    /** The rates as they are now; of a shop that has set none, of nothing. */
    public Rates rates() {
        return record.rates();
    }

    /** Whether a finding of so much work on that car waits for the customer's yes. */
    public boolean asksCustomer(String build, int minutes, int hands) {
        return record.hasCustomer(build) && record.rates().forFindings().asks(minutes, hands);
    }

    @ManagerOnly
    void save(RatesRequest form) {
        List<Problem> problems = new ArrayList<>();
        MoneyForm.amount("hourRate", form.hourRate(), problems);
        MoneyForm.percent("taxPercent", form.taxPercent(), problems);
        if (form.findingLimit() != null) {
            MoneyForm.amount("findingLimit", form.findingLimit(), problems);
        }
        ValidationException.throwIfAny(problems);
        journal.change("set the rate of an hour, the tax and what goes ahead unasked", () -> {
            shop.mustHaveRules();
            record.save(form);
        });
    }
}
