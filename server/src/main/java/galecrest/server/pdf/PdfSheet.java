package galecrest.server.pdf;

import com.lowagie.text.Document;
import com.lowagie.text.Element;
import com.lowagie.text.Font;
import com.lowagie.text.Image;
import com.lowagie.text.PageSize;
import com.lowagie.text.Paragraph;
import com.lowagie.text.Phrase;
import com.lowagie.text.pdf.BaseFont;
import com.lowagie.text.pdf.PdfPCell;
import com.lowagie.text.pdf.PdfPTable;
import com.lowagie.text.pdf.PdfWriter;
import java.awt.Color;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;

/** A sheet of A4 as PDF, in black on white: a title, lines, headings, tables, pictures. */
public final class PdfSheet {
    private static final float MARGIN = 48;
    /** Liberation Sans, embedded: Latin, Greek and Cyrillic letters, whatever the reader has. */
    static final BaseFont PLAIN = letters("LiberationSans-Regular.ttf");

    private static final BaseFont BOLD = letters("LiberationSans-Bold.ttf");
    private static final Font TITLE = new Font(BOLD, 20);
    private static final Font HEADING = new Font(BOLD, 12);
    private static final Font TEXT = new Font(PLAIN, 10);
    private static final Font STRONG = new Font(BOLD, 9);
    private static final Font SMALL = new Font(PLAIN, 9);

    private final ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    private final Document document = new Document(PageSize.A4, MARGIN, MARGIN, MARGIN, MARGIN);

    private static BaseFont letters(String file) {
        try {
            return BaseFont.createFont("liberation/" + file, BaseFont.IDENTITY_H, BaseFont.EMBEDDED);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private PdfSheet() {
        PdfWriter.getInstance(document, bytes);
    }

    public static PdfSheet titled(String title) {
        PdfSheet sheet = new PdfSheet();
        sheet.document.addTitle(title);
        sheet.document.open();
        sheet.document.add(new Paragraph(title, TITLE));
        return sheet;
    }

    public PdfSheet line(String text) {
        Paragraph paragraph = new Paragraph(text, TEXT);
        paragraph.setSpacingBefore(4);
        document.add(paragraph);
        return this;
    }

    public PdfSheet heading(String text) {
        Paragraph paragraph = new Paragraph(text, HEADING);
        paragraph.setSpacingBefore(14);
        paragraph.setSpacingAfter(4);
        document.add(paragraph);
        return this;
    }

    public PdfSheet table(List<String> head, List<List<String>> rows) {
        PdfPTable table = new PdfPTable(head.size());
        table.setWidthPercentage(100);
        table.setSpacingBefore(8);
        table.setHeaderRows(1);
        head.forEach(h -> table.addCell(cell(h, STRONG)));
        rows.forEach(row -> row.forEach(c -> table.addCell(cell(c, SMALL))));
        document.add(table);
        return this;
    }

    private static PdfPCell cell(String text, Font font) {
        PdfPCell cell = new PdfPCell(new Phrase(text, font));
        cell.setPadding(4);
        cell.setBorderColor(Color.GRAY);
        cell.setVerticalAlignment(Element.ALIGN_TOP);
        return cell;
    }

    /** A picture, not larger than a third of the page. */
    public PdfSheet picture(byte[] content, String caption) {
        try {
            Image image = Image.getInstance(content);
            image.scaleToFit(PageSize.A4.getWidth() - 2 * MARGIN, PageSize.A4.getHeight() / 3);
            document.add(image);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return line(caption);
    }

    public byte[] pdf() {
        document.close();
        return bytes.toByteArray();
    }
}
