package galecrest.server.loom;

import galecrest.server.access.AnyHand;
import galecrest.server.csv.CsvTable;
import galecrest.server.pdf.PdfSheet;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** The wires of a car as a list and as labels, as tables and on paper. */
@Service
class WirePaperService {
    private static final int LABELS_ACROSS = 4;

    private final LoomService loom;

    WirePaperService(LoomService loom) {
        this.loom = loom;
    }

    private List<LoomResponse.WireResponse> wires(String build) {
        return loom.wires(build, loom.tree(build));
    }

    @AnyHand
    String csv(String build) {
        loom.car(build);
        StringBuilder table = new StringBuilder(
                CsvTable.line(Stream.of("number", "circuit", "from", "to", "size", "colour", "length mm", "way")));
        List<LoomResponse.WireResponse> wires = wires(build);
        for (int i = 0; i < wires.size(); i++) {
            LoomResponse.WireResponse w = wires.get(i);
            table.append(CsvTable.line(Stream.of(
                    String.valueOf(i + 1),
                    w.circuit(),
                    w.from(),
                    w.to(),
                    w.size(),
                    w.colour(),
                    String.valueOf(Math.round(w.length().value())),
                    String.join(" > ", w.way()))));
        }
        return table.toString();
    }

    /** Both ends of each wire, as they are written on it. */
    @AnyHand
    String labels(String build) {
        loom.car(build);
        StringBuilder table = new StringBuilder(CsvTable.line(Stream.of("label", "at")));
        each(build).forEach(l -> table.append(CsvTable.line(l.stream())));
        return table.toString();
    }

    private List<List<String>> each(String build) {
        List<List<String>> labels = new ArrayList<>();
        List<LoomResponse.WireResponse> wires = wires(build);
        for (int i = 0; i < wires.size(); i++) {
            LoomResponse.WireResponse w = wires.get(i);
            labels.add(List.of((i + 1) + " " + w.circuit() + " → " + w.to(), w.from()));
            labels.add(List.of((i + 1) + " " + w.circuit() + " → " + w.from(), w.to()));
        }
        return labels;
    }

    @AnyHand
    byte[] pdf(String build) {
        PdfSheet sheet = PdfSheet.titled(loom.car(build) + ": wires");
        List<LoomResponse.WireResponse> wires = wires(build);
        List<List<String>> rows = new ArrayList<>();
        for (int i = 0; i < wires.size(); i++) {
            LoomResponse.WireResponse w = wires.get(i);
            rows.add(List.of(
                    String.valueOf(i + 1),
                    w.circuit(),
                    String.join(" – ", w.way()),
                    w.size(),
                    w.colour(),
                    Math.round(w.length().value()) + " mm",
                    " "));
        }
        sheet.table(List.of("", "circuit", "way", "size", "colour", "cut to, and a little over", "done"), rows);
        sheet.heading("Labels, one at each end");
        List<List<String>> labels = new ArrayList<>();
        List<String> line = new ArrayList<>();
        for (List<String> label : each(build)) {
            line.add(label.get(0));
            if (line.size() == LABELS_ACROSS) {
                labels.add(List.copyOf(line));
                line.clear();
            }
        }
        while (!line.isEmpty() && line.size() < LABELS_ACROSS) {
            line.add(" ");
        }
        if (!line.isEmpty()) {
            labels.add(List.copyOf(line));
        }
        sheet.table(List.of("", "", "", ""), labels);
        return sheet.line("Battery off before anything is joined. Fuses and sizes are those of the circuits sheet.")
                .pdf();
    }
}
