package galecrest.server.gauge;

import galecrest.core.units.QuantityKind;
import galecrest.core.units.QuantityText;
import galecrest.core.units.UnitSystem;
import galecrest.server.access.AnyHand;
import galecrest.server.access.CurrentUser;
import galecrest.server.access.ManagerOnly;
import galecrest.server.journal.Journal;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import org.springframework.stereotype.Service;

/** Which units are shown first, by house and by person. */
@Service
public class UnitsService {
    private static final String HOUSE = "";

    private final UnitsRepository units;
    private final Journal journal;
    private final CurrentUser who;

    UnitsService(UnitsRepository units, Journal journal, CurrentUser who) {
        this.units = units;
        this.journal = journal;
        this.who = who;
    }

    @AnyHand
    UnitsResponse choices() {
        return new UnitsResponse(
                Arrays.stream(QuantityKind.values())
                        .filter(k -> !metric(k).equals(customary(k)))
                        .map(k -> new UnitsResponse.Kind(k, k.label(), metric(k), customary(k)))
                        .toList(),
                units.of(HOUSE),
                units.of(who.account().username()));
    }

    private static String metric(QuantityKind kind) {
        return QuantityText.unit(kind, UnitSystem.METRIC);
    }

    private static String customary(QuantityKind kind) {
        return QuantityText.unit(kind, UnitSystem.CUSTOMARY);
    }

    @ManagerOnly
    void ofTheHouse(UnitsRequest form) {
        write(HOUSE, form, "chose the units of the house");
    }

    @AnyHand
    void own(UnitsRequest form) {
        write(who.account().username(), form, "chose units");
    }

    private void write(String name, UnitsRequest form, String summary) {
        journal.judge(() -> {
            Map<QuantityKind, UnitSystem> before = units.of(name);
            Map<QuantityKind, UnitSystem> now = new LinkedHashMap<>(before);
            form.choices().forEach((kind, system) -> {
                if (system == null) {
                    now.remove(kind);
                } else {
                    now.put(kind, system);
                }
            });
            if (now.equals(before)) {
                return null;
            }
            units.write(name, now);
            return summary;
        });
    }

    /** A request as its writer means it: where it says no units itself, those of the person, and of the house. */
    public Map<String, Object> meant(Map<String, Object> asked) {
        if (asked.containsKey("units")) {
            return asked;
        }
        Map<QuantityKind, UnitSystem> all = new LinkedHashMap<>(units.of(HOUSE));
        all.putAll(units.of(who.account().username()));
        Map<String, Object> chosen = new LinkedHashMap<>();
        all.forEach((kind, system) -> {
            if (system == UnitSystem.CUSTOMARY) {
                chosen.put(kind.label(), system.name().toLowerCase(Locale.ROOT));
            }
        });
        if (chosen.isEmpty()) {
            return asked;
        }
        Map<String, Object> meant = new LinkedHashMap<>(asked);
        meant.put("units", chosen);
        return meant;
    }
}
