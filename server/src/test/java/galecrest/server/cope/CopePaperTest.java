package galecrest.server.cope;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;

import galecrest.core.gauge.fabrication.Cope;
import galecrest.server.ServerTest;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.contentstream.operator.Operator;
import org.apache.pdfbox.cos.COSNumber;
import org.apache.pdfbox.pdfparser.PDFStreamParser;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/** Templates as they come out of a printer: read back from the page by PDFBox, which had no part in making them. */
class CopePaperTest extends ServerTest {
    private static final double MM = 25.4 / 72;
    private static final String NODE = """
            {"diameter": "38.1 mm", "wall": "2.4 mm", "tubes": [
              {"diameter": "44.5 mm", "angle": "60°"}, {"diameter": "38.1 mm", "angle": "75°", "turned": "120°"}]}""";

    private MockHttpServletResponse get(String path, String asked, String paper) throws Exception {
        return mvc.perform(MockMvcRequestBuilders.get(path)
                        .param("asked", asked)
                        .param("paper", paper)
                        .cookie(session(BO))
                        .with(csrf()))
                .andReturn()
                .getResponse();
    }

    /** The lines of a page through their points, mm from its lower left corner. */
    private static List<List<double[]>> lines(PDPage page) throws IOException {
        List<List<double[]>> lines = new ArrayList<>();
        List<double[]> open = new ArrayList<>();
        List<Double> numbers = new ArrayList<>();
        PDFStreamParser parser = new PDFStreamParser(page);
        for (Object token = parser.parseNextToken(); token != null; token = parser.parseNextToken()) {
            if (token instanceof COSNumber number) {
                numbers.add((double) number.floatValue());
            } else if (token instanceof Operator operator) {
                assertThat(operator.getName()).as("nothing is scaled").isNotEqualTo("cm");
                if (operator.getName().equals("m")) {
                    open = new ArrayList<>();
                    lines.add(open);
                }
                if (operator.getName().equals("m") || operator.getName().equals("l")) {
                    int last = numbers.size();
                    open.add(new double[] {numbers.get(last - 2) * MM, numbers.get(last - 1) * MM});
                }
                numbers.clear();
            }
        }
        return lines;
    }

    @ParameterizedTest
    @CsvSource({"A4, 297, 210", "Letter, 279.4, 215.9"})
    void aPrintIsTrue(String paper, double width, double height) throws Exception {
        try (PDDocument pdf = Loader.loadPDF(get("/api/cope.pdf", NODE, paper).getContentAsByteArray())) {
            assertThat(pdf.getNumberOfPages()).isEqualTo(1);
            PDPage page = pdf.getPage(0);
            assertThat(page.getMediaBox().getWidth() * MM).isCloseTo(width, within(0.01));
            assertThat(page.getMediaBox().getHeight() * MM).isCloseTo(height, within(0.01));
            assertThat(pdf.getDocumentCatalog().getViewerPreferences().getPrintScaling())
                    .isEqualTo("None");
            List<List<double[]>> lines = lines(page);
            assertThat(lines).as("the bar").anySatisfy(line -> {
                assertThat(line).hasSize(2);
                assertThat(line.get(1)[0] - line.get(0)[0]).isCloseTo(50, within(0.01));
                assertThat(line.get(1)[1]).isEqualTo(line.get(0)[1]);
            });
            List<double[]> curve =
                    lines.stream().filter(l -> l.size() == 361).findFirst().orElseThrow();
            assertThat(curve.get(360)[0] - curve.get(0)[0]).isCloseTo(Math.PI * 38.1, within(0.02));
            Cope cope = new Cope(
                    0.01905,
                    List.of(
                            new Cope.Main(0.02225, Math.toRadians(60), 0, 0),
                            new Cope.Main(0.01905, Math.toRadians(75), 0, Math.toRadians(120))));
            for (int degree = 0; degree <= 360; degree++) {
                double rise = curve.get(0)[1] - curve.get(degree)[1];
                double meant = 1000 * (cope.height(Math.toRadians(degree)) - cope.height(0));
                assertThat(rise).as(degree + "°").isCloseTo(meant, within(0.05));
            }
        }
    }

    /** A fat tube takes several sheets; the crosses of neighbours are the same points of the drawing. */
    @Test
    void severalSheetsLieOnEachOther() throws Exception {
        String fat = """
                {"diameter": "160 mm", "wall": "5 mm", "tubes": [{"diameter": "200 mm", "angle": "35°"}]}""";
        try (PDDocument pdf = Loader.loadPDF(get("/api/cope.pdf", fat, "A4").getContentAsByteArray())) {
            // 502.7 mm around and 12 of edge on 273 mm a sheet with 10 shared: 2 across; 300 mm and more down: 2.
            assertThat(pdf.getNumberOfPages()).isEqualTo(4);
            List<List<double[]>> left = lines(pdf.getPage(0));
            List<List<double[]>> right = lines(pdf.getPage(1));
            assertThat(left).hasSameSizeAs(right);
            for (int i = 0; i < left.size(); i++) {
                // Each page holds the whole drawing, moved by a sheet less what they share.
                assertThat(left.get(i).get(0)[0] - right.get(i).get(0)[0]).isCloseTo(263, within(0.01));
                assertThat(left.get(i).get(0)[1] - right.get(i).get(0)[1]).isCloseTo(0, within(0.01));
            }
        }
    }

    @Test
    void theDrawingForAPlotterIsInMillimetres() throws Exception {
        String svg = get("/api/cope.svg", NODE, "A4").getContentAsString();
        Matcher size = Pattern.compile(
                        "width=\"([\\d.]+)mm\" height=\"([\\d.]+)mm\" viewBox=\"0 0 ([\\d.]+) ([\\d.]+)\"")
                .matcher(svg);
        assertThat(size.find()).isTrue();
        assertThat(size.group(1)).isEqualTo(size.group(3));
        assertThat(size.group(2)).isEqualTo(size.group(4));
        assertThat(svg).contains("50 mm: measure it before anything is cut");
        assertThat(get("/api/cope.pdf", NODE, "A0").getContentAsString()).contains("A4 or Letter");
        assertThat(get("/api/cope.pdf", "{\"diameter\": \"38 mm\"}", "A4").getContentAsString())
                .contains("\"wall\"");
        assertThat(get("/api/cope.pdf", "{", "A4").getStatus()).isEqualTo(422);
    }
}
