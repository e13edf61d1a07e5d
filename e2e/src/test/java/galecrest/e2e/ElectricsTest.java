package galecrest.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import org.junit.jupiter.api.Test;

/** The errand of a rewire: modules decided, the loom drawn, an interlock mended, the first power on the phone. */
class ElectricsTest extends BrowserTest {
    private static final String CAR = "71 Brenna ice coupe";

    private void open(Page page, String title) {
        page.navigate(address("/gauges"));
        page.getByLabel("Car", new Page.GetByLabelOptions().setExact(true)).selectOption(CAR);
        page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Gauges"))
                .getByRole(
                        AriaRole.LINK,
                        new Locator.GetByRoleOptions().setName(title).setExact(true))
                .click();
    }

    private static void fill(Page page, String label, String text) {
        page.getByLabel(label, new Page.GetByLabelOptions().setExact(true)).fill(text);
    }

    private void module(Page page, String name) {
        fill(page, "Another module", name);
        button(page, "Add").click();
        assertThat(region(page, "Modules").getByText(name).first()).isVisible();
    }

    @Test
    void aRewireIsDecidedDrawnAndPoweredUp() {
        Page mara = manager();
        open(mara, "Modules and loom");
        module(mara, "wheel speeds");
        module(mara, "speedometer");
        mara.getByLabel("speedometer needs", new Page.GetByLabelOptions().setExact(true))
                .selectOption(new SelectOption().setLabel("wheel speeds"));
        assertThat(button(mara, "speedometer does not need wheel speeds")).isVisible();
        Locator waits = mara.getByLabel("The job that waits until all are decided");
        waits.selectOption(new SelectOption().setIndex(1));
        assertThat(region(mara, "Modules")).containsText("2 undecided");
        mara.getByLabel("what becomes of wheel speeds").selectOption("TAKE_OUT");
        assertThat(region(mara, "Modules")).containsText("1 undecided");
        mara.getByLabel("what becomes of speedometer").selectOption("KEEP");
        assertThat(region(mara, "Modules")).containsText("speedometer stays and needs wheel speeds");
        mara.getByLabel("what becomes of speedometer").selectOption("REPLACE");
        assertThat(mara.getByText("decided on 71 Brenna ice coupe: speedometer, replace"))
                .isVisible();
        button(mara, "speedometer does not need wheel speeds").click();
        assertThat(region(mara, "Modules")).not().containsText("stays and needs");

        button(mara, "Write points and wires down").click();
        String[][] points = {{"ECU", "", ""}, {"bulkhead", "ECU", "600 mm"}, {"tank", "ECU", "2.4 m"}};
        for (int i = 0; i < points.length; i++) {
            fill(mara, "Points " + (i + 1) + ", name", points[i][0]);
            fill(mara, "Points " + (i + 1) + ", from", points[i][1]);
            fill(mara, "Points " + (i + 1) + ", length", points[i][2]);
        }
        fill(mara, "Wires 1, circuit", "fuel pump");
        fill(mara, "Wires 1, from", "tank");
        fill(mara, "Wires 1, to", "bulkheat");
        button(mara, "Keep the loom").click();
        assertThat(mara.getByText("There is no point \"bulkheat\".")).isVisible();
        fill(mara, "Wires 1, to", "bulkhead");
        button(mara, "Keep the loom").click();
        assertThat(region(mara, "Loom")).containsText("tank – ECU – bulkhead");
        assertThat(region(mara, "Loom")).containsText("3000 mm");

        open(mara, "Interlocks");
        fill(mara, "1, When", "start button and brake pressed");
        fill(mara, "1, Then", "starter");
        fill(mara, "2, When", "kill");
        fill(mara, "2, Then", "not starter");
        assertThat(mara.getByText("asks for what").first()).isVisible();
        fill(mara, "1, When", "start button and brake pressed and not kill");
        fill(mara, "2, When", "");
        fill(mara, "2, Then", "");
        assertThat(mara.getByText("8 states tried, no contradiction").first()).isVisible();

        Page kit = phone("kit");
        open(kit, "Power-up");
        fill(kit, "1, Circuit", "fuel pump");
        fill(kit, "1, Expected", "8 A");
        assertThat(kit.getByText("0 of 1 on; next: fuel pump").first()).isVisible();
        fill(kit, "1, Seen", "12 A");
        assertThat(kit.getByText("more than expected").first()).isVisible();
        fill(kit, "1, Seen", "8.2 A");
        button(kit, "File this sheet").click();
        assertThat(region(mara, "What is true of this car")).containsText("all 1 circuits as expected");
    }
}
