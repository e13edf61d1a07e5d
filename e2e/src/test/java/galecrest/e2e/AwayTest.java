package galecrest.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The database, or the whole server, is away for a while: every screen says so, and nothing that was typed is lost. */
class AwayTest extends BrowserTest {
    private static final String EVERYTHING = "**/api/**";
    private static final String LINE = "Write down a job, a hold, what is done or what was found";

    private static void databaseIsAway(Page page) {
        page.route(
                EVERYTHING,
                route -> route.fulfill(new Route.FulfillOptions()
                        .setStatus(503)
                        .setContentType("application/problem+json")
                        .setBody("{\"status\":503,\"detail\":\"The database does not answer.\",\"away\":true}")));
    }

    @Test
    void whatWasTypedIsKeptAndSaidNotToBeSaved() {
        Page mara = manager();
        Locator line = mara.getByLabel(LINE);
        line.fill("check the tow strap, front, 20m");
        databaseIsAway(mara);
        line.press("Enter");
        Locator said = mara.locator(".lost");
        assertThat(said).containsText("The database is away");
        assertThat(said).containsText("Not saved: “check the tow strap, front, 20m”");
        assertThat(line).hasValue("check the tow strap, front, 20m");
        mara.unroute(EVERYTHING);
        line.press("Enter");
        assertThat(said).not().isVisible();
        assertThat(line).hasValue("");
        Locator back = mara.locator(".back");
        assertThat(back).containsText("Not saved: “check the tow strap, front, 20m”");
        back.getByText("I have read it").click();
        assertThat(back).not().isVisible();
    }

    @Test
    void aHandHearsThatItsThumbWasNotTaken() {
        Page bo = phone("bo");
        Locator start = bo.locator("article")
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^(Pause|Start)$")))
                .first();
        assertThat(start).isVisible();
        bo.route(EVERYTHING, Route::abort);
        start.click();
        assertThat(bo.locator(".lost")).containsText("The server cannot be reached");
        assertThat(bo.locator(".lost")).containsText(Pattern.compile("Not saved: .+: (Pause|Start)"));
    }

    @Test
    void whoComesMeanwhileComesInLater() {
        Page mara = manager();
        databaseIsAway(mara);
        mara.navigate(address("/desk"));
        assertThat(mara.locator(".lost")).containsText("The database is away");
        mara.unroute(EVERYTHING);
        assertThat(region(mara, "Arrivals")).isVisible();
        assertThat(mara.locator(".lost")).not().isVisible();
    }
}
