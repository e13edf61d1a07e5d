package galecrest.server.gate;

import galecrest.core.gate.GateBook;
import galecrest.core.gate.GateLine;
import galecrest.core.shop.Problem;
import galecrest.server.NewId;
import galecrest.server.access.AnyHand;
import galecrest.server.access.LeadOrManager;
import galecrest.server.access.ManagerOnly;
import galecrest.server.journal.Journal;
import galecrest.server.problem.ValidationException;
import galecrest.server.shop.HouseList;
import galecrest.server.shop.NameRepository;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** What gates ask: of a car, else of its discipline, else of the house, else as it usually is. */
@Service
class GateLineService {
    private static final int MOST = 200;
    private static final int LONGEST = 160;

    private final HouseList<GateLine> lists;

    GateLineService(GateRepository record, NameRepository names, Journal journal) {
        lists = new HouseList<>(record, GateBook.USUAL, "what gates ask", names, journal);
    }

    /** The lines that hold for a car. */
    List<GateLine> of(String build) {
        return lists.of(build);
    }

    @AnyHand
    GateLinesResponse house(String discipline) {
        return GateLinesResponse.of(lists.shown(null, discipline));
    }

    @AnyHand
    GateLinesResponse car(String build) {
        return GateLinesResponse.of(lists.shown(build, ""));
    }

    @ManagerOnly
    void changeHouse(String discipline, GateLinesRequest form) {
        lists.change(null, discipline, form.edition(), read(form));
    }

    @ManagerOnly
    void usual(String discipline) {
        lists.forget(null, discipline);
    }

    @LeadOrManager
    void changeCar(String build, GateLinesRequest form) {
        lists.change(build, "", form.edition(), read(form));
    }

    @LeadOrManager
    void asTheHouse(String build) {
        lists.forget(build, "");
    }

    private static List<GateLine> read(GateLinesRequest form) {
        List<GateLineRequest> asked = form.lines() == null ? List.of() : form.lines();
        List<Problem> problems = new ArrayList<>();
        if (asked.isEmpty() || asked.size() > MOST) {
            problems.add(new Problem("lines", "Leave 1 to " + MOST + " lines."));
        }
        Set<String> keys = new HashSet<>();
        List<GateLine> lines = new ArrayList<>();
        for (int i = 0; i < asked.size(); i++) {
            line(asked.get(i), i, keys, problems).ifPresent(lines::add);
        }
        ValidationException.throwIfAny(problems);
        return lines;
    }

    private static Optional<GateLine> line(GateLineRequest form, int at, Set<String> keys, List<Problem> problems) {
        String text = said(form.text());
        String place = "lines[" + at + "].";
        int before = problems.size();
        if (text.isEmpty() || text.length() > LONGEST) {
            problems.add(new Problem(place + "text", "Say what is asked in 1 to " + LONGEST + " letters."));
        }
        if (form.gate() == null || form.asks() == null) {
            problems.add(new Problem(place + "asks", "Say which gate asks, and how it is checked."));
        } else if (form.asks() == GateLine.Asks.MEASURED && form.restsOn() == null) {
            problems.add(new Problem(place + "restsOn", "Say what is to be measured."));
        }
        String key = said(form.key()).isEmpty() ? NewId.next() : said(form.key());
        if (!keys.add(key)) {
            problems.add(new Problem(place + "text", "The line is there twice."));
        }
        return problems.size() > before
                ? Optional.empty()
                : Optional.of(new GateLine(
                        key, form.gate(), text, form.asks(), Optional.ofNullable(form.restsOn()), form.never()));
    }

    private static String said(@Nullable String text) {
        return text == null ? "" : text.strip();
    }
}
