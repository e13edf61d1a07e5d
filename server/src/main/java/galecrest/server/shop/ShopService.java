package galecrest.server.shop;

import galecrest.core.shop.HouseRules;
import galecrest.core.shop.Problem;
import galecrest.server.NewId;
import galecrest.server.access.AnyHand;
import galecrest.server.access.ManagerOnly;
import galecrest.server.journal.Journal;
import galecrest.server.problem.ConflictException;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;

/** The shop itself: its name, house rules and stations. */
@Service
public class ShopService {
    private final ShopRepository shop;
    private final Journal journal;

    ShopService(ShopRepository shop, Journal journal) {
        this.shop = shop;
        this.journal = journal;
    }

    @AnyHand
    ShopRequest shop() {
        HouseRules rules = HouseRules.defaults();
        return shop.find()
                .orElse(new ShopRequest(
                        "A new shop",
                        "UTC",
                        rules.atRiskStart(),
                        rules.toldOtherwise(),
                        rules.carInBits(),
                        rules.finishDay(),
                        (int) rules.unknownArrival().toDays(),
                        rules.frozenDays(),
                        (int) rules.buffer().hours(),
                        rules.tieBreak(),
                        rules.returnWrong(),
                        (int) rules.stayOn().value(),
                        0,
                        0,
                        false,
                        false,
                        0));
    }

    /** Of a new shop, whose house rules nobody has saved yet, the usual ones are; within the change that is open. */
    @ManagerOnly
    public void mustHaveRules() {
        if (shop.find().isEmpty()) {
            shop.save(shop());
        }
    }

    @ManagerOnly
    public void change(ShopRequest form) {
        try {
            ZoneId.of(form.zone());
        } catch (DateTimeException e) {
            throw new ValidationException("zone", "\"" + form.zone() + "\" is no time zone; one is \"Europe/Berlin\".");
        }
        journal.change("changed the house rules", () -> {
            if (!shop.save(form)) {
                throw new ConflictException("Somebody else changed the house rules meanwhile.", 0, List.of());
            }
        });
    }

    @ManagerOnly
    String addStation(StationRequest form) {
        check(form);
        String id = NewId.next();
        journal.change("set up the station " + form.name(), () -> shop.insertStation(id, form));
        return id;
    }

    @ManagerOnly
    void changeStation(String id, StationRequest form) {
        check(form);
        journal.change("changed the station " + form.name(), () -> {
            if (!shop.updateStation(id, form)) {
                if (shop.stationName(id).isEmpty()) {
                    throw new NotFoundException("station");
                }
                throw new ConflictException("Somebody else changed this station meanwhile.", 0, List.of());
            }
        });
    }

    @ManagerOnly
    void removeStation(String id) {
        journal.judge(() -> {
            String name = shop.stationName(id).orElseThrow(() -> new NotFoundException("station"));
            shop.deleteStation(id);
            return "took down the station " + name;
        });
    }

    private static void check(StationRequest form) {
        List<Problem> problems = new ArrayList<>();
        for (int i = 0; i < form.closures().size(); i++) {
            if (form.closures().get(i).to().isBefore(form.closures().get(i).from())) {
                problems.add(new Problem("closures." + i, "The closure ends before it starts."));
            }
        }
        ValidationException.throwIfAny(problems);
    }
}
