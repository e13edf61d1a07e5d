package galecrest.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Each view in both colour schemes, by the rules of WCAG 2.2 A and AA that axe can check. */
class AccessibilityTest extends BrowserTest {
    private static final List<String> RULES = List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa");

    @ParameterizedTest
    @CsvSource({
        "mara, /walk, 1280, 800",
        "mara, /runway, 1280, 800",
        "mara, /build, 1280, 800",
        "mara, /walk?view=now, 1280, 800",
        "mara, /desk, 1280, 800",
        "mara, /ledger, 1280, 800",
        "mara, /shop/people, 1280, 800",
        "mara, /shop/rules, 1280, 800",
        "bo, /day, 390, 844"
    })
    void noViewShutsAnybodyOut(String who, String path, int width, int height) {
        for (ColorScheme colours : List.of(ColorScheme.LIGHT, ColorScheme.DARK)) {
            Page page = signIn(who, width, height, colours);
            page.waitForURL(url -> url.contains("/walk") || url.contains("/day"));
            page.navigate(address(path));
            page.waitForSelector("h1");
            var violations = new AxeBuilder(page)
                    .withTags(RULES)
                    .exclude("[data-mantine-shared-portal-node]")
                    .analyze()
                    .getViolations();
            assertThat(violations.stream()
                            .map(v -> v.getId() + ": "
                                    + v.getNodes().stream()
                                            .limit(3)
                                            .map(n -> n.getHtml() + " " + n.getFailureSummary())
                                            .toList())
                            .toList())
                    .as("%s in %s", path, colours)
                    .isEmpty();
        }
    }
}
