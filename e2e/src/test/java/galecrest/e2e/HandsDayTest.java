package galecrest.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** A hand starts, holds and finishes jobs on a phone; the manager sees it at once. */
class HandsDayTest extends BrowserTest {
    private static Locator in(Locator card, String name) {
        return card.getByRole(
                AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name).setExact(true));
    }

    @Test
    void startHoldAndFinishOnThePhone() {
        Page mara = manager();
        Page bo = phone("bo");
        Locator going = region(bo, "Now").locator("article").first();
        String goingOn = going.getAttribute("aria-label");
        Locator next = region(bo, "Next").locator("article").first();
        String job = next.getAttribute("aria-label");
        in(next, "Start").click();
        assertThat(region(bo, "Now")).containsText(job);
        assertThat(mara.getByText("Bo started " + job)).isVisible();

        Locator started = region(bo, "Now").locator("article[aria-label='" + job + "']");
        in(started, "Held").click();
        bo.getByLabel("What exactly? (a word will do)").fill("left gasket");
        bo.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("PART a part is missing or wrong"))
                .click();
        assertThat(mara.getByText("Bo held " + job + ": PART, left gasket")).isVisible();
        assertThat(region(bo, "Now")).not().containsText(job);

        // What he was on was paused when he started the other; he takes the next that can be started, and finishes it.
        assertThat(region(bo, "Now")).not().containsText(goingOn);
        Locator another = region(bo, "Next")
                .locator("article", new Locator.LocatorOptions().setHas(button(bo, "Start")))
                .first();
        String finished = another.getAttribute("aria-label");
        in(another, "Start").click();
        in(region(bo, "Now").locator("article[aria-label='" + finished + "']"), "Done")
                .click();
        assertThat(mara.getByText("Bo finished " + finished)).isVisible();
        assertThat(region(bo, "Now")).not().containsText(finished);

        button(bo, "I found something").click();
        bo.getByLabel("In your words").fill("weeping union rear left, underside, 30m");
        button(bo, "Write it down").click();
        assertThat(mara.getByText("Bo found: Weeping union rear left")).isVisible();
    }

    @Test
    void aHandChangesNoPlansEvenByTheAddress() {
        Page bo = phone("bo");
        bo.navigate(address("/build"));
        assertThat(bo.getByText("Dates").first()).isVisible();
        assertThat(button(bo, "Add a job")).hasCount(0);
        bo.navigate(address("/shop/people"));
        assertThat(bo.getByText("only the manager changes it")).isVisible();
        assertThat(button(bo, "Add a person")).hasCount(0);
    }
}
