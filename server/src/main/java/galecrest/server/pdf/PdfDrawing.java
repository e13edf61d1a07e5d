package galecrest.server.pdf;

import com.lowagie.text.Document;
import com.lowagie.text.Rectangle;
import com.lowagie.text.pdf.PdfContentByte;
import com.lowagie.text.pdf.PdfName;
import com.lowagie.text.pdf.PdfWriter;
import java.io.ByteArrayOutputStream;

/** Pages that are drawn on in millimetres from their top left corner, at true size; the reader is told not to scale them. */
public final class PdfDrawing {
    private static final float POINTS = 72 / 25.4f;

    private final ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    private final Document document;
    private final PdfWriter writer;
    private final double width;
    private final double height;
    private double left;
    private double top;
    private boolean begun;

    /** Pages of that size, mm. */
    public PdfDrawing(String title, double width, double height) {
        this.width = width;
        this.height = height;
        document = new Document(new Rectangle(x(width), x(height)), 0, 0, 0, 0);
        writer = PdfWriter.getInstance(document, bytes);
        writer.addViewerPreference(PdfName.PRINTSCALING, PdfName.NONE);
        document.addTitle(title);
        document.open();
    }

    private static float x(double millimetres) {
        return (float) millimetres * POINTS;
    }

    /** A page: that point of the drawing lies in the corner within the margin, and nothing outside of it is drawn. */
    public PdfDrawing page(double atX, double atY, double margin) {
        if (begun) {
            writer.getDirectContent().restoreState();
            document.newPage();
        }
        begun = true;
        writer.setPageEmpty(false);
        PdfContentByte paper = writer.getDirectContent();
        paper.saveState();
        paper.rectangle(x(margin), x(margin), x(width - 2 * margin), x(height - 2 * margin));
        paper.clip();
        paper.newPath();
        left = margin - atX;
        top = margin - atY;
        return this;
    }

    private float atX(double millimetres) {
        return x(left + millimetres);
    }

    private float atY(double millimetres) {
        return x(height - top - millimetres);
    }

    /** A line through points, x and y by turns. */
    public PdfDrawing line(double[] points, double thick) {
        PdfContentByte paper = writer.getDirectContent();
        paper.setLineWidth(x(thick));
        paper.moveTo(atX(points[0]), atY(points[1]));
        for (int i = 2; i < points.length; i += 2) {
            paper.lineTo(atX(points[i]), atY(points[i + 1]));
        }
        paper.stroke();
        return this;
    }

    /** A text whose left end of the baseline is there. */
    public PdfDrawing text(double atX, double atY, double size, String text) {
        PdfContentByte paper = writer.getDirectContent();
        paper.beginText();
        paper.setFontAndSize(PdfSheet.PLAIN, x(size));
        paper.setTextMatrix(atX(atX), atY(atY));
        paper.showText(text);
        paper.endText();
        return this;
    }

    public byte[] pdf() {
        writer.getDirectContent().restoreState();
        document.close();
        return bytes.toByteArray();
    }
}
