package galecrest.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Each view in both colour schemes, by the rules of WCAG 2.2 A and AA that axe can check. */
class AccessibilityTest extends BrowserTest {
    private static final List<String> RULES = List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa");

    private static final List<String> DESK = List.of(
            "/walk",
            "/runway",
            "/rehearse",
            "/build",
            "/walk?view=now",
            "/desk",
            "/desk?view=yesterday",
            "/gauges",
            "/rollout",
            "/events",
            "/shop/gates",
            "/ledger",
            "/shop/people",
            "/shop/accounts",
            "/shop/templates",
            "/shop/rules");

    @ParameterizedTest
    @EnumSource(names = {"LIGHT", "DARK"})
    void noViewOfTheDeskShutsAnybodyOut(ColorScheme colours) {
        Page page = signIn("mara", 1280, 800, colours);
        page.waitForURL("**/walk**");
        for (String path : DESK) {
            page.navigate(address(path));
            shutsNobodyOut(page, path);
        }
    }

    /** From the phone to the large screen, and nothing runs out of the room sideways. */
    @ParameterizedTest
    @ValueSource(ints = {390, 820, 1920})
    void everyRoomWorksOnEveryScreen(int width) {
        Page page = signIn("mara", width, 900, ColorScheme.LIGHT);
        page.waitForURL("**/walk**");
        List<String> wrong = new ArrayList<>();
        for (String path : DESK) {
            page.navigate(address(path));
            violations(page).forEach(v -> wrong.add(path + ": " + v));
            Object wide = page.evaluate(
                    "() => { const m = document.querySelector('main'); return m.scrollWidth - m.clientWidth }");
            if (((Number) wide).intValue() > 1) {
                wrong.add(path + " runs out of the room by " + wide);
            }
        }
        assertThat(wrong).isEmpty();
    }

    @ParameterizedTest
    @EnumSource(names = {"LIGHT", "DARK"})
    void theHandsDayShutsNobodyOut(ColorScheme colours) {
        Page page = signIn("bo", 390, 844, colours);
        page.waitForURL("**/day");
        shutsNobodyOut(page, "/day");
    }

    private static void shutsNobodyOut(Page page, String path) {
        assertThat(violations(page)).as(path).isEmpty();
    }

    private static List<String> violations(Page page) {
        page.waitForSelector("h1");
        AxeBuilder axe = new AxeBuilder(page).withTags(RULES).exclude("[data-mantine-shared-portal-node]");
        // No page of ours has frames: there is nothing to gather from others in a page of its own.
        axe.setLegacyMode(true);
        return axe.analyze().getViolations().stream()
                .map(v -> v.getId() + ": "
                        + v.getNodes().stream()
                                .limit(3)
                                .map(n -> n.getHtml() + " " + n.getFailureSummary())
                                .toList())
                .toList();
    }
}
