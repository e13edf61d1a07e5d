package galecrest.core.gauge.fabrication;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * The template of a cope as it is wrapped around the tube, at true size in mm: what is drawn, and how it lies on sheets of paper.
 * The origin is at the top left; x goes around the tube, y down along it, so that the end that is cut is above.
 *
 * @param width of the drawing, mm
 * @param height of it, mm
 */
public record CopeTemplate(double width, double height, List<Stroke> strokes, List<Label> labels) {
    /** Blank paper that a printer does not reach, mm. */
    public static final double MARGIN = 12;
    /** Sheets that are put together share so much, mm. */
    public static final double OVERLAP = 10;
    /** The bar by which a print is checked, mm. */
    public static final double BAR = 50;

    private static final double MILLI = 1000;
    private static final double EDGE = 6;
    private static final double FOOT = 34;
    private static final double BAND = 18;
    private static final double THIN = 0.12;
    private static final double THICK = 0.3;

    /**
     * A line through points.
     *
     * @param points x and y by turns, mm
     * @param thick how broad, mm
     */
    public record Stroke(double[] points, double thick) {}

    /** A text whose left end of the baseline is there; {@code size} is in mm. */
    public record Label(double x, double y, double size, String text) {}

    /** A size of paper, lying: mm. */
    public enum Paper {
        A4(297, 210),
        LETTER(279.4, 215.9);

        private final double width;
        private final double height;

        Paper(double width, double height) {
            this.width = width;
            this.height = height;
        }

        public double width() {
            return width;
        }

        public double height() {
            return height;
        }
    }

    /** A sheet: which part of the drawing lies on it, by its top left corner, mm; {@code column} and {@code row} from 1. */
    public record Sheet(double x, double y, int column, int row) {}

    /**
     * The template.
     *
     * @param diameter outside of the branch, m: the paper is wrapped around it
     * @param title what is written on it
     */
    public static CopeTemplate of(Cope cope, double diameter, String title) {
        double around = Math.PI * diameter * MILLI;
        double most = Double.NEGATIVE_INFINITY;
        double least = Double.POSITIVE_INFINITY;
        double[] heights = new double[361];
        for (int i = 0; i < heights.length; i++) {
            heights[i] = cope.height(Math.toRadians(i)) * MILLI;
            most = Math.max(most, heights[i]);
            least = Math.min(least, heights[i]);
        }
        // Nearest to the node is the lowest height: it stands highest on the paper, the end of the tube upwards.
        double foot = EDGE + (most - least) + BAND;
        double[] curve = new double[2 * heights.length];
        List<Stroke> strokes = new ArrayList<>();
        List<Label> labels = new ArrayList<>();
        for (int i = 0; i < heights.length; i++) {
            double x = EDGE + around * i / 360;
            double y = EDGE + heights[i] - least;
            curve[2 * i] = x;
            curve[2 * i + 1] = y;
            if (i % 10 == 0) {
                strokes.add(new Stroke(new double[] {x, y, x, foot}, i % 90 == 0 ? THICK : THIN));
                if (i % 30 == 0) {
                    labels.add(new Label(x - 1.5, foot + 3.4, 2.4, i + "°"));
                }
            }
        }
        strokes.add(0, new Stroke(curve, THICK));
        strokes.add(new Stroke(new double[] {EDGE, foot, EDGE + around, foot}, THICK));
        double bar = foot + 10;
        strokes.add(new Stroke(new double[] {EDGE, bar, EDGE + BAR, bar}, THICK));
        for (double end : new double[] {EDGE, EDGE + BAR}) {
            strokes.add(new Stroke(new double[] {end, bar - 2, end, bar + 2}, THICK));
        }
        labels.add(new Label(EDGE + BAR + 2, bar + 1, 3, "50 mm: measure it before anything is cut"));
        labels.add(new Label(EDGE, bar + 8, 3.4, title));
        labels.add(new Label(
                EDGE,
                bar + 13,
                2.8,
                String.format(
                        Locale.ROOT,
                        "%.1f mm around, %.1f mm deep. Cut along the curve, wrap with the foot square to the tube, 0° on its mark.",
                        around,
                        most - least)));
        return new CopeTemplate(
                Math.max(around, 150) + 2 * EDGE, foot + FOOT, List.copyOf(strokes), List.copyOf(labels));
    }

    /** The sheets that it takes, row by row; neighbours share {@link #OVERLAP}. */
    public List<Sheet> sheets(Paper paper) {
        int columns = count(width, paper.width());
        int rows = count(height, paper.height());
        List<Sheet> sheets = new ArrayList<>();
        for (int row = 0; row < rows; row++) {
            for (int column = 0; column < columns; column++) {
                sheets.add(new Sheet(
                        column * (paper.width() - 2 * MARGIN - OVERLAP),
                        row * (paper.height() - 2 * MARGIN - OVERLAP),
                        column + 1,
                        row + 1));
            }
        }
        return sheets;
    }

    private static int count(double length, double paper) {
        double inside = paper - 2 * MARGIN;
        return length <= inside ? 1 : 1 + (int) Math.ceil((length - inside) / (inside - OVERLAP));
    }

    /** Crosses in the middle of what neighbouring sheets share: laid on each other, the sheets lie right. */
    public List<Stroke> registers(Paper paper) {
        List<Stroke> marks = new ArrayList<>();
        double stepX = paper.width() - 2 * MARGIN - OVERLAP;
        double stepY = paper.height() - 2 * MARGIN - OVERLAP;
        int columns = count(width, paper.width());
        int rows = count(height, paper.height());
        for (int column = 1; column < columns; column++) {
            for (int row = 0; row < rows; row++) {
                cross(marks, column * stepX + OVERLAP / 2, row * stepY + 20);
                cross(marks, column * stepX + OVERLAP / 2, row * stepY + paper.height() - 2 * MARGIN - 20);
            }
        }
        for (int row = 1; row < rows; row++) {
            for (int column = 0; column < columns; column++) {
                cross(marks, column * stepX + 20, row * stepY + OVERLAP / 2);
                cross(marks, column * stepX + paper.width() - 2 * MARGIN - 20, row * stepY + OVERLAP / 2);
            }
        }
        return marks;
    }

    private static void cross(List<Stroke> marks, double x, double y) {
        marks.add(new Stroke(new double[] {x - 4, y, x + 4, y}, THIN));
        marks.add(new Stroke(new double[] {x, y - 4, x, y + 4}, THIN));
    }
}
