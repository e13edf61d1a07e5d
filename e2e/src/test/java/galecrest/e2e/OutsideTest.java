package galecrest.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** What goes on outside the shop's doors: a customer who is asked, somebody who is sent, a build that is put away. */
class OutsideTest extends BrowserTest {
    private static Locator button(Locator within, String name) {
        return within.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name));
    }

    /** A finding over the house limit is priced, put to the customer in their words, and goes ahead with their yes. */
    @Test
    void aFindingIsPutToTheCustomer() {
        Page mara = manager();
        mara.navigate(address("/desk"));
        Locator asked = region(mara, "For the customer");
        assertThat(asked).containsText("not put to the customer yet");
        asked.getByText("Price it and ask").click();
        assertThat(mara.getByLabel("What the customer reads")).hasValue("Rust repair: boot floor");
        mara.getByRole(AriaRole.DIALOG)
                .getByLabel("Parts", new Locator.GetByLabelOptions().setExact(true))
                .fill("60");
        button(mara, "What would it cost, and which dates?").click();
        assertThat(region(mara, "What it costs")).containsText("500.00 EUR");
        button(mara, "Put it to the customer").click();
        assertThat(region(mara, "Change orders")).containsText("Rust repair: boot floor");
        mara.navigate(address("/desk"));
        assertThat(asked).containsText("no answer yet");
        asked.getByText("Note the answer").click();
        mara.getByLabel("How the customer said so").fill("said yes on the phone");
        button(mara, "Accepted").click();
        assertThat(region(mara, "Change orders")).containsText("accepted by Mara");
        mara.navigate(address("/desk"));
        assertThat(region(mara, "Arrivals")).isVisible();
        assertThat(asked).not().isVisible();
    }

    /** The supply run is somebody's, with the van and a time; whoever has no time that day hears so. */
    @Test
    void somebodyIsSent() {
        Page mara = manager();
        mara.navigate(address("/desk"));
        Locator run = region(mara, "Supply run");
        button(run, "Send somebody").click();
        Locator form = mara.getByRole(AriaRole.DIALOG);
        assertThat(form.getByLabel("What")).hasValue(Pattern.compile("Supply run, \\d+ things"));
        button(form, "Plan it").click();
        assertThat(form).containsText("By when?");
        form.getByLabel("Back by").fill("+5 days");
        button(form, "Plan it").click();
        assertThat(form).not().isVisible();
        Locator errands = region(mara, "Errands");
        assertThat(errands).containsText("Supply run");
        assertThat(errands).containsText("with the Van");
        Locator line = errands.locator("div", new Locator.LocatorOptions().setHasText("Supply run"))
                .first();
        button(line, "Call it off").last().click();
        assertThat(errands).not().containsText("Supply run");
    }

    /** House rules say what they would do before they are kept. */
    @Test
    void rulesArePreviewed() {
        Page mara = manager();
        mara.navigate(address("/shop/rules"));
        button(mara, "One car at a time").click();
        button(mara, "What would they do?").click();
        assertThat(region(mara, "What they would do")).containsText(Pattern.compile("With these, .+ at once"));
    }
}
