package galecrest.core.gauge.electrics;

import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeField;
import galecrest.core.gauge.GaugeRequest;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;

/**
 * The isolator by its table: pulled inside and outside, with the engine standing and running, and each time whether the engine
 * stops and everything is dead. It must hold with the alternator turning, which feeds what the battery no longer does.
 */
public final class IsolatorGauge implements Gauge {
    private enum Pulled {
        INSIDE,
        OUTSIDE
    }

    private enum Engine {
        STANDING,
        IDLING,
        REVVED
    }

    @Override
    public String name() {
        return "isolator";
    }

    @Override
    public String title() {
        return "Isolator";
    }

    @Override
    public String headline(GaugeAnswer answer) {
        return answer.text("verdict");
    }

    @Override
    public List<GaugeField> fields() {
        return List.of(GaugeField.rows(
                        "pulls",
                        GaugeField.choice("pulled", "inside", "outside"),
                        GaugeField.choice("engine", "standing", "idling", "revved"),
                        GaugeField.flag("engine stops").hint("or stands still"),
                        GaugeField.flag("pump dead"),
                        GaugeField.flag("lights dead"),
                        GaugeField.text("by").must())
                .must());
    }

    @Override
    public GaugeAnswer answer(GaugeRequest request) {
        GaugeAnswer answer = new GaugeAnswer(request.system());
        List<GaugeAnswer> rows = new ArrayList<>();
        Set<String> open = new TreeSet<>();
        Arrays.stream(Pulled.values())
                .forEach(p -> Arrays.stream(Engine.values()).forEach(e -> open.add(said(p, e))));
        String failed = "";
        for (GaugeRequest row : request.rows("pulls")) {
            Pulled pulled = row.choice("pulled", Pulled.class);
            Engine engine = row.choice("engine", Engine.class);
            boolean stops = row.flag("engine stops");
            boolean pump = row.flag("pump dead");
            boolean lights = row.flag("lights dead");
            if (row.text("by").isEmpty()) {
                row.wrong("by", "is needed: who pulled it.");
            }
            boolean good = stops && pump && lights;
            String what = said(pulled, engine);
            open.remove(what);
            failed = failed.isEmpty() && !good
                    ? what + ": " + (!stops ? "the engine runs on" : !pump ? "the pump runs on" : "the lights stay on")
                    : failed;
            rows.add(answer.row().put("pull", what).put("good", good).put("by", row.text("by")));
        }
        if (rows.isEmpty()) {
            request.wrong("pulls", "are needed: at least one.");
        }
        request.done();
        return answer.put("good", failed.isEmpty() && open.isEmpty())
                .put(
                        "verdict",
                        !failed.isEmpty()
                                ? failed
                                : open.isEmpty()
                                        ? "kills everything, inside and outside, standing, idling and revved"
                                        : "not tried yet: " + String.join("; ", open))
                .rows("pulls", rows)
                .put(
                        "before",
                        List.of(
                                "Wheels off the ground or chocked, out of gear, nobody in front of the car.",
                                "The rule book of the event says what an isolator must cut; it goes before this sheet."));
    }

    private static String said(Pulled pulled, Engine engine) {
        return pulled.name().toLowerCase(Locale.ROOT) + ", engine "
                + engine.name().toLowerCase(Locale.ROOT);
    }
}
