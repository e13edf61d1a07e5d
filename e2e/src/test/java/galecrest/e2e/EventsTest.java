package galecrest.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** An event is entered and gives its car a date and work; tyres are allocated, one by hand; the wall shows it. */
class EventsTest extends BrowserTest {
    private static Locator field(Page page, String label) {
        return page.getByRole(AriaRole.DIALOG)
                .getByLabel(label, new Locator.GetByLabelOptions().setExact(true))
                .first();
    }

    private static Locator within(Page page, String name) {
        return page.getByRole(AriaRole.DIALOG)
                .getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName(name).setExact(true));
    }

    @Test
    void anEventIsEnteredAndLeftOut() {
        Page mara = manager();
        mara.keyboard().press("e");
        button(mara, "Enter an event").click();
        within(mara, "Enter it").click();
        assertThat(mara.getByText("What is it called? 1 to 80 letters.")).isVisible();
        assertThat(mara.getByText("Which cars go?")).isVisible();
        field(mara, "Event").fill("Spring meeting at Hollin");
        field(mara, "The cars are loaded").fill("in 5 weeks");
        field(mara, "The cars are loaded").press("Tab");
        within(mara, "Add a car").click();
        field(mara, "Car").selectOption("71 Brenna ice coupe");
        field(mara, "Work before it").selectOption("nut-and-bolt-week");
        within(mara, "Enter it").click();
        assertThat(mara.locator("h1")).containsText("Spring meeting at Hollin");
        assertThat(region(mara, "What must be true, and by when")).containsText("Spring meeting at Hollin, ");
        mara.navigate(address("/build"));
        mara.getByLabel("Car", new Page.GetByLabelOptions().setExact(true)).selectOption("71 Brenna ice coupe");
        assertThat(region(mara, "Dates")).containsText("Spring meeting at Hollin");
        assertThat(region(mara, "Rounds")).containsText("Spring meeting at Hollin");
        mara.navigate(address("/events"));
        mara.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("Spring meeting")))
                .click();
        button(mara, "Leave it out").click();
        button(mara, "Yes, leave it out with its dates").click();
        assertThat(mara.locator("h1")).not().containsText("Spring meeting");
        mara.navigate(address("/build"));
        mara.getByLabel("Car", new Page.GetByLabelOptions().setExact(true)).selectOption("71 Brenna ice coupe");
        assertThat(region(mara, "Dates")).not().containsText("Spring meeting at Hollin");
    }

    @Test
    void tyresAreChosenByHandAndTheWallIsLive() {
        Page mara = manager();
        mara.navigate(address("/events"));
        Locator tyres = region(mara, "Tyres");
        assertThat(tyres).containsText("Kept back for rain: wet 3.");
        Locator chosen = tyres.getByLabel(Pattern.compile("^set 15 for qualify"));
        assertThat(chosen).hasAttribute("aria-pressed", "false");
        chosen.click();
        assertThat(chosen).hasText("by hand");
        assertThat(chosen).hasAttribute("aria-label", Pattern.compile("chosen by hand"));
        chosen.click();
        assertThat(chosen).hasAttribute("aria-pressed", "false");
        assertThat(region(mara, "Runs out before or at the event"))
                .containsText("41 of 45 h; Four hours of Crane Moor takes it beyond the limit");

        mara.navigate(address("/shop/exchange"));
        button(mara, "Make a link to the wall").click();
        Page wall = window(1280, 800, ColorScheme.LIGHT);
        wall.navigate(mara.locator("a[href*='/wall/']").getAttribute("href"));
        assertThat(region(wall, "Who is on what")).containsText("Toe and pressures");
        assertThat(region(wall, "Next gate of each car")).containsText("Four hours of Crane Moor");
        button(mara, "revoke").click();
        assertThat(wall.getByText("The connection is lost")).isVisible();
    }

    @Test
    void theLoadIsTickedByTwoPhonesAndAskedForByName() {
        Page sef = signIn("sef", 390, 844, ColorScheme.LIGHT);
        sef.waitForURL("**/walk**");
        sef.navigate(address("/events"));
        Locator aboard = region(sef, "Aboard");
        assertThat(aboard).containsText("log book of 8");
        Page bo = phone("bo");
        bo.navigate(address("/events"));
        tick(bo, "strings and plates");
        assertThat(sef.getByLabel("strings and plates", new Page.GetByLabelOptions().setExact(true)))
                .isChecked();
        tick(sef, "air line");
        assertThat(bo.getByLabel("air line", new Page.GetByLabelOptions().setExact(true)))
                .isChecked();
        button(bo, "The trailer leaves").click();
        assertThat(bo.getByRole(AriaRole.ALERT).filter(new Locator.FilterOptions().setHasText("Not aboard:")))
                .containsText("battery charger");
        button(bo, "Leave without").click();
        assertThat(aboard).containsText("Left ");
        assertThat(aboard).containsText("without");
    }

    private static void tick(Page page, String thing) {
        Locator box = page.getByLabel(thing, new Page.GetByLabelOptions().setExact(true));
        box.check();
        assertThat(box).isChecked();
    }
}
