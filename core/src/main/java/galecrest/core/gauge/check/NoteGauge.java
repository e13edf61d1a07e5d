package galecrest.core.gauge.check;

import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeField;
import galecrest.core.gauge.GaugeRequest;
import java.util.List;

/** What was measured or checked, in words: for what no gauge works anything out of. */
public final class NoteGauge implements Gauge {
    /** Its name: sheets of it are told apart by what they are about. */
    public static final String NAME = "by-hand";

    private static final int LONGEST = 120;

    @Override
    public String name() {
        return NAME;
    }

    @Override
    public String title() {
        return "Noted by hand";
    }

    @Override
    public String titled(GaugeAnswer answer) {
        return answer.text("what");
    }

    @Override
    public String headline(GaugeAnswer answer) {
        return answer.text("value");
    }

    @Override
    public List<GaugeField> fields() {
        return List.of(
                GaugeField.text("what").must().hint("fluid levels, brake pedal, charging"),
                GaugeField.text("value").must().hint("what was seen: at the mark, firm, 14.1 V"));
    }

    @Override
    public GaugeAnswer answer(GaugeRequest request) {
        String what = said(request, "what");
        String value = said(request, "value");
        request.done();
        return new GaugeAnswer(request.system()).put("what", what).put("value", value);
    }

    private static String said(GaugeRequest request, String field) {
        String text = request.text(field);
        if (text.isEmpty()) {
            request.wrong(field, "is needed.");
        } else if (text.length() > LONGEST) {
            request.wrong(field, "has at most " + LONGEST + " letters.");
        }
        return text;
    }
}
