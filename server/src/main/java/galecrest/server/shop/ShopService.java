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
                        0));
    }

    @ManagerOnly
    void change(ShopRequest form) {
        List<Problem> problems = new ArrayList<>();
        if (form.name().isBlank()) {
            problems.add(new Problem("name", "The shop needs a name."));
        }
        try {
            ZoneId.of(form.zone());
        } catch (DateTimeException e) {
            problems.add(new Problem("zone", "\"" + form.zone() + "\" is no time zone; one is \"Europe/Berlin\"."));
        }
        double[] weights = {form.atRiskStart(), form.toldOtherwise(), form.carInBits(), form.finishDay()};
        String[] fields = {"atRiskStart", "toldOtherwise", "carInBits", "finishDay"};
        for (int i = 0; i < weights.length; i++) {
            if (!(weights[i] >= 0 && weights[i] <= 1000)) {
                problems.add(new Problem(fields[i], "A weight is between 0 and 1000."));
            }
        }
        if (form.unknownArrivalDays() < 0 || form.unknownArrivalDays() > 365) {
            problems.add(new Problem("unknownArrivalDays", "Between 0 and 365 days."));
        }
        if (form.frozenDays() < 0 || form.frozenDays() > 14) {
            problems.add(new Problem("frozenDays", "Between 0 and 14 days."));
        }
        if (!(form.returnWrong() >= 0 && form.returnWrong() <= 1)) {
            problems.add(new Problem("returnWrong", "A chance is between 0 and 1."));
        }
        if (form.stayOnMinutes() < 0 || form.stayOnMinutes() > 480) {
            problems.add(new Problem("stayOnMinutes", "People stay on for 0 to 8 h."));
        }
        if (form.bufferHours() < 0 || form.bufferHours() > 400) {
            problems.add(new Problem("bufferHours", "Between 0 and 400 h."));
        }
        ValidationException.throwIfAny(problems);
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
        if (form.name().isBlank()) {
            problems.add(new Problem("name", "A station needs a name."));
        }
        if (form.kind().isBlank()) {
            problems.add(new Problem("kind", "A station needs a kind, such as lift or bay."));
        }
        for (int i = 0; i < form.closures().size(); i++) {
            if (form.closures().get(i).to().isBefore(form.closures().get(i).from())) {
                problems.add(new Problem("closures." + i, "The closure ends before it starts."));
            }
        }
        ValidationException.throwIfAny(problems);
    }
}
