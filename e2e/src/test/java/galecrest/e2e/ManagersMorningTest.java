package galecrest.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.time.LocalDateTime;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The manager finds the car in trouble, slips a part, sees what it costs, acts, and takes it all back. */
class ManagersMorningTest extends BrowserTest {
    @Test
    void aPartSlipsAndTheMorningIsTakenBack() {
        Page mara = manager();
        Page sef = signIn("sef", 1280, 800, com.microsoft.playwright.options.ColorScheme.DARK);
        sef.waitForURL("**/walk**");

        // The brief names the car in trouble; its sheet tells the chain down to the part.
        Locator brief = region(mara, "Brief");
        assertThat(brief).containsText("8 Vesk coupe: −");
        Locator sheet = region(mara, "Car sheet");
        assertThat(sheet).containsText("Four hours of Crane Moor");
        assertThat(sheet).containsText("the part coated exhaust flange is ready");
        String before = brief.textContent();

        // Its part comes three days later.
        mara.getByText("Open the build").click();
        region(mara, "Parts").getByText("coated exhaust flange").click();
        Locator likely = mara.getByLabel("Likely", new Page.GetByLabelOptions().setExact(true));
        LocalDateTime arrives =
                LocalDateTime.parse(likely.getAttribute("data-moment")).plusDays(3);
        likely.fill(arrives.toString());
        button(mara, "Save").click();

        // Without a reload: what it did to the margin and whom to tell, here and in the other browser.
        assertThat(mara.getByText("coated exhaust flange now arrives").first()).isVisible();
        assertThat(sef.getByText("Mara coated exhaust flange now arrives").first())
                .isVisible();
        assertThat(sef.getByText("8 Vesk coupe, Four hours of Crane Moor: −").first())
                .isVisible();
        assertThat(sef.getByText(Pattern.compile("jobs moved")).first()).isVisible();
        mara.keyboard().press("w");
        assertThat(region(mara, "Brief")).not().hasText(before);
        assertThat(region(sef, "Brief")).hasText(region(mara, "Brief").textContent());

        // A person goes on leave.
        mara.keyboard().press("s");
        button(mara, "Leave or extra shift for Sef").click();
        mara.getByLabel("First day").fill("2026-11-26");
        mara.getByLabel("Last day").fill("2026-11-27");
        button(mara, "Save").click();
        assertThat(mara.locator("tr", new Page.LocatorOptions().setHasText("Sef"))
                        .first())
                .containsText("away Thu 26 Nov to Fri 27 Nov");

        // A job is pinned to a person, by the keyboard's finder.
        mara.keyboard().press("f");
        mara.getByPlaceholder("A car, job, part, person, gauge or action").fill("Sensors read");
        mara.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(Pattern.compile("Sensors read")))
                .or(mara.locator("[data-action]"))
                .first()
                .click();
        Locator pins = region(mara, "Pins");
        pins.getByPlaceholder("which").click();
        mara.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("Kit"))
                .click();
        pins.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("Pin").setExact(true))
                .click();
        assertThat(pins).containsText("Pinned: Kit does it");
        mara.keyboard().press("Escape");

        // All of it is undone, the last first.
        for (String what : new String[] {"pinned Sensors read", "Sef: leave", "coated exhaust flange now arrives"}) {
            button(mara, "Undo").last().click();
            assertThat(mara.getByText("Mara undid: " + what).first()).isVisible();
        }
        mara.keyboard().press("w");
        assertThat(region(mara, "Brief")).hasText(before);
    }

    @Test
    void theWalkGoesByKeyboardAndTakesThingsDown() {
        Page mara = manager();
        Locator sheet = region(mara, "Car sheet");
        Locator car = sheet.locator("div").first();
        String first = car.textContent();
        mara.keyboard().press("ArrowDown");
        assertThat(car).not().hasText(first);
        mara.keyboard().press("ArrowUp");
        assertThat(car).hasText(first);
        mara.keyboard().press("Enter");
        mara.keyboard().type("hang bias cable, cockpit, 40m");
        assertThat(sheet).containsText("New job: Hang bias cable; cockpit; 40 min.");
        mara.keyboard().press("Enter");
        assertThat(mara.getByText("Mara added the job Hang bias cable")).isVisible();
        assertThat(mara.getByPlaceholder("hang bias cable, cockpit, 40 min")).hasValue("");
        mara.keyboard().type("held rain: everything");
        mara.keyboard().press("Enter");
        assertThat(sheet).containsText("is no reason for a hold");
        mara.keyboard().press("Escape");
        mara.keyboard().press("Control+z");
        assertThat(mara.getByText("added the job Hang bias cable").last()).isVisible();
    }

    @Test
    void theRunwayShowsTheChainAndDragsToPin() {
        Page mara = manager();
        mara.keyboard().press("p");
        Locator lanes = region(mara, "Lanes of the cars to their dates");
        lanes.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("−\\d")))
                .first()
                .click();
        assertThat(region(mara, "Chain of Four hours of Crane Moor")).containsText("of margin: Engine in for good");
        lanes.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName(Pattern.compile("Vesk coupe.*Four hours")))
                .click();
        Locator job = lanes.locator("[aria-label^='Spares and wheels packed']").first();
        // By just a day of the fortnight that is shown, so that it is dropped in its people's hours again.
        double day = (lanes.boundingBox().width - 176 - 152) / 14;
        job.hover(new Locator.HoverOptions().setPosition(2, 8));
        var box = job.boundingBox();
        mara.mouse().down();
        mara.mouse().move(box.x + 2 + day / 2, box.y + 8);
        mara.mouse().move(box.x + 2 + day, box.y + 8);
        mara.mouse().up();
        assertThat(mara.getByText("Mara pinned Spares and wheels packed")).isVisible();
        assertThat(mara.getByText(Pattern.compile("draft: \\d+ jobs? changed"))).isVisible();
        button(mara, "Publish").click();
        assertThat(mara.getByText(Pattern.compile("published by Mara"))).isVisible();
    }

    /** What can be worked on now, and for what cannot, who can release it. */
    @Test
    void theNowListSaysWhoCanReleaseWhatIsHeld() {
        Page mara = manager();
        mara.getByText("Now", new Page.GetByTextOptions().setExact(true)).click();
        Locator now = region(mara, "Can be worked on now");
        for (String person : new String[] {"Bo", "Ina", "Sef", "Kit", "Ruth"}) {
            assertThat(now).containsText(person);
        }
        assertThat(now).containsText("going on");
        Locator flange = region(mara, "What holds the rest")
                .locator("tr", new Locator.LocatorOptions().setHasText("coated exhaust flange"));
        assertThat(flange).containsText("Engine in for good");
        assertThat(flange).containsText("Harbour Coatings, 555 0102");
    }
}
