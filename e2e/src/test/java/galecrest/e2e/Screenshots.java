package galecrest.e2e;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.springframework.test.context.TestPropertySource;

/** Takes the pictures of docs/screenshots; run by {@code ./galecrest shots}. */
@EnabledIfSystemProperty(named = "galecrest.shots", matches = ".+")
@TestPropertySource(properties = "galecrest.odds=true")
class Screenshots extends BrowserTest {
    private final Path folder = Path.of(System.getProperty("galecrest.shots", "."));

    private void shot(Page page, String name) {
        page.waitForLoadState();
        page.evaluate("() => document.fonts.ready");
        page.waitForTimeout(400);
        page.screenshot(new Page.ScreenshotOptions().setPath(folder.resolve(name + ".png")));
    }

    @Test
    void everyMainView() {
        Page mara = manager();
        mara.locator("[title^='kept in']").first().waitFor();
        shot(mara, "walkround");
        mara.navigate(address("/walk?view=now"));
        mara.getByText("who can release it").waitFor();
        shot(mara, "now");
        mara.keyboard().press("p");
        mara.locator("text:has-text('now')").first().waitFor();
        mara.getByTitle("Show the chain").nth(2).click();
        mara.locator("button[aria-expanded]").nth(2).click();
        shot(mara, "runway-open");
        button(mara, "Try everything that could").click();
        button(mara, "Try everything again").waitFor(new Locator.WaitForOptions().setTimeout(90_000));
        mara.locator("button[aria-expanded]").nth(2).click();
        mara.evaluate("() => document.querySelector('main').scrollTo(0, 0)");
        shot(mara, "rescue");
        mara.navigate(address("/rehearse"));
        button(mara, "Begin").click();
        mara.getByText("turn 0 of 10").waitFor();
        button(mara, "Let it go on").click();
        mara.getByText("turn 1 of 10").waitFor();
        shot(mara, "rehearse");
        mara.keyboard().press("b");
        mara.getByLabel("Car", new Page.GetByLabelOptions().setExact(true)).selectOption("8 Vesk coupe");
        shot(mara, "build");
        mara.locator("td").getByText("Engine in for good").click();
        shot(mara, "job");
        mara.keyboard().press("Escape");
        mara.navigate(address("/desk"));
        mara.getByText("late, Four hours").or(mara.getByText("late,")).first().waitFor();
        shot(mara, "desk");
        mara.navigate(address("/gauges"));
        for (String[] pad : List.of(
                new String[] {"left front", "121.5"},
                new String[] {"left rear", "168.5"},
                new String[] {"right front", "114"},
                new String[] {"right rear", "173"})) {
            mara.getByLabel(pad[0], new Page.GetByLabelOptions().setExact(true)).fill(pad[1]);
        }
        mara.getByText("Quarter turns to").waitFor();
        shot(mara, "gauges");
        mara.getByLabel("Car", new Page.GetByLabelOptions().setExact(true)).selectOption("5 Vesk coupe");
        mara.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Power runs").setExact(true))
                .click();
        mara.getByText("One thing changed").waitFor();
        shot(mara, "compare");
        mara.navigate(address("/ledger"));
        shot(mara, "ledger");
        mara.getByText("Lunnet roadster").click();
        button(mara, "Price a change").click();
        mara.getByLabel("What the customer wants").fill("Oil cooler with thermostat");
        mara.getByLabel("Hours", new Page.GetByLabelOptions().setExact(true))
                .last()
                .fill("30");
        button(mara, "What would it cost, and which dates?").click();
        button(mara, "Offer it to the customer").click();
        button(mara, "Make a link").click();
        Page customer = window(390, 844, ColorScheme.LIGHT);
        customer.navigate(mara.locator("a[href*='/c/']").getAttribute("href"));
        customer.getByText("Yes, do it").waitFor();
        shot(customer, "customer");
        mara.navigate(address("/shop/people"));
        shot(mara, "shop-people");
        mara.navigate(address("/events"));
        mara.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^Four hours")))
                .first()
                .click();
        mara.getByText("Kept back for rain").waitFor();
        shot(mara, "events");
        mara.navigate(address("/rollout"));
        mara.getByLabel("Car", new Page.GetByLabelOptions().setExact(true)).selectOption("19 Tarn formula");
        mara.locator("b:has-text('bar')").waitFor();
        shot(mara, "rollout");
        mara.navigate(address("/shop/exchange"));
        button(mara, "Make a link to the wall").click();
        Page wall = window(1280, 800, ColorScheme.LIGHT);
        wall.navigate(mara.locator("a[href*='/wall/']").getAttribute("href"));
        wall.getByText("Comes in today").waitFor();
        shot(wall, "wall");
        Page night = signIn("mara", 1280, 800, ColorScheme.DARK);
        night.waitForURL("**/walk**");
        shot(night, "walkround-night");
        Page bo = phone("bo");
        shot(bo, "my-day");
        bo.navigate(address("/rollout"));
        bo.getByLabel("Car", new Page.GetByLabelOptions().setExact(true)).selectOption("19 Tarn formula");
        bo.getByText("°C").first().waitFor();
        shot(bo, "rollout-phone");
    }
}
