package galecrest.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
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

    private void open(Page page, String event) {
        page.navigate(address("/events"));
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^" + event)))
                .first()
                .click();
        assertThat(page.locator("h1")).containsText(event);
    }

    @Test
    void aTurnaroundIsPlannedWithTheServiceThatFallsDue() {
        Page mara = manager();
        open(mara, "Fennmark hill climb");
        Locator turnaround = region(mara, "Turnaround");
        assertThat(turnaround).containsText("comes from Greyfell hill climb");
        assertThat(turnaround).containsText("6 of 8 events; Fennmark hill climb takes it to the limit");
        turnaround
                .getByLabel("Oil and filter, filter cut open", new Locator.GetByLabelOptions().setExact(true))
                .uncheck();
        Locator plan = turnaround.getByText(Pattern.compile("^Plan it: "));
        plan.click();
        assertThat(turnaround).containsText("by ", new LocatorAssertions.ContainsTextOptions().setTimeout(60_000));
        assertThat(turnaround).containsText("Service: gearbox G-61");
        assertThat(turnaround).not().containsText("Oil and filter");
        assertThat(plan).isHidden();
        assertThat(region(mara, "Days in a row")).isVisible();
    }

    @Test
    void aTestDayIsDrivenOnThePhoneAndItsFindingsBecomeJobs() {
        Page mara = manager();
        open(mara, "Four hours of Crane Moor");
        Locator day = region(mara, "Test day");
        assertThat(day).containsText("rear bar one hole softer");
        assertThat(region(mara, "Spare car")).containsText("Everything but gearbox G-114 and harness H-1180");
        Page bo = phone("bo");
        open(bo, "Four hours of Crane Moor");
        drive(bo, "baseline", "1:44.35 1:44.10 1:43.98 1:44.20", "9 °C");
        assertThat(day).containsText("driven");
        drive(bo, "rear bar one hole softer", "1:43.35 1:43.10 1:42.98 1:43.05", "20 °C");
        assertThat(mara.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("What the laps say")))
                .containsText("not alike: track 11 K warmer");
        bo.getByLabel("Something to fix").fill("third gear jumps out");
        bo.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Fix list"))
                .getByText("Put it on the list")
                .click();
        Locator when = mara.getByLabel("When third gear jumps out is fixed");
        assertThat(when).hasValue("OPEN");
        when.selectOption("AFTER");
        assertThat(when).hasValue("AFTER");
        mara.navigate(address("/build"));
        mara.getByLabel("Car", new Page.GetByLabelOptions().setExact(true)).selectOption("8 Vesk coupe");
        assertThat(mara.locator("main")).containsText("third gear jumps out");
    }

    private static void drive(Page page, String run, String laps, String track) {
        region(page, "Test day")
                .getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName(run).setExact(true))
                .first()
                .click();
        field(page, "Laps").fill("fast");
        within(page, "It was driven").click();
        assertThat(page.getByText(Pattern.compile("\"fast\""))).isVisible();
        field(page, "Laps").fill(laps);
        field(page, "Track temperature").fill(track);
        within(page, "It was driven").click();
        assertThat(page.getByRole(AriaRole.DIALOG)).isHidden();
    }

    @Test
    void anInspectionIsWorkedOnThePhoneAndAnImpactMakesWork() {
        Page bo = phone("bo");
        bo.navigate(address("/rollout"));
        button(bo, "Begin an inspection").click();
        Locator inspection = region(bo, "Inspection");
        inspection.getByLabel("Log book and papers: passes").click();
        assertThat(inspection).containsText("1 of 18 passed");
        inspection.getByLabel("Window net or arm restraints: fails").click();
        inspection.getByLabel("What is wrong: Window net or arm restraints").fill("net frayed at the front edge");
        button(bo, "It fails").click();
        assertThat(inspection).containsText("net frayed at the front edge");
        assertThat(inspection.getByLabel("Looked at again")).isVisible();
        button(bo, "It hit something").click();
        field(bo, "Where").selectOption("REAR");
        within(bo, "Write it down, and 8 jobs").click();
        assertThat(bo.getByText("What happened? 1 to 120 letters.")).isVisible();
        field(bo, "What happened").fill("kerb in the long one");
        within(bo, "Write it down, and 8 jobs").click();
        assertThat(bo.getByRole(AriaRole.DIALOG)).isHidden();
        Page mara = manager();
        mara.navigate(address("/build"));
        mara.getByLabel("Car", new Page.GetByLabelOptions().setExact(true)).selectOption("61 Orrin single-seater");
        assertThat(mara.locator("main")).containsText("net frayed at the front edge");
        assertThat(mara.locator("main")).containsText("Rear pickups measured across, gearbox mounts");
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
        open(mara, "Four hours of Crane Moor");
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
        assertThat(wall.getByText("This link to the wall was revoked")).isVisible();
    }

    @Test
    void theLoadIsTickedByTwoPhonesAndAskedForByName() {
        Page sef = signIn("sef", 390, 844, ColorScheme.LIGHT);
        sef.waitForURL("**/walk**");
        open(sef, "Four hours of Crane Moor");
        Locator aboard = region(sef, "Aboard");
        assertThat(aboard).containsText("log book of 8");
        Page bo = phone("bo");
        open(bo, "Four hours of Crane Moor");
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
