package galecrest.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.args.AxeRunOptions;
import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.ColorScheme;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.test.context.TestPropertySource;

/** Each view in both colour schemes, by the rules of WCAG 2.2 A and AA that axe can check. */
@TestPropertySource(properties = "galecrest.odds=true")
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

    /** By day and at night, from the phone to the large screen; and nothing runs out of the room sideways. */
    @ParameterizedTest
    @ValueSource(ints = {390, 1280})
    void everyRoomWorksOnEveryScreen(int width) {
        Page page = signIn("mara", width, 900, ColorScheme.LIGHT);
        page.waitForURL("**/walk**");
        List<String> wrong = new ArrayList<>();
        for (String path : DESK) {
            page.setViewportSize(width, 900);
            page.navigate(address(path));
            look(page, path + " " + width, wrong);
            if (width > 390) {
                page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.DARK));
                PlaywrightAssertions.assertThat(page.locator("html")).hasAttribute("data-mantine-color-scheme", "dark");
                look(page, path + " at night", wrong);
                page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.LIGHT));
                for (int other : new int[] {820, 1920}) {
                    page.setViewportSize(other, 900);
                    look(page, path + " " + other, wrong);
                }
            }
        }
        assertThat(wrong).isEmpty();
    }

    /** Notes what is wrong with the page as it is drawn now. */
    private static void look(Page page, String what, List<String> wrong) {
        page.evaluate(
                "() => new Promise(done => requestAnimationFrame(() => requestAnimationFrame(() => setTimeout(done))))");
        violations(page).forEach(v -> wrong.add(what + ": " + v));
        Object wide = page.evaluate(
                "() => { const m = document.querySelector('main'); return m.scrollWidth - m.clientWidth }");
        if (((Number) wide).intValue() > 1) {
            wrong.add(what + " runs out of the room by " + wide);
        }
    }

    /** The check can fail. */
    @Test
    void whatIsWrongIsFound() {
        Page page = window(1280, 800, ColorScheme.LIGHT);
        page.setContent("<html lang=en><title>A</title><main><h1>A</h1><img src='a.png'></main></html>");
        assertThat(violations(page))
                .singleElement()
                .asString()
                .startsWith("image-alt: ")
                .contains("a.png");
    }

    @ParameterizedTest
    @EnumSource(names = {"LIGHT", "DARK"})
    void theHandsDayShutsNobodyOut(ColorScheme colours) {
        Page page = signIn("bo", 390, 844, colours);
        page.waitForURL("**/day");
        assertThat(violations(page)).isEmpty();
    }

    private static List<String> violations(Page page) {
        page.waitForSelector("h1");
        // Only of what is wrong is it gathered where: of all that is right that would take most of the time.
        AxeRunOptions options = new AxeRunOptions();
        options.setResultTypes(List.of("violations"));
        AxeBuilder axe =
                new AxeBuilder(page).options(options).withTags(RULES).exclude("[data-mantine-shared-portal-node]");
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
