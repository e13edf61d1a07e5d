package galecrest.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.test.context.TestPropertySource;

/** A car parked and taken back, two nights with a round between, a slot that is missed in large words and saved by an offer. */
@TestPropertySource(properties = {"galecrest.odds=true", "galecrest.offering=true"})
class SteadyTest extends BrowserTest {
    private static final int PATIENCE_MILLIS = 90_000;

    private static LocatorAssertions.ContainsTextOptions patiently() {
        return new LocatorAssertions.ContainsTextOptions().setTimeout(PATIENCE_MILLIS);
    }

    private void openBuild(Page page, String car) {
        page.navigate(address("/build"));
        page.getByLabel("Car", new Page.GetByLabelOptions().setExact(true)).selectOption(car);
        assertThat(page.locator("h1")).containsText(car.replaceFirst("^\\S+ ", ""));
    }

    /** The field of a form that is open, by its label. */
    private static Locator field(Page page, String label) {
        return page.getByRole(AriaRole.DIALOG)
                .getByLabel(label, new Locator.GetByLabelOptions().setExact(true))
                .first();
    }

    private static Locator save(Page page, String name) {
        return page.getByRole(AriaRole.DIALOG)
                .getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName(name).setExact(true));
    }

    private static void choose(Page page, String label, Pattern option) {
        field(page, label).click();
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(option))
                .first()
                .click();
    }

    @Test
    void aCarIsParkedAndTakenBack() {
        Page mara = manager();
        Page sef = signIn("sef", 1280, 800, ColorScheme.LIGHT);
        assertThat(sef.locator("button.stand[aria-label^='34 ']")).isVisible();
        openBuild(mara, "34 Hask touring car");
        button(mara, "More").click();
        mara.getByText("Park the car").click();
        save(mara, "Park it").click();
        Locator parked = mara.getByRole(AriaRole.STATUS).filter(new Locator.FilterOptions().setHasText("Parked"));
        assertThat(parked).containsText("with no end");
        assertThat(region(mara, "Jobs")).containsText("Cage");
        assertThat(sef.locator("button.stand[aria-label^='34 ']")).isHidden();
        Locator aside = region(sef, "Floor").getByText("34 Hask touring car");
        assertThat(aside).isVisible();
        aside.click();
        assertThat(region(sef, "Car sheet")).containsText("Parked with no end");
        button(mara, "Take it back").click();
        assertThat(parked).isHidden();
        assertThat(sef.locator("button.stand[aria-label^='34 ']")).isVisible();
    }

    @Test
    void aRoundBetweenTwoNightsHarmsTheFirstNotAtAll() {
        Page mara = manager();
        openBuild(mara, "71 Brenna ice coupe");
        Locator dates = region(mara, "Dates");
        Locator first = dates.locator("div", new Locator.LocatorOptions().setHasText("First ice at Lake Ansa"))
                .locator("svg + span")
                .first();
        String margin = first.textContent();
        dates.getByText("Add").click();
        field(mara, "What for").fill("Night two");
        field(mara, "Due").fill("28 Feb 16:00");
        field(mara, "What for").click();
        save(mara, "Save").click();
        assertThat(dates).containsText("Night two");
        region(mara, "Rounds").getByText("Add").click();
        field(mara, "Name").fill("Between the nights");
        choose(mara, "Begins after", Pattern.compile("First ice"));
        choose(mara, "Must be done for", Pattern.compile("Night two"));
        save(mara, "Lay the round").click();
        assertThat(region(mara, "Rounds")).containsText("0 of 14 done");
        assertThat(region(mara, "Jobs")).containsText("Between the nights · Check");
        assertThat(first).hasText(margin);
        button(mara, "Undo").first().click();
        assertThat(region(mara, "Rounds")).not().containsText("Between the nights", patiently());
    }

    @Test
    void aMissedSlotIsSaidInLargeWordsAndSavedByAnOffer() {
        Page mara = manager();
        putOff(mara, "14 Dec 8:00");
        Locator alert = mara.getByRole(AriaRole.ALERT).filter(new Locator.FilterOptions().setHasText("Misses"));
        assertThat(alert).containsText("Misses Rolling road session");
        mara.navigate(address("/runway"));
        button(mara, "Publish").first().click();
        assertThat(mara.getByText(Pattern.compile("published by Mara"))).isVisible();
        // The reason goes, the plan stands: what people were told is not rearranged unasked. A better one is offered.
        putOff(mara, "");
        assertThat(alert).isVisible();
        mara.navigate(address("/walk"));
        pick(mara, "112");
        Locator offer = region(mara, "A better plan");
        assertThat(offer).containsText(Pattern.compile("112 Sarrow hatch makes Rolling road session"), patiently());
        Locator sheet = region(mara, "Car sheet");
        assertThat(sheet).containsText("Misses Rolling road session");
        offer.getByText("Take it").click();
        assertThat(sheet).not().containsText("Misses Rolling road session", patiently());
        assertThat(offer).isHidden();
        mara.keyboard().press("Control+z");
        assertThat(sheet).containsText("Misses Rolling road session", patiently());
    }

    @Test
    void aCarLeavesForADateWithPeopleAndTheTrailer() {
        Page mara = manager();
        openBuild(mara, "71 Brenna ice coupe");
        region(mara, "Dates").getByText("First ice at Lake Ansa", exactly()).click();
        field(mara, "The car is away until").fill("+90 days");
        field(mara, "What for").click();
        pick(mara, "Who goes along", "Kit");
        pick(mara, "What goes along", "Trailer");
        save(mara, "Save").click();
        assertThat(region(mara, "Dates")).containsText(Pattern.compile("away until .*, with Kit, Trailer"));
        mara.navigate(address("/shop"));
        assertThat(mara.locator("tr").filter(new Locator.FilterOptions().setHasText("Kit")))
                .containsText(Pattern.compile("away .* at First ice at Lake Ansa"));
        mara.keyboard().press("Control+z");
        assertThat(mara.locator("tr").filter(new Locator.FilterOptions().setHasText("Kit")))
                .not()
                .containsText("First ice");
    }

    /** Picks one of several from a list that stays open until another field is clicked. */
    private void pick(Page page, String label, String option) {
        field(page, label).focus();
        page.keyboard().press("ArrowDown");
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(option))
                .click();
        field(page, "What for").click();
    }

    private static Locator.GetByTextOptions exactly() {
        return new Locator.GetByTextOptions().setExact(true);
    }

    private void putOff(Page page, String until) {
        openBuild(page, "112 Sarrow hatch");
        region(page, "Jobs")
                .getByText("Coolant and oil lines", new Locator.GetByTextOptions().setExact(true))
                .click();
        button(page, "change").click();
        Locator before = field(page, "Not before");
        before.fill(until);
        field(page, "Job").click();
        save(page, "Save").click();
        assertThat(page.getByRole(AriaRole.DIALOG)).isHidden();
    }
}
