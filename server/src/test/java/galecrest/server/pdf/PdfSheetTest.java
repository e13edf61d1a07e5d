package galecrest.server.pdf;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Sheets of paper, read back by another library. */
class PdfSheetTest {
    private static String text(byte[] pdf) throws IOException {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            return new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
        }
    }

    /** Names as people of the shop's trade have them: each letter comes back as it was written. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "Małgorzata Wójcik-Świątek",
                "Ştefan Țepeș",
                "Çağlar Şengöz",
                "Dvořák & Říha",
                "Ђорђе Љубичић",
                "Γιώργος Παπαδόπουλος",
                "Ingrid Møller-Þórsdóttir",
                "Őrhidi Győző",
                "−6 h → ≤ 2 d, ≥ 40 psi, ⌀ 12"
            })
    void anyNamePrints(String name) throws IOException {
        byte[] pdf = PdfSheet.titled(name)
                .line("For " + name + ".")
                .heading(name)
                .table(List.of("who", name), List.of(List.of(name, "signed")))
                .pdf();
        String back = text(pdf);
        String plain = name.replaceAll("\\s+", " ").replace("⌀ ", "");
        assertThat(back.split(java.util.regex.Pattern.quote(plain.split(" ")[0]), -1).length - 1)
                .as("title, line, heading, head of the table and its cell")
                .isGreaterThanOrEqualTo(5);
    }

    @Test
    void everyFontComesWithTheFile() throws IOException {
        byte[] pdf = PdfSheet.titled("Purchase order")
                .heading("Lines")
                .table(List.of("part"), List.of(List.of("flange")))
                .pdf();
        List<String> missing = new ArrayList<>();
        int fonts = 0;
        try (PDDocument document = Loader.loadPDF(pdf)) {
            for (PDPage page : document.getPages()) {
                for (COSName name : page.getResources().getFontNames()) {
                    PDFont font = page.getResources().getFont(name);
                    fonts++;
                    if (!font.isEmbedded()) {
                        missing.add(font.getName());
                    }
                }
            }
        }
        assertThat(fonts).isPositive();
        assertThat(missing).isEmpty();
    }

    @Test
    void aLongTableGoesOnOverPagesWithItsHead() throws IOException {
        List<List<String>> rows = new ArrayList<>();
        for (int i = 0; i < 200; i++) {
            rows.add(List.of("line " + i, "x"));
        }
        byte[] pdf = PdfSheet.titled("Load list")
                .table(List.of("what", "where"), rows)
                .pdf();
        try (PDDocument document = Loader.loadPDF(pdf)) {
            assertThat(document.getNumberOfPages()).isGreaterThan(3);
            for (int page = 1; page <= document.getNumberOfPages(); page++) {
                PDFTextStripper one = new PDFTextStripper();
                one.setStartPage(page);
                one.setEndPage(page);
                assertThat(one.getText(document)).contains("what", "where");
            }
        }
        assertThat(text(pdf)).contains("line 0 ", "line 199 ");
    }
}
