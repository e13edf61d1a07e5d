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

/** The manager's other half of the day: ordering, chasing, looking over, sending out, agreeing money. */
@TestPropertySource(properties = "galecrest.odds=true")
class DeskTest extends BrowserTest {
    private static Locator drawer(Page page) {
        return page.getByRole(AriaRole.DIALOG);
    }

    private static Page.GetByLabelOptions exactly() {
        return new Page.GetByLabelOptions().setExact(true);
    }

    @Test
    void aJointThatDoesNotFitIsStoppedAskedAnsweredAndOrdered() {
        Page mara = manager();
        mara.keyboard().press("d");
        Locator list = region(mara, "Chase list");
        // What one more day costs is reckoned in the background.
        assertThat(list.locator("tbody tr").first())
                .containsText("coated exhaust flange", new LocatorAssertions.ContainsTextOptions().setTimeout(60_000));
        assertThat(list.locator("tbody tr").first()).containsText("late");
        mara.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("driveshaft, long travel"))
                .click();
        assertThat(drawer(mara)).containsText("The order is held.");
        assertThat(button(mara, "Order it")).isDisabled();
        button(mara, "Send the vendor the questions").click();
        assertThat(mara.getByText("asked Tide Driveline about driveshaft").first())
                .isVisible();
        Locator answer = mara.getByLabel("On the part", exactly()).nth(1);
        answer.fill("100 mm outer");
        button(mara, "Write it down").click();
        assertThat(drawer(mara)).containsText("Does not fit: the joint is 6 mm too large");
        answer.fill("94 mm outer");
        button(mara, "Write it down").click();
        assertThat(drawer(mara)).containsText("fits: joint of 94 mm");
        button(mara, "Order it").click();
        assertThat(drawer(mara).getByText("ordered").first()).isVisible();
        assertThat(button(mara, "Order it")).isHidden();
        mara.navigate(address("/desk?view=outbox"));
        assertThat(region(mara, "Outbox")).containsText("Which joint goes on the end");
    }

    @Test
    void severalLinesOfAVendorAreOrderedInOneGo() {
        Page mara = manager();
        mara.navigate(address("/desk"));
        button(mara, "Order from a vendor").click();
        Locator basket = drawer(mara);
        basket.getByLabel("Vendor").click();
        mara.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("Tarnside"))
                .click();
        assertThat(basket).containsText("by its list 8 working days");
        Locator price = basket.getByLabel("Price of studded tyres, 8");
        price.fill("-3");
        basket.getByText(Pattern.compile("Order \\d+ lines?")).click();
        assertThat(basket.locator(".hot").first()).containsText("between 0 and 10 000 000");
        price.fill("192");
        basket.getByText(Pattern.compile("Order \\d+ lines?")).click();
        assertThat(basket).isHidden();
        Locator line =
                region(mara, "Chase list").locator("tr", new Locator.LocatorOptions().setHasText("studded tyres, 8"));
        assertThat(line).containsText("ordered");
        button(mara, "Undo").first().click();
        assertThat(line).not().containsText("ordered");
    }

    @Test
    void anotherPartInsteadIsAskedAboutAnew() {
        Page mara = manager();
        mara.navigate(address("/desk"));
        mara.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("driveshaft, long travel"))
                .click();
        button(mara, "Another part instead").click();
        Locator form = mara.getByRole(AriaRole.DIALOG, new Page.GetByRoleOptions().setName("Another part instead of"));
        form.getByLabel("Which part").fill("driveshaft, plunging");
        form.getByText("Take this one").click();
        assertThat(form).containsText("Why another one");
        form.getByLabel("Why", new Locator.GetByLabelOptions().setExact(true)).fill("theirs is back-ordered");
        form.getByText("Take this one").click();
        assertThat(form).isHidden();
        assertThat(drawer(mara)).containsText("driveshaft, plunging");
        assertThat(drawer(mara)).containsText("theirs is back-ordered");
        assertThat(mara.getByLabel("On the part", exactly()).first()).hasValue("");
        assertThat(mara.getByLabel("On the car", exactly()).first()).hasValue("26 x 30 female");
        assertThat(button(mara, "Order it")).isDisabled();
    }

    @Test
    void aCrackedDeliveryIsRefusedOnThePhoneAndTheDeskKnows() {
        Page mara = manager();
        mara.navigate(address("/desk"));
        Page bo = phone("bo");
        bo.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("wishbone bushes"))
                .click();
        bo.getByLabel("Damage").fill("two are cracked");
        button(bo, "Accept").click();
        assertThat(bo.getByText("a damaged part is refused")).isVisible();
        bo.getByLabel("Refused because").fill("two are cracked");
        button(bo, "Refuse").click();
        assertThat(bo.getByText("wishbone bushes refused").first()).isVisible();
        assertThat(bo.getByText(Pattern.compile("It costs: |No date loses"))).isVisible();
        Locator line =
                region(mara, "Chase list").locator("tr", new Locator.LocatorOptions().setHasText("wishbone bushes"));
        assertThat(line).containsText("refused");
        assertThat(line).containsText("no date");
    }

    @Test
    void aPromiseIsDistrustedByTheRecord() {
        Page mara = manager();
        mara.navigate(address("/desk"));
        Locator line =
                region(mara, "Chase list").locator("tr", new Locator.LocatorOptions().setHasText("driveshaft right"));
        assertThat(line).containsText("promised");
        assertThat(line).containsText("6 deliveries, usually 6 days late");
    }

    @Test
    void aCarComesBackFromTheTunerWithALimitMet() {
        Page mara = manager();
        mara.navigate(address("/desk"));
        mara.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Power runs and map"))
                .click();
        // It is at the tuner in the demo; it comes back with a limit met.
        mara.getByLabel("Limits that were met", exactly()).fill("injectors at 92 % above 7 200");
        button(mara, "It is back").click();
        assertThat(mara.getByText("Planned: ").first()).isVisible();
        assertThat(mara.getByText("Limit met: injectors at 92 %").first()).isVisible();
    }

    @Test
    void aCarGoesToTheTunerUnfinishedAndItsJobsFollow() {
        Page mara = manager();
        mara.navigate(address("/desk"));
        mara.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Rolling road session"))
                .click();
        // What the tuner offers, against when the car can truly leave; the later time is the surer one.
        Locator times = region(mara, "Times offered");
        assertThat(times).containsText("Booked: Thu 10 Dec");
        assertThat(times.locator("[title*='of a thousand trials']"))
                .hasCount(4, new LocatorAssertions.HasCountOptions().setTimeout(60_000));
        assertThat(times).containsText("it misses this by the plan");
        times.getByText("Book it").last().click();
        // Booking plans the whole shop anew; beside other browsers that takes some seconds.
        assertThat(times)
                .containsText("Booked: Mon 14 Dec", new LocatorAssertions.ContainsTextOptions().setTimeout(60_000));
        // It leaves with a list that nobody has looked at: warned of, and sent all the same.
        button(mara, "It has left").click();
        assertThat(region(mara, "Before it leaves").getByRole(AriaRole.ALERT))
                .containsText("9 of the checklist are open");
        button(mara, "Send it all the same").click();
        mara.getByLabel("Limits that were met", exactly()).fill("knock above 1.1 bar");
        button(mara, "It is back").click();
        assertThat(mara.getByText("Planned: ").first()).isVisible();
        mara.navigate(address("/walk"));
        pick(mara, "112");
        mara.getByText("Open the build").click();
        for (String job : new String[] {"Check every clamp", "Read the plugs", "Limit met: knock above 1.1 bar"}) {
            assertThat(region(mara, "Jobs")).containsText(job);
        }
    }

    @Test
    void aChangeIsPricedOfferedAndAcceptedFromAnotherBrowser() {
        Page mara = manager();
        mara.keyboard().press("l");
        mara.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Lunnet roadster"))
                .click();
        button(mara, "Price a change").click();
        mara.getByLabel("What the customer wants").fill("Oil cooler with thermostat");
        mara.getByLabel("Hours", exactly()).last().fill("30");
        button(mara, "What would it cost, and which dates?").click();
        Locator priced = region(mara, "What it costs");
        assertThat(priced).containsText("2 640.00 EUR");
        assertThat(priced).containsText("Hand-over before the holidays");
        button(mara, "Offer it to the customer").click();
        assertThat(region(mara, "Change orders")).containsText("Oil cooler with thermostat");
        button(mara, "Make a link").click();
        String link =
                region(mara, "Customer\\'s page").locator("a[href*='/c/']").getAttribute("href");

        Page customer = window(390, 844, ColorScheme.LIGHT);
        customer.navigate(link);
        assertThat(region(customer, "Waits for you")).containsText("Oil cooler with thermostat");
        assertThat(region(customer, "Dates")).containsText(Pattern.compile("likely ready by|planned for"));
        button(customer, "Yes, do it").click();
        assertThat(customer.getByText("Please write your name")).isVisible();
        customer.getByLabel("Your name").fill("Dr. A. Merrow");
        button(customer, "Yes, do it").click();
        assertThat(customer.getByText("Accepted by Dr. A. Merrow")).isVisible();
        assertThat(region(mara, "Change orders")).containsText("accepted by Dr. A. Merrow (customer)");

        mara.getByText("revoke", new Page.GetByTextOptions().setExact(true)).click();
        assertThat(region(mara, "Customer\\'s page")).containsText("revoked");
        customer.reload();
        assertThat(customer.getByText("There is no page here")).isVisible();
    }
}
