package galecrest.core.gauge.fabrication;

import static galecrest.core.units.QuantityKind.LENGTH;
import static galecrest.core.units.QuantityKind.NUMBER;
import static galecrest.core.units.QuantityKind.SHARE;

import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.gauge.GaugeField;
import galecrest.core.gauge.GaugeRequest;
import galecrest.core.units.QuantityText;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;

/** Pieces cut from stock: as few bars as can be, what each of them gives, and what is left. */
public final class CutListGauge implements Gauge {
    private static final double KERF = 0.003;
    private static final int MOST_PIECES = 500;

    @Override
    public String name() {
        return "cut-list";
    }

    @Override
    public String title() {
        return "Cut list";
    }

    @Override
    public String headline(GaugeAnswer answer) {
        return answer.text("verdict");
    }

    @Override
    public List<GaugeField> fields() {
        return List.of(
                GaugeField.quantity("stock", LENGTH).must().hint("6 m, a bar as it is bought"),
                GaugeField.quantity("kerf", LENGTH).hint("3 mm where nothing is said"),
                GaugeField.rows(
                                "pieces",
                                GaugeField.text("piece").must().hint("door bar"),
                                GaugeField.quantity("length", LENGTH)
                                        .must()
                                        .hint("with what the cope takes and a little over"),
                                GaugeField.quantity("count", NUMBER).hint("1 where nothing is said"))
                        .must());
    }

    @Override
    public GaugeAnswer answer(GaugeRequest request) {
        double stock = request.quantity("stock", LENGTH, 0.05, 30);
        double kerf = request.quantityOr("kerf", LENGTH, KERF, 0, 0.02);
        List<String> names = new ArrayList<>();
        List<Double> lengths = new ArrayList<>();
        List<Integer> counts = new ArrayList<>();
        for (GaugeRequest row : request.rows("pieces")) {
            String name = row.text("piece");
            double length = row.quantity("length", LENGTH, 0.001, 30);
            if (name.isEmpty()) {
                row.wrong("piece", "is needed: what it is.");
            }
            if (length > stock) {
                row.wrong("length", "is more than a bar has.");
            }
            names.add(name);
            lengths.add(length);
            counts.add(row.has("count") ? row.whole("count", 1, MOST_PIECES) : 1);
        }
        int all = counts.stream().mapToInt(Integer::intValue).sum();
        if (names.isEmpty()) {
            request.wrong("pieces", "are needed: what is to be cut.");
        } else if (all > MOST_PIECES) {
            request.wrong("pieces", "are more than " + MOST_PIECES + ".");
        }
        request.done();
        double[] each = lengths.stream().mapToDouble(Double::doubleValue).toArray();
        CutList list =
                CutList.of(each, counts.stream().mapToInt(Integer::intValue).toArray(), stock, kerf);
        GaugeAnswer answer = new GaugeAnswer(request.system());
        List<GaugeAnswer> rows = new ArrayList<>();
        double used = 0;
        for (Map.Entry<List<Integer>, Integer> bar : alike(list, each).entrySet()) {
            double cut = bar.getKey().stream().mapToDouble(k -> each[k]).sum();
            double gone = cut + kerf * (bar.getKey().size() - 1);
            double left = Math.max(0, stock - gone - kerf);
            used += cut * bar.getValue();
            rows.add(answer.row()
                    .put("bars", NUMBER, bar.getValue())
                    .put("pieces", said(bar.getKey(), names, each, answer))
                    .put("left", LENGTH, left));
        }
        int bars = list.bars().size();
        double waste = 1 - used / (bars * stock);
        return answer.put("bars", NUMBER, bars)
                .put("waste", SHARE, waste)
                .put("proven", list.proven())
                .put(
                        "verdict",
                        String.format(
                                Locale.ROOT,
                                "%d %s, %.0f %% left over; %s",
                                bars,
                                bars == 1 ? "bar" : "bars",
                                100 * waste,
                                list.proven()
                                        ? "no way with fewer"
                                        : "too many ways to try them all: it may go with fewer"))
                .rows("cuts", rows);
    }

    /** Bars that are cut alike, in the order in which they first come. */
    private static Map<List<Integer>, Integer> alike(CutList list, double[] lengths) {
        Map<List<Integer>, Integer> alike = new LinkedHashMap<>();
        list.bars()
                .forEach(bar -> alike.merge(
                        Arrays.stream(bar)
                                .boxed()
                                .sorted((a, b) -> Double.compare(lengths[b], lengths[a]))
                                .toList(),
                        1,
                        Integer::sum));
        return alike;
    }

    private static String said(List<Integer> bar, List<String> names, double[] lengths, GaugeAnswer answer) {
        return bar.stream()
                .map(k -> names.get(k) + " " + QuantityText.say(LENGTH, lengths[k], answer.system()))
                .collect(Collectors.joining(", "));
    }
}
