package galecrest.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** A car on the pads: typed, wrong at its field, turned, filed, seen by another, undone; and on the phone. */
class GaugesTest extends BrowserTest {
    /** A change is planned and seen within this on a busy machine. */
    private static final double PATIENCE_MILLIS = 20_000;

    private static LocatorAssertions.IsVisibleOptions patiently() {
        return new LocatorAssertions.IsVisibleOptions().setTimeout(PATIENCE_MILLIS);
    }

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
        openCar(mara, "71 Brenna ice coupe");
        Locator all = region(mara, "What is true of this car");
        assertThat(all).containsText("Nothing has been measured yet");
        type(mara, pads);
        file(mara, "Corner weights");
        capture(mara, "71 Brenna ice coupe");
        finish(mara);
        openCar(mara, "71 Brenna ice coupe");
        Locator stale = all.getByText("stale: Strut spacer fitted");
        assertThat(stale).hasCount(1);
        button(mara, "Make the jobs for what is stale (1)").click();
        assertThat(mara.getByText("made jobs for what is stale on 71 Brenna ice coupe: Corner weights"))
                .isVisible();
        type(mara, pads);
        button(mara, "File this sheet").click();
        assertThat(stale).hasCount(0);
    }

    /** Writes down that a spacer is fitted, and opens that job. */
    private void capture(Page page, String car) {
        page.navigate(address("/walk"));
        assertThat(pick(page, car.replaceFirst(" .*", ""))).containsText(car.replaceFirst("^\\S+ ", ""));
        Locator line = page.getByLabel("Write down a job, a hold, what is done or what was found");
        line.fill("Strut spacer fitted 1h");
        line.press("Enter");
        assertThat(line).hasValue("");
        page.navigate(address("/build"));
        page.getByLabel("Car", new Page.GetByLabelOptions().setExact(true)).selectOption(car);
        page.locator("td").getByText("Strut spacer fitted").click();
    }

    private static void finish(Page page) {
        page.getByRole(AriaRole.DIALOG)
                .getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("Done").setExact(true))
                .click();
    }

    private void gauge(Page page, String title) {
        page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Gauges"))
                .getByRole(
                        AriaRole.LINK,
                        new Locator.GetByRoleOptions().setName(title).setExact(true))
                .click();
    }

    private static void fill(Page page, String label, String text) {
        page.getByLabel(label, new Page.GetByLabelOptions().setExact(true)).fill(text);
    }

    private static void around(Page page, String label, String front, String rear) {
        for (String side : List.of("left", "right")) {
            fill(page, label + ", " + side + " front", front);
            fill(page, label + ", " + side + " rear", rear);
        }
    }

    private static void file(Page page, String kind) {
        button(page, "File this sheet").click();
        assertThat(region(page, "Earlier sheets").getByText("Mara").first()).isVisible(patiently());
        assertThat(region(page, "What is true of this car"))
                .containsText(kind, new LocatorAssertions.ContainsTextOptions().setTimeout(PATIENCE_MILLIS));
    }

    private static void simulate(Page page, String what) {
        Object status = page.evaluate(
                "what => fetch('/api/devices/pads').then(() => new Promise(r => setTimeout(r, 1500))).then(() =>"
                        + " fetch('/api/devices/pads/simulate', {method: 'POST', body: JSON.stringify({what}), headers:"
                        + " {'Content-Type': 'application/json', 'X-XSRF-TOKEN': document.cookie.match(/XSRF-TOKEN=([^;]*)/)[1]}}))"
                        + ".then(r => r.status)",
                what);
        org.assertj.core.api.Assertions.assertThat(status).isEqualTo(204);
    }

    private void heights(Page page, String front, String rear) {
        gauge(page, "Heights, droop, rake");
        around(page, "Height", front, rear);
        file(page, "Heights, droop, rake");
    }

    private void bumpSteer(Page page) {
        gauge(page, "Bump steer");
        String[][] readings = {{"-40 mm", "0° 02'"}, {"0 mm", "0"}, {"40 mm", "0° 01'"}};
        for (int i = 0; i < readings.length; i++) {
            fill(page, (i + 1) + ", Travel", readings[i][0]);
            fill(page, (i + 1) + ", Toe", readings[i][1]);
        }
        file(page, "Bump steer");
    }

    private void strings(Page page) {
        gauge(page, "Alignment by strings");
        around(page, "Front", "101 mm", "101.5 mm");
        around(page, "Rear", "100 mm", "100 mm");
        Locator car = page.getByText("What is so on this car, from sheet to sheet");
        if (!page.getByLabel("Across the rim").isVisible()) {
            car.click();
        }
        fill(page, "Across the rim", "432 mm");
        file(page, "Alignment by strings");
    }

    /**
     * The errand at the car: a spacer makes four things stale in the order in which they must be measured; their jobs are
     * made; the car is measured, stood on the pads, turned by quarters, weighed again; its gate opens, and the customer sees
     * what was released.
     */
    @Test
    void theWholeErrandAtTheCar() {
        Page mara = manager();
        openCar(mara, "112 Sarrow hatch");
        simulate(mara, "load 121.5 114 168.5 173");
        heights(mara, "118 mm", "124 mm");
        gauge(mara, "Corner weights");
        type(mara, Map.of("left front", "118.5", "left rear", "171.5", "right front", "117", "right rear", "170"));
        fill(mara, "Wheelbase", "2350 mm");
        fill(mara, "Track, front", "1420 mm");
        fill(mara, "Track, rear", "1400 mm");
        fill(mara, "Wheel rate, front", "32 N/mm");
        fill(mara, "Wheel rate, rear", "36 N/mm");
        fill(mara, "A turn raises", "1.5 mm");
        file(mara, "Corner weights");
        bumpSteer(mara);
        strings(mara);
        Locator all = region(mara, "What is true of this car");
        assertThat(all).containsText("measured");

        capture(mara, "112 Sarrow hatch");
        assertThat(mara.getByText("Stale once it is done: droop, heights, corner weights, bump steer"))
                .isVisible();
        finish(mara);
        openCar(mara, "112 Sarrow hatch");
        assertThat(all.getByText("stale: Strut spacer fitted")).hasCount(4);
        assertThat(all.locator("ol a"))
                .hasText(new String[] {"Heights, droop, rake", "Corner weights", "Bump steer", "Alignment by strings"});
        assertThat(all).containsText("gate shut");
        button(mara, "Make the jobs for what is stale (4)").click();
        assertThat(mara.getByText("Ride heights and rake, Corner weights, Bump steer, Toe by strings"))
                .isVisible();
        assertThat(all).not().containsText("nothing planned measures");

        heights(mara, "120 mm", "126 mm");
        gauge(mara, "Corner weights");
        button(mara, "Read the pads").click();
        assertThat(mara.getByText("too low.")).isVisible(patiently());
        assertThat(mara.getByText("Quarter turns to")).isVisible();
        mara.getByText("These pads are simulated").click();
        button(mara, "Unplug pad C").click();
        button(mara, "Read the pads").click();
        assertThat(mara.getByText("pad C is silent: look at its cable and battery"))
                .isVisible(patiently());
        button(mara, "Plug all in").click();
        assertThat(button(mara, "Read the pads")).isVisible(patiently());
        button(mara, "Turn the perches as said").click();
        button(mara, "Weigh again").click();
        assertThat(mara.getByText("within tolerance")).isVisible(patiently());
        file(mara, "Corner weights");
        bumpSteer(mara);
        strings(mara);
        assertThat(all.getByText("stale: Strut spacer fitted")).hasCount(0);
        assertThat(all).not().containsText("gate shut");

        button(mara, "Show the customer").first().click();
        assertThat(button(mara, "Customer sees it: take back").first()).isVisible();
        mara.keyboard().press("l");
        mara.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Sarrow hatch"))
                .click();
        button(mara, "Make a link").click();
        String link =
                region(mara, "Customer\\'s page").locator("a[href*='/c/']").getAttribute("href");
        Page customer = window(390, 844, ColorScheme.LIGHT);
        customer.navigate(link);
        assertThat(region(customer, "Measured")).containsText("Alignment by strings");
        assertThat(region(customer, "Measured")).not().containsText("Corner weights");
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

    /**
     * The errand at the rolling road: runs before and after brought in, one with exchanged columns, one on hard tyres; the
     * verdict is read and filed, the injectors' limit becomes a restriction with its job, and the customer reads the verdict
     * once it is released.
     */
    @Test
    void aDayOnTheRollingRoadIsJudged() {
        Page mara = manager();
        openCar(mara, "5 Vesk coupe");
        gauge(mara, "Power runs");
        Locator verdict = region(mara, "Verdict");
        assertThat(verdict).containsText("One thing changed: smaller pulley.");
        assertThat(mara.getByText("left out: 3.4 bar, not 2.6")).isVisible();
        mara.getByLabel("A run of the simulated road").selectOption("with exchanged columns");
        assertThat(mara.getByText("power and torque look exchanged").first()).isVisible();
        assertThat(mara.getByText("These columns are those of Quay Rolling Road"))
                .isVisible();
        mara.getByLabel("Driven tyres").fill("much");
        button(mara, "Take it in").click();
        assertThat(mara.getByText("\"much\"")).isVisible();
        mara.getByLabel("Driven tyres").fill("2.6 bar");
        button(mara, "Take it in").click();
        assertThat(mara.getByText("left out: its columns are mistaken")).isVisible();
        mara.getByLabel("Corrected by").first().click();
        mara.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("SAE J1349"))
                .click();
        assertThat(verdict).containsText("Corrected by SAE J1349");
        button(mara, "File the verdict").click();
        assertThat(region(mara, "What is true of this car")).containsText("Compare power runs");

        mara.getByLabel("what the log said in run 8").click();
        Locator review = region(mara, "What the log said in run 8");
        review.getByText("Restriction or job").click();
        mara.getByLabel("Until then the car may").fill("not above 6300 rpm");
        button(mara, "Restrict it and make the job").click();
        assertThat(region(mara, "What this car may not do")).containsText("not above 6300 rpm");
        Page kit = phone("kit");
        openCar(kit, "5 Vesk coupe");
        assertThat(kit.locator(".room-head")).containsText("not above 6300 rpm");
        button(mara, "Lift it").click();
        assertThat(kit.locator(".room-head")).not().containsText("not above 6300 rpm");

        gauge(mara, "Compare power runs");
        button(mara, "Show the customer").first().click();
        assertThat(button(mara, "Customer sees it: take back").first()).isVisible();
        Object link = mara.evaluate("""
                () => fetch('/api/builds/' + location.pathname.split('/')[2] + '/customer-links', {method: 'POST',
                    body: JSON.stringify({days: 7, money: false}), headers: {'Content-Type': 'application/json',
                    'X-XSRF-TOKEN': document.cookie.match(/XSRF-TOKEN=([^;]*)/)[1]}}).then(r => r.json()).then(a => a.path)""");
        Page customer = window(390, 844, ColorScheme.LIGHT);
        customer.navigate(address(String.valueOf(link)));
        assertThat(region(customer, "Measured")).containsText("real: ");
    }

    /** A node of three tubes: refused where it is open, drawn, and its template printed. */
    @Test
    void aNodeIsCopedAndPrinted() {
        Page mara = manager();
        openCar(mara, "71 Brenna ice coupe");
        gauge(mara, "Tube cope");
        fill(mara, "Branch diameter", "38.1 mm");
        fill(mara, "Wall", "2.4 mm");
        fill(mara, "1, Diameter", "44.5 mm");
        fill(mara, "1, Angle", "60°");
        fill(mara, "2, Diameter", "38.1 mm");
        fill(mara, "2, Angle", "75°");
        fill(mara, "2, Turned", "120°");
        assertThat(mara.getByLabel("the branch standing on its node, from the side"))
                .isVisible();
        Object printed = mara.evaluate("""
                () => fetch([...document.querySelectorAll('a')].find(a => a.textContent === 'PDF on A4').href)
                    .then(r => r.blob()).then(b => b.slice(0, 5).text())""");
        org.assertj.core.api.Assertions.assertThat(printed).isEqualTo("%PDF-");
        file(mara, "Tube cope");
    }
}
