package galecrest.server.cope;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.ObjectMapper;
import galecrest.core.gauge.GaugeRequest;
import galecrest.core.gauge.fabrication.CopeGauge;
import galecrest.core.gauge.fabrication.CopeTemplate;
import galecrest.server.access.AnyHand;
import galecrest.server.gauge.UnitsService;
import galecrest.server.pdf.PdfDrawing;
import galecrest.server.problem.ValidationException;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Cope templates as they are printed and wrapped around the tube. */
@Service
class CopeService {
    private static final TypeReference<Map<String, Object>> FIELDS = new TypeReference<>() {};

    private final UnitsService units;
    private final ObjectMapper json = new ObjectMapper();

    CopeService(UnitsService units) {
        this.units = units;
    }

    /** Lying sheets of that paper, each with its register marks where there are several. */
    @AnyHand
    byte[] pdf(String asked, String paper) {
        CopeTemplate template = template(asked);
        CopeTemplate.Paper size = paper(paper);
        PdfDrawing drawing = new PdfDrawing("Cope template", size.width(), size.height());
        List<CopeTemplate.Sheet> sheets = template.sheets(size);
        for (CopeTemplate.Sheet sheet : sheets) {
            drawing.page(sheet.x(), sheet.y(), CopeTemplate.MARGIN);
            template.strokes().forEach(s -> drawing.line(s.points(), s.thick()));
            template.registers(size).forEach(s -> drawing.line(s.points(), s.thick()));
            template.labels().forEach(l -> drawing.text(l.x(), l.y(), l.size(), l.text()));
            if (sheets.size() > 1) {
                drawing.text(
                        sheet.x() + size.width() - 2 * CopeTemplate.MARGIN - 36,
                        sheet.y() + 4,
                        3,
                        "column " + sheet.column() + ", row " + sheet.row());
            }
        }
        return drawing.pdf();
    }

    /** One sheet, counted from 1, or with no sheet said the whole in one piece. */
    @AnyHand
    String svg(String asked, String paper, @Nullable Integer sheet) {
        CopeTemplate template = template(asked);
        if (sheet == null) {
            return TemplateSvg.whole(template);
        }
        CopeTemplate.Paper size = paper(paper);
        List<CopeTemplate.Sheet> sheets = template.sheets(size);
        if (sheet < 1 || sheet > sheets.size()) {
            throw new ValidationException("sheet", "There are " + sheets.size() + " sheets.");
        }
        return TemplateSvg.sheet(template, size, sheets.get(sheet - 1));
    }

    private CopeTemplate template(String asked) {
        Map<String, Object> fields;
        try {
            fields = json.readValue(asked, FIELDS);
        } catch (JsonProcessingException none) {
            throw new ValidationException("asked", "This is not what the gauge is asked: " + none.getOriginalMessage());
        }
        return CopeGauge.template(
                GaugeRequest.of(units.meant(fields)),
                "Tube " + fields.get("diameter") + " × " + fields.get("wall") + ", touches "
                        + fields.getOrDefault("touches", "outside"));
    }

    private static CopeTemplate.Paper paper(String said) {
        return Arrays.stream(CopeTemplate.Paper.values())
                .filter(p -> p.name().equals(said.toUpperCase(Locale.ROOT)))
                .findFirst()
                .orElseThrow(() -> new ValidationException("paper", "A4 or Letter."));
    }
}
