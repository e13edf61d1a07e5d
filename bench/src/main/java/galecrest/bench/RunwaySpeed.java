package galecrest.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.FormData;
import com.microsoft.playwright.options.RequestOptions;
import galecrest.core.plan.ShopSnapshot;
import galecrest.core.work.Job;
import galecrest.core.work.Work;
import galecrest.server.Galecrest;
import galecrest.server.json.CoreJson;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.boot.web.servlet.context.ServletWebServerApplicationContext;

/**
 * The runway of the large shop in a real browser: from a click that edits to the plan repainted, and the frames while the
 * plot is panned and zoomed. The database is the one of the environment with {@code _big} after its name, and empty.
 */
final class RunwaySpeed {
    private static final String USER = "bench";
    private static final String PASSWORD = "measured-here";
    private static final int WARM_UP = 8;
    private static final int ROUNDS = 25;
    /** Most pins so soon after the present move nothing but their job. */
    private static final int SOON_DAYS = 2;
    /** Pins so late push what follows out of the way: a good part of the plan moves. */
    private static final int LATE_DAYS = 42;
    /** Between edits, as a person would look at what came of one; the odds of the last one are still being reckoned. */
    private static final int LOOK_MILLIS = 1500;

    private static final List<String> ARGUMENTS = List.of(
            "--no-sandbox",
            "--disable-gpu",
            "--disable-quic",
            "--no-first-run",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync");

    /** Notes when the click is made and when, after the board with it has been painted, the browser is free again. */
    private static final String WATCH = """
            pinned => {
              const seen = (window.seen = {})
              addEventListener('click', () => { seen.click = performance.now() }, { once: true, capture: true })
              const observer = new MutationObserver(() => {
                const there = document.querySelector('[aria-label="Pins"]').textContent.includes('Pinned:')
                if (seen.click === undefined || there !== pinned) return
                observer.disconnect()
                requestAnimationFrame(() => {
                  const channel = new MessageChannel()
                  channel.port1.onmessage = () => { seen.painted = performance.now() }
                  channel.port2.postMessage(0)
                })
              })
              observer.observe(document.body, { subtree: true, childList: true, characterData: true })
            }""";

    private static final String FRAMES = """
            () => {
              const frames = (window.frames_ = [])
              window.watching = true
              let last = performance.now()
              const step = now => { frames.push(now - last); last = now; if (window.watching) requestAnimationFrame(step) }
              requestAnimationFrame(step)
            }""";

    private static final Pattern MOVED = Pattern.compile("draft: (\\d+) jobs? changed");

    private final Page page;
    private final String base;

    private RunwaySpeed(Page page, String base) {
        this.page = page;
        this.base = base;
    }

    /** The browser's rows of the table of yardsticks. */
    static List<String> measure(ShopSnapshot shop) throws IOException {
        try (var context = new SpringApplicationBuilder(Galecrest.class)
                        .run(
                                "--server.port=0",
                                "--spring.datasource.url=" + System.getenv("SPRING_DATASOURCE_URL") + "_big",
                                "--galecrest.start=" + shop.now(),
                                "--galecrest.first.manager=" + USER,
                                "--galecrest.first.password=" + PASSWORD,
                                "--galecrest.parcels.watch=false");
                Playwright playwright = Playwright.create(
                        new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
                Browser browser = playwright
                        .chromium()
                        .launch(new BrowserType.LaunchOptions()
                                .setExecutablePath(Path.of("/usr/bin/chromium-headless-shell"))
                                .setArgs(ARGUMENTS))) {
            int port = ((ServletWebServerApplicationContext) context)
                    .getWebServer()
                    .getPort();
            Page page = browser.newContext(new Browser.NewContextOptions().setViewportSize(1280, 800))
                    .newPage();
            return new RunwaySpeed(page, "http://127.0.0.1:" + port).rows(shop);
        }
    }

    private List<String> rows(ShopSnapshot shop) throws IOException {
        signIn();
        load(shop);
        double[] frames = frames();
        Edits soon = edits(shop, SOON_DAYS, WARM_UP);
        Edits late = edits(shop, LATE_DAYS, 0);
        String size = shop.builds().size() + " builds, " + shop.works().size() + " jobs, in the browser";
        return List.of(
                soon.row(size + ": click to repainted plan"),
                late.row("the same, of edits that move a good part of the plan"),
                String.format(
                        Locale.ROOT,
                        "| the same runway, panned and zoomed, closed and opened | no frame over 50 ms | longest of %d frames %.0f ms, median %.0f ms |",
                        frames.length,
                        frames[frames.length - 1],
                        frames[frames.length / 2]));
    }

    /** How long edits took, and how many jobs the plan placed otherwise for the middle one of them. */
    private record Edits(Times times, int moved) {
        String row(String what) {
            return String.format(
                    Locale.ROOT,
                    "| %s | median ≤ 400 ms | median %.0f ms, p95 %.0f ms over %d; %d jobs moved in the middle |",
                    what,
                    times.median(),
                    times.p95(),
                    times.millis().length,
                    moved);
        }
    }

    private void signIn() {
        page.navigate(base + "/");
        page.getByLabel("User name").fill(USER);
        page.getByLabel("Password", new Page.GetByLabelOptions().setExact(true)).fill(PASSWORD);
        button("Sign in").click();
        page.waitForURL("**/walk**");
    }

    private void load(ShopSnapshot shop) throws IOException {
        byte[] file = CoreJson.mapper().writeValueAsBytes(shop);
        String token = page.context().cookies().stream()
                .filter(c -> c.name.equals("XSRF-TOKEN"))
                .map(c -> c.value)
                .findFirst()
                .orElseThrow();
        for (String path : List.of("/api/snapshot", "/api/plan/publish")) {
            RequestOptions request = RequestOptions.create().setHeader("X-XSRF-TOKEN", token);
            if (path.endsWith("snapshot")) {
                request.setMultipart(
                        FormData.create().set("file", new FilePayload("shop.json", "application/json", file)));
            }
            var answer = page.request().post(base + path, request);
            if (!answer.ok()) {
                throw new IOException(path + ": " + answer.status() + " " + answer.text());
            }
        }
    }

    private Locator button(String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    /** A job is pinned not to start before so many days from now, and the pin is taken out: two edits a round. */
    private Edits edits(ShopSnapshot shop, int days, int warmUp) {
        List<Work> jobs =
                shop.works().stream().filter(w -> w instanceof Job).limit(400).toList();
        String then = shop.now().atZone(shop.zone()).toLocalDate().plusDays(days) + "T09:00";
        double[] millis = new double[2 * ROUNDS];
        int[] moved = new int[ROUNDS];
        for (int round = -warmUp; round < ROUNDS; round++) {
            Work job = jobs.get((warmUp + round) * 11 % jobs.size());
            page.navigate(base + "/runway?car=" + job.build().value() + "&work="
                    + job.id().value());
            page.getByLabel("Kind of pin").first().click();
            page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("not before"))
                    .click();
            page.getByLabel("Pin to").first().fill(then);
            page.waitForTimeout(LOOK_MILLIS);
            double in = edit(button("Pin"), true);
            page.waitForTimeout(LOOK_MILLIS);
            int movedNow = moved();
            double out = edit(button("take out"), false);
            if (round >= 0) {
                millis[2 * round] = in;
                millis[2 * round + 1] = out;
                moved[round] = movedNow;
            }
        }
        Arrays.sort(millis);
        Arrays.sort(moved);
        return new Edits(new Times(millis), moved[ROUNDS / 2]);
    }

    /** How many jobs the draft places otherwise than was published. */
    private int moved() {
        String line = page.locator(".room-head .soft").first().textContent();
        Matcher number = MOVED.matcher(line);
        return number.find() ? Integer.parseInt(number.group(1)) : 0;
    }

    private double edit(Locator click, boolean pinned) {
        page.evaluate(WATCH, pinned);
        click.click();
        page.waitForFunction("() => window.seen.painted");
        return ((Number) page.evaluate("() => window.seen.painted - window.seen.click")).doubleValue();
    }

    private double[] frames() {
        page.navigate(base + "/runway");
        List<Double> all = new ArrayList<>();
        for (boolean opened : new boolean[] {false, true}) {
            if (opened) {
                page.locator("button[aria-expanded]").nth(1).click();
            }
            page.waitForTimeout(LOOK_MILLIS);
            page.evaluate(FRAMES);
            for (int stroke = 0; stroke < 3; stroke++) {
                page.mouse().move(900, 120);
                page.mouse().down();
                page.mouse().move(420, 120, new com.microsoft.playwright.Mouse.MoveOptions().setSteps(60));
                page.mouse().up();
            }
            for (String key : "---+++++--".split("")) {
                page.keyboard().press(key);
                page.waitForTimeout(250);
            }
            page.evaluate("() => { window.watching = false }");
            List<?> seen = (List<?>) page.evaluate("() => window.frames_.slice(1)");
            seen.forEach(f -> all.add(((Number) f).doubleValue()));
        }
        double[] frames = all.stream().mapToDouble(f -> f).toArray();
        Arrays.sort(frames);
        return frames;
    }
}
