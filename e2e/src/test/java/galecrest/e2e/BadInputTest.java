package galecrest.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;

/** What is entered wrong is said at its field, and nothing that was typed is lost. */
class BadInputTest extends BrowserTest {
    private void openJob(Page page, String car, String job) {
        page.navigate(address("/build"));
        page.getByLabel("Car", new Page.GetByLabelOptions().setExact(true)).selectOption(car);
        page.locator("td")
                .getByText(job, new Locator.GetByTextOptions().setExact(true))
                .first()
                .click();
    }

    @Test
    void anEstimateOutOfOrder() {
        Page mara = manager();
        openJob(mara, "8 Vesk coupe", "Engine loom in");
        button(mara, "change").click();
        mara.getByLabel("At best").fill("15 h");
        button(mara, "Save").click();
        assertThat(mara.getByText("Low ≤ likely ≤ high.").first()).isVisible();
        assertThat(mara.getByLabel("At best")).hasValue("15 h");
    }

    @Test
    void aJobSheetWithProblemsImportsNothing() {
        Page mara = manager();
        mara.navigate(address("/build"));
        button(mara, "More").click();
        mara.getByText("Import a job sheet (CSV)").click();
        mara.locator("input[type=file][accept*=csv]")
                .setInputFiles(new FilePayload(
                        "sheet.csv",
                        "text/csv",
                        "job,likely_min,crew,zone\nWeld tab,30,weld,roof\nJuggle,x,juggling,rear\n"
                                .getBytes(StandardCharsets.UTF_8)));
        assertThat(mara.getByText("3 problems; nothing has been imported")).isVisible();
        assertThat(mara.getByText("line 2, zone")).isVisible();
        assertThat(mara.getByText("line 3, crew")).isVisible();
        assertThat(button(mara, "Import")).isDisabled();
        mara.locator("input[type=file][accept*=csv]")
                .setInputFiles(new FilePayload(
                        "sheet.csv",
                        "text/csv",
                        "job,likely_min,crew,zone\nWeld tab,30,weld,rear\n".getBytes(StandardCharsets.UTF_8)));
        assertThat(mara.getByText("1 job would be added")).isVisible();
        button(mara, "Import").click();
        assertThat(mara.locator("td").getByText("Weld tab")).isVisible();
    }

    @Test
    void twoPeopleEditTheSameJob() {
        Page mara = manager();
        Page sef = signIn("sef", 1280, 800, ColorScheme.LIGHT);
        sef.waitForURL("**/walk**");
        openJob(mara, "8 Vesk coupe", "Clamps checked");
        openJob(sef, "8 Vesk coupe", "Clamps checked");
        button(mara, "change").click();
        mara.getByLabel("At worst").fill("1 h 35");
        sef.getByLabel("Note, caution").fill("also the fuel clamps");
        button(sef, "Save").click();
        assertThat(mara.getByText("Sef changed the job Clamps checked")).isVisible();
        button(mara, "Save").click();
        assertThat(mara.getByText("Somebody else changed \"Clamps checked\"")).isVisible();
        assertThat(mara.getByText("theirs: also the fuel clamps")).isVisible();
        assertThat(mara.getByLabel("At worst")).hasValue("1 h 35");
        button(mara, "Save mine over theirs").click();
        assertThat(mara.getByText("Mara changed the job Clamps checked").first())
                .isVisible();
    }

    @Test
    void aLostConnectionIsShownAndHeals() {
        Page mara = manager();
        assertThat(region(mara, "Car sheet")).isVisible();
        mara.route("**/api/live", com.microsoft.playwright.Route::abort);
        mara.reload();
        assertThat(mara.getByRole(AriaRole.ALERT)).containsText("News of what others do does not come through");
        mara.unroute("**/api/live");
        assertThat(mara.getByRole(AriaRole.ALERT)).hasCount(0);
    }
}
