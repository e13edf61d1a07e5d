package galecrest.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The day as it is: lines in plain words, parts that nobody listed, yesterday caught up, an assembly that does not fit. */
class DayAsItIsTest extends BrowserTest {
    private static final String LINE = "Write down a job, a hold, what is done or what was found";

    private void say(Page page, String line) {
        page.getByLabel(LINE).fill(line);
        page.getByLabel(LINE).press("Enter");
        assertThat(page.getByLabel(LINE)).hasValue("");
    }

    private void openJob(Page page, String car, String job) {
        page.navigate(address("/build"));
        page.getByLabel("Car", new Page.GetByLabelOptions().setExact(true)).selectOption(car);
        page.locator("td")
                .getByText(job, new Locator.GetByTextOptions().setExact(true))
                .first()
                .click();
    }

    /** It does not fit: fitted for now, held for the part that must be made again, recut, and what each round took. */
    @Test
    void anAssemblyThatDoesNotFitIsFittedForNowAndThenRecut() {
        Page mara = manager();
        walkTo(mara, "8");
        say(mara, "cut the long shaft, on the bench, 2 h");
        say(mara, "fit the long shaft, rear, 1 h, two hands");
        say(mara, "cut the long shaft, done, bo, took 1.5 h");
        say(mara, "for now the old shaft");
        assertThat(region(mara, "Car sheet")).containsText("the old shaft");

        openJob(mara, "8 Vesk coupe", "Fit the long shaft");
        button(mara, "Close").or(mara.locator(".mantine-Drawer-close")).first().click();
        button(mara, "Show 10 finished")
                .or(mara.getByRole(
                        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("Show \\d+ finished"))))
                .first()
                .click();
        Locator finished = region(mara, "Finished");
        assertThat(finished.locator("tr", new Locator.LocatorOptions().setHasText("Cut the long shaft")))
                .containsText(Pattern.compile("Bo.*1½ h.*2 h"));
        finished.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Cut the long shaft"))
                .click();
        button(mara, "Do it again as rework").click();
        mara.getByPlaceholder("came back 2 mm short").fill("2 mm short");
        mara.getByLabel("Takes this time").fill("45 min");
        button(mara, "One more round").click();
        assertThat(mara.getByText("Cut the long shaft, round 2").first()).isVisible();
    }

    /** A part that no list has, held for on the walk, stands on the Desk with no date, before what has one. */
    @Test
    void aHoldForAPartThatNobodyListedIsChased() {
        Page mara = manager();
        walkTo(mara, "440");
        mara.getByLabel(LINE).fill("hang the spare wheel, held for the clamp");
        assertThat(region(mara, "Car sheet")).containsText("Which job waits for it?");
        mara.getByLabel(LINE).fill("hang the spare wheel carrier, rear, 40 min");
        assertThat(region(mara, "Car sheet")).containsText("New job: Hang the spare wheel carrier; rear; 40 min.");
        mara.getByLabel(LINE).press("Enter");
        say(mara, "spare wheel carrier, held for the clamp");
        mara.keyboard().press("Escape");
        mara.navigate(address("/desk"));
        Locator line = region(mara, "Chase list").locator("tr", new Locator.LocatorOptions().setHasText("Clamp"));
        assertThat(line).containsText("no date");
    }

    /** Three of the shop are caught up for the last working day, in one go, and each is credited. */
    @Test
    void yesterdayIsCaughtUpAtTheDesk() {
        Page mara = manager();
        walkTo(mara, "27");
        say(mara, "polish the ports, on the bench, 6 h");
        mara.navigate(address("/desk?view=yesterday"));
        for (String person : new String[] {"Sef", "Mara"}) {
            Locator group = mara.getByRole(
                    AriaRole.GROUP, new Page.GetByRoleOptions().setName(person).setExact(true));
            group.getByRole(AriaRole.COMBOBOX).fill("polish");
            mara.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(Pattern.compile("Polish the ports")))
                    .click();
            group.getByLabel("How long, 27 Polish the ports").fill("2 h");
        }
        button(mara, "Write down 1 line").click();
        assertThat(mara.getByRole(
                        AriaRole.GROUP,
                        new Page.GetByRoleOptions().setName("Sef").setExact(true)))
                .containsText("27 Polish the ports, 2 h");
        openJob(mara, "27 Dabry saloon", "Polish the ports");
        assertThat(mara.locator(".mantine-Drawer-body")).containsText("6 h likely");
    }

    /** Invited by a link, the password is the guest's own; the manager shows him out again. */
    @Test
    void somebodyIsInvitedSetsThePasswordAndIsShownOut() {
        Page mara = manager();
        mara.navigate(address("/shop/accounts"));
        button(mara, "Invite somebody").click();
        mara.getByLabel("User name").fill("guest");
        mara.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("Saturday helper");
        button(mara, "Make the invitation").click();
        String link = mara.getByText(Pattern.compile("/welcome/"))
                .last()
                .textContent()
                .replaceAll("^.*(/welcome/\\S+).*$", "$1");
        Page guest = window(390, 844, ColorScheme.LIGHT);
        guest.navigate(address(link));
        guest.getByLabel("Password", new Page.GetByLabelOptions().setExact(true))
                .fill("short");
        button(guest, "Set it").click();
        assertThat(guest.getByText("10 to 70 characters")).isVisible();
        guest.getByLabel("Password", new Page.GetByLabelOptions().setExact(true))
                .fill("on saturdays only");
        button(guest, "Set it").click();
        guest.getByText("Sign in").click();
        guest.getByLabel("User name").fill("guest");
        guest.getByLabel("Password", new Page.GetByLabelOptions().setExact(true))
                .fill("on saturdays only");
        button(guest, "Sign in").click();
        guest.waitForURL("**/day");
        button(mara, "More for guest").click();
        mara.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("Remove"))
                .click();
        assertThat(button(mara, "More for guest")).hasCount(0);
        guest.reload();
        assertThat(guest.getByLabel("User name")).isVisible();
    }

    /** A day on a copy: decided, played on, compared with what the planner would have come to; the record is as it was. */
    @Test
    void aDayIsRehearsedAndComparedWithThePlanners() {
        Page mara = manager();
        String brief = region(mara, "Brief").textContent();
        mara.navigate(address("/rehearse"));
        mara.getByLabel("Working days").fill("1");
        button(mara, "Begin").click();
        mara.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("What could be decided"))
                .getByRole(AriaRole.CHECKBOX)
                .first()
                .check();
        button(mara, "Decide that and go on").click();
        assertThat(mara.getByText("turn 1 of 2")).isVisible();
        mara.reload();
        assertThat(mara.getByText("turn 1 of 2")).isVisible();
        button(mara, "Let it go on").or(button(mara, "Decide that and go on")).click();
        Locator end = region(mara, "How it came out");
        end.waitFor(new Locator.WaitForOptions().setTimeout(120_000));
        assertThat(end).containsText("dates kept, of");
        assertThat(end).containsText("turn 0:");
        mara.navigate(address("/walk"));
        assertThat(region(mara, "Brief")).hasText(brief);
    }

    /** A message never lies on what is worked on: the room ends above it. */
    @Test
    void messagesLieOnNothing() {
        Page mara = manager();
        walkTo(mara, "61");
        say(mara, "wipe the sill, 10 min");
        Locator message = mara.locator(".mantine-Notification-root").last();
        assertThat(message).isVisible();
        Object gap = mara.evaluate("""
                () => {
                  const message = [...document.querySelectorAll('.mantine-Notification-root')].map(n => n.getBoundingClientRect().top)
                  return Math.min(...message) - document.querySelector('main').getBoundingClientRect().bottom
                }""");
        org.assertj.core.api.Assertions.assertThat(((Number) gap).doubleValue()).isGreaterThanOrEqualTo(0);
        org.assertj.core.api.Assertions.assertThat(
                        mara.locator(".mantine-Notification-root").count())
                .isLessThanOrEqualTo(2);
    }
}
