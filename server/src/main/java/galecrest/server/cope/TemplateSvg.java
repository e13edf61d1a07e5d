package galecrest.server.cope;

import galecrest.core.gauge.fabrication.CopeTemplate;
import java.util.List;
import java.util.Locale;

/** A template as SVG whose user units are millimetres, so that whatever prints or cuts it at 100 % makes it true. */
final class TemplateSvg {
    private TemplateSvg() {}

    /** The whole of it on one piece, as for a plotter. */
    static String whole(CopeTemplate template) {
        StringBuilder svg = head(template.width(), template.height());
        content(svg, template, List.of());
        return svg.append("</svg>\n").toString();
    }

    /** One sheet of paper. */
    static String sheet(CopeTemplate template, CopeTemplate.Paper paper, CopeTemplate.Sheet sheet) {
        StringBuilder svg = head(paper.width(), paper.height());
        double margin = CopeTemplate.MARGIN;
        svg.append(String.format(
                Locale.ROOT,
                "<svg x=\"%s\" y=\"%s\" width=\"%s\" height=\"%s\" viewBox=\"%s %s %s %s\">%n",
                margin,
                margin,
                paper.width() - 2 * margin,
                paper.height() - 2 * margin,
                sheet.x(),
                sheet.y(),
                paper.width() - 2 * margin,
                paper.height() - 2 * margin));
        content(svg, template, template.registers(paper));
        svg.append("</svg>\n");
        text(svg, margin, paper.height() - 5, 3, "column " + sheet.column() + ", row " + sheet.row());
        return svg.append("</svg>\n").toString();
    }

    private static StringBuilder head(double width, double height) {
        return new StringBuilder(String.format(
                Locale.ROOT,
                "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%smm\" height=\"%smm\" viewBox=\"0 0 %s %s\""
                        + " font-family=\"sans-serif\">%n",
                width,
                height,
                width,
                height));
    }

    private static void content(StringBuilder svg, CopeTemplate template, List<CopeTemplate.Stroke> marks) {
        template.strokes().forEach(s -> stroke(svg, s));
        marks.forEach(s -> stroke(svg, s));
        template.labels().forEach(l -> text(svg, l.x(), l.y(), l.size(), l.text()));
    }

    private static void stroke(StringBuilder svg, CopeTemplate.Stroke stroke) {
        svg.append("<polyline fill=\"none\" stroke=\"black\" stroke-width=\"")
                .append(stroke.thick())
                .append("\" points=\"");
        for (int i = 0; i < stroke.points().length; i += 2) {
            svg.append(String.format(Locale.ROOT, "%.4f,%.4f ", stroke.points()[i], stroke.points()[i + 1]));
        }
        svg.append("\"/>\n");
    }

    private static void text(StringBuilder svg, double x, double y, double size, String text) {
        svg.append(String.format(
                Locale.ROOT,
                "<text x=\"%.2f\" y=\"%.2f\" font-size=\"%.1f\">%s</text>%n",
                x,
                y,
                size,
                text.replace("&", "&amp;").replace("<", "&lt;")));
    }
}
