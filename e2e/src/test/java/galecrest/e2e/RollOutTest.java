package galecrest.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A car on its way to its first longer drive, on two phones at once: who drives, and who looks. */
class RollOutTest extends BrowserTest {
    private static final int PATIENCE_MILLIS = 60_000;
    private static final String CAR = "19 Tarn formula";

    private void open(Page page, String car) {
        page.navigate(address("/rollout"));
        page.getByLabel("Car", new Page.GetByLabelOptions().setExact(true)).selectOption(car);
        assertThat(page.locator("h1")).containsText(car.replaceFirst("^\\S+ ", ""));
    }

    private static void post(Page page, String name) {
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^" + name + ":")))
                .click();
    }

    private static Locator name(Page page, String label) {
        return page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName(label));
    }

    private static Locator check(Page page, String label) {
        return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
    }

    private static LocatorAssertions.IsVisibleOptions patiently() {
        return new LocatorAssertions.IsVisibleOptions().setTimeout(PATIENCE_MILLIS);
    }

    private static void tickAll(Page page, String... checks) {
        for (String check : checks) {
            check(page, check).check();
            assertThat(check(page, check)).isChecked();
        }
    }

    private static void simulate(Page page, String what) {
        if (!button(page, "All well").isVisible()) {
            page.getByText("The logger is simulated").click();
        }
        button(page, what).click();
        assertThat(button(page, what)).isEnabled();
    }

    @Test
    void twoPhonesTakeACarToItsLongerDrive() {
        Page bo = phone("bo");
        Page sef = signIn("sef", 390, 844, ColorScheme.LIGHT);
        sef.waitForURL("**/walk**");
        open(bo, CAR);
        open(sef, CAR);
        assertThat(region(bo, "Step Round the block")).containsText("no more than 3000 rpm");
        // What one ticks the other sees; go takes both names.
        tickAll(sef, "Steering free lock to lock, nothing touches");
        assertThat(check(bo, "Steering free lock to lock, nothing touches")).isChecked();
        tickAll(bo, "Harness, seat and wheel fast");
        assertThat(button(bo, "Go: nobody looks yet")).isDisabled();
        button(sef, "I look").click();
        assertThat(button(bo, "Go")).isEnabled();
        button(bo, "Go").click();
        assertThat(button(sef, "Stop here")).isVisible();

        // The logger asks both to stop.
        simulate(sef, "Warm it");
        simulate(sef, "Lose oil pressure");
        assertThat(bo.getByText(Pattern.compile("STOP: oil pressure .* under its floor of 1.0 bar")))
                .isVisible(patiently());
        assertThat(sef.getByText(Pattern.compile("STOP: oil pressure"))).isVisible(patiently());
        button(bo, "Stop here").click();
        button(bo, "Stopped").click();
        assertThat(bo.getByText("Say what was seen.")).isVisible();
        bo.getByLabel("What was seen").fill("pressure fell in the bend");
        bo.getByLabel("Leaked (makes a job)").fill("weep at the filter");
        button(bo, "Stopped").click();
        assertThat(sef.getByText("the logger asked to stop: oil pressure")).isVisible();
        simulate(sef, "All well");
        simulate(sef, "Off");

        // The leak holds the step, until it is put off on purpose.
        Locator found = region(sef, "Found on the way");
        assertThat(found).containsText("Leak: weep at the filter");
        assertThat(region(bo, "Step Round the block")).containsText("found before: Leak: weep at the filter");
        sef.getByLabel("When Leak: weep at the filter is put right").selectOption("before load and speed");
        assertThat(region(bo, "Step Round the block")).not().containsText("found before");

        again(bo, sef);
    }

    /** The same step once more, as it should be; then the gates behind it open again by work on the fuel system. */
    private void again(Page bo, Page sef) {
        button(sef, "Try again").click();
        tickAll(
                bo,
                "Pedal firm, car held on the slope",
                "No leak after idle: under the gearbox, lines, cooler",
                "Isolator stops the engine, alternator turning",
                "Steering free lock to lock, nothing touches",
                "Harness, seat and wheel fast");
        button(bo, "I drive").click();
        button(sef, "I look").click();
        button(sef, "Go").click();
        tickAll(sef, "No leak", "No smell, no noise that was not there", "Hubs and brakes of one warmth");
        button(bo, "Done").click();
        bo.getByLabel("Gone, km").fill("0.8");
        button(bo, "It is done").click();
        assertThat(sef.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName(Pattern.compile("^Step Round the block: done"))))
                .isVisible();

        Page mara = manager();
        mara.navigate(address("/walk"));
        assertThat(pick(mara, "19")).containsText("Tarn formula");
        Locator line = mara.getByLabel("Write down a job, a hold, what is done or what was found");
        line.fill("fuel line at the pump changed 20m");
        line.press("Enter");
        assertThat(line).hasValue("");
        mara.navigate(address("/build"));
        mara.getByLabel("Car", new Page.GetByLabelOptions().setExact(true)).selectOption(CAR);
        mara.locator("td").getByText("Fuel line at the pump changed").click();
        mara.getByRole(AriaRole.DIALOG)
                .getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("Done").setExact(true))
                .click();
        assertThat(bo.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName(Pattern.compile("^Gate First fire: open again"))))
                .isVisible();
        post(bo, "Step Cold again");
        assertThat(region(bo, "Step Cold again")).containsText("the gate first fire is not passed, or open again");
        post(bo, "Gate First fire");
        assertThat(region(bo, "Gate First fire")).containsText("stale: Fuel line at the pump changed");
    }

    @Test
    void aGateIsSignedAndPassedByTwoNames() {
        Page mara = manager();
        open(mara, "71 Brenna ice coupe");
        post(mara, "Gate Power up");
        Locator gate = region(mara, "Gate Power up");
        assertThat(gate).containsText("nobody passes while this is open");
        tickAll(mara, "Isolator tried: nothing stays live behind it");
        assertThat(gate).containsText("not measured");
        name(mara, "Who did it").fill("Bo");
        name(mara, "Who looked").fill("Bo");
        button(mara, "Pass it all the same").click();
        assertThat(mara.getByText("Another than who did it")).isVisible();
        name(mara, "Who looked").fill("Sef");
        button(mara, "Pass it all the same").click();
        assertThat(mara.getByText("Say why it is passed")).isVisible();
        mara.getByLabel(Pattern.compile("^Why it is passed")).fill("the loom is the old one, untouched");
        button(mara, "Pass it all the same").click();
        assertThat(gate).containsText("Bo did it, Sef looked");
        assertThat(gate).containsText("the loom is the old one");
    }
}
