package galecrest.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** A car on the pads: typed, wrong at its field, turned, filed, seen by another, undone; and on the phone. */
class GaugesTest extends BrowserTest {
    private static void type(Page page, Map<String, String> pads) {
        pads.forEach((corner, text) -> page.getByLabel(corner, new Page.GetByLabelOptions().setExact(true))
                .fill(text));
    }

    private void openCar(Page page, String car) {
        page.navigate(address("/gauges"));
        page.getByLabel("Car", new Page.GetByLabelOptions().setExact(true)).selectOption(car);
        assertThat(page.locator("h1")).containsText(car.replaceFirst("^\\S+ ", ""));
    }

    @Test
    void aCarIsWeighedTurnedAndFiled() {
        Page sef = signIn("sef", 1280, 800, ColorScheme.LIGHT);
        sef.waitForURL("**/walk**");
        openCar(sef, "61 Orrin single-seater");
        Page mara = manager();
        openCar(mara, "61 Orrin single-seater");
        type(
                mara,
                Map.of("left front", "121,5", "left rear", "168.5", "right front", "114 kg", "right rear", "173 psi"));
        assertThat(mara.getByText("\"173 psi\" is a pressure")).isVisible();
        assertThat(button(mara, "File this sheet")).isDisabled();
        type(mara, Map.of("right rear", "173"));
        assertThat(mara.getByText("Cross 49.0 %, wanted 50.0 ± 0.3 %: too low."))
                .isVisible();
        assertThat(mara.getByText("Quarter turns to 49.9 %")).isVisible();
        mara.getByLabel("Fuel").fill("20 kg");
        button(mara, "File this sheet").click();
        assertThat(mara.getByText("\"20 kg\" is a mass")).isVisible();
        mara.getByLabel("Fuel").fill("20 L");
        button(mara, "File this sheet").click();
        assertThat(region(mara, "Earlier sheets")).containsText("Mara · 20 L · bars unhooked");
        // The other browser hears of it without being asked to.
        assertThat(region(sef, "What is true of this car")).containsText("cross 49 %, 577 kg");
        mara.keyboard().press("Control+z");
        assertThat(region(sef, "What is true of this car")).containsText("cross 50.3 %, 577 kg");
        assertThat(region(mara, "Earlier sheets")).not().containsText("Mara");
    }

    /** A spacer is fitted: weights are stale, the job that renews them is made, the car is weighed and is true again. */
    @Test
    void whatAJobDisturbsIsStaleUntilMeasuredAnew() {
        Page mara = manager();
        Map<String, String> pads =
                Map.of("left front", "118.5", "left rear", "171.5", "right front", "117", "right rear", "170");
        openCar(mara, "19 Tarn formula");
        Locator all = region(mara, "What is true of this car");
        assertThat(all).containsText("Nothing has been measured yet");
        type(mara, pads);
        button(mara, "File this sheet").click();
        assertThat(all).containsText("Corner weights");
        mara.navigate(address("/walk"));
        mara.locator("button.stand[aria-label^='19 ']").click();
        Locator line = mara.getByLabel("Write down a job, a hold or a finding");
        line.fill("Strut spacer fitted 1h");
        line.press("Enter");
        assertThat(line).hasValue("");
        mara.navigate(address("/build"));
        mara.getByLabel("Car", new Page.GetByLabelOptions().setExact(true)).selectOption("19 Tarn formula");
        mara.locator("td").getByText("Strut spacer fitted").click();
        mara.getByRole(AriaRole.DIALOG)
                .getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("Done").setExact(true))
                .click();
        openCar(mara, "19 Tarn formula");
        Locator stale = all.getByText("stale: Strut spacer fitted");
        assertThat(stale).hasCount(1);
        button(mara, "Make the jobs for what is stale (1)").click();
        assertThat(mara.getByText("made jobs for what is stale on 19 Tarn formula: Corner weights"))
                .isVisible();
        type(mara, pads);
        button(mara, "File this sheet").click();
        assertThat(stale).hasCount(0);
    }

    @Test
    void itIsEnteredAtTheCarOnThePhone() {
        Page bo = phone("bo");
        openCar(bo, "61 Orrin single-seater");
        type(bo, Map.of("left front", "118.5", "left rear", "171.5", "right front", "117", "right rear", "170"));
        assertThat(bo.getByText("within tolerance")).isVisible();
        Object wide = bo.evaluate("() => document.documentElement.scrollWidth");
        org.assertj.core.api.Assertions.assertThat(((Number) wide).intValue()).isLessThanOrEqualTo(390);
        assertThat(bo.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("File this sheet")))
                .isEnabled();
    }
}
