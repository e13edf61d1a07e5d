package galecrest.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.ReducedMotion;
import galecrest.server.Galecrest;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.context.ActiveProfiles;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;

/** Tests in a real browser against a demo shop of their own, begun anew for each class, on a Wednesday morning. */
@DirtiesContext
@SpringBootTest(
        classes = Galecrest.class,
        webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
        properties = {
            "galecrest.start=" + BrowserTest.START,
            "galecrest.slower=60",
            "galecrest.parcels.watch=false",
            // Odds after every change, and to look for better plans all the time, take a core; the tests of them, and
            // of all screens as they are, have them on.
            "galecrest.odds=false",
            "galecrest.offering=false"
        })
@ActiveProfiles("demo")
abstract class BrowserTest {
    static final String START = "2026-11-25T07:10:00Z";

    private static final String URL = System.getenv("SPRING_DATASOURCE_URL");
    private static final String DATABASE = URL.substring(URL.lastIndexOf('/') + 1);
    /** The demo shop as it is loaded, once for all classes. */
    private static final String LOADED = DATABASE + "_loaded";

    private static boolean loaded;
    /** What headless Chromium needs to start as root, to set type as a window does and to leave the network alone. */
    private static final List<String> ARGUMENTS = List.of(
            "--no-sandbox",
            "--disable-gpu",
            "--font-render-hinting=none",
            "--disable-quic",
            "--no-first-run",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync");

    private static final double PATIENCE_MILLIS = 20_000;

    private static Playwright playwright;
    private static Browser browser;

    @LocalServerPort
    private int port;

    /** A copy of the shop as it is loaded: to set it up for each class would take more time than most of them. */
    @DynamicPropertySource
    static void aDatabaseOfItsOwn(DynamicPropertyRegistry properties) throws SQLException {
        if (!loaded) {
            inPostgres("drop database if exists " + LOADED + " with (force)", "create database " + LOADED);
            load();
            loaded = true;
        }
        inPostgres(
                "drop database if exists " + DATABASE + " with (force)",
                "create database " + DATABASE + " template " + LOADED);
    }

    private static void inPostgres(String... statements) throws SQLException {
        try (Connection database = DriverManager.getConnection(
                        at("postgres"),
                        System.getenv("SPRING_DATASOURCE_USERNAME"),
                        System.getenv("SPRING_DATASOURCE_PASSWORD"));
                Statement statement = database.createStatement()) {
            for (String each : statements) {
                statement.execute(each);
            }
        }
    }

    private static String at(String database) {
        return URL.substring(0, URL.length() - DATABASE.length()) + database;
    }

    private static void load() {
        new SpringApplicationBuilder(Galecrest.class)
                .profiles("demo")
                .run(
                        "--server.port=0",
                        "--spring.datasource.url=" + at(LOADED),
                        "--galecrest.start=" + START,
                        "--galecrest.parcels.watch=false",
                        "--galecrest.live=false")
                .close();
    }

    @BeforeAll
    static void openBrowser() {
        // Two browsers and two servers share a small machine: what is waited for may come late, but it must come.
        PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE_MILLIS);
        playwright = Playwright.create(
                new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
        browser = playwright
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(Path.of("/usr/bin/chromium-headless-shell"))
                        .setArgs(ARGUMENTS));
    }

    @AfterAll
    static void closeBrowser() {
        playwright.close();
    }

    @AfterEach
    void closeWindows() {
        browser.contexts().forEach(BrowserContext::close);
    }

    /** A window of a browser of its own, as a desk's or a phone's. */
    Page window(int width, int height, ColorScheme colours) {
        return browser.newContext(new Browser.NewContextOptions()
                        .setViewportSize(width, height)
                        .setColorScheme(colours)
                        .setReducedMotion(ReducedMotion.REDUCE)
                        .setTimezoneId("Europe/Berlin"))
                .newPage();
    }

    /** Goes to a page of the shop, and waits until it also hears what others do: what is told before that is not shown. */
    void visit(Page page, String path) {
        page.waitForResponse(r -> r.url().endsWith("/api/live"), () -> page.navigate(address(path)));
    }

    Page signIn(String username, int width, int height, ColorScheme colours) {
        Page page = window(width, height, colours);
        page.navigate(address("/"));
        page.getByLabel("User name").fill(username);
        page.getByLabel("Password", new Page.GetByLabelOptions().setExact(true)).fill("brackwater");
        button(page, "Sign in").click();
        return page;
    }

    Page manager() {
        Page page = signIn("mara", 1280, 800, ColorScheme.LIGHT);
        page.waitForURL("**/walk**");
        return page;
    }

    Page phone(String username) {
        Page page = signIn(username, 390, 844, ColorScheme.LIGHT);
        page.waitForURL("**/day");
        return page;
    }

    String address(String path) {
        return "http://127.0.0.1:" + port + path;
    }

    static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    static Locator region(Page page, String name) {
        return page.locator("[aria-label='" + name + "']");
    }

    /** Picks a car on the walk, and waits for its sheet: what is written sooner is lost with the sheet of the car before. */
    static Locator pick(Page page, String number) {
        page.locator("button.stand[aria-label^='" + number + " ']").first().click();
        Locator sheet = region(page, "Car sheet");
        assertThat(sheet).containsText(Pattern.compile("^\\s*" + number + "\\D"));
        return sheet;
    }

    /** The walk, with a car picked. */
    void walkTo(Page page, String number) {
        visit(page, "/walk");
        pick(page, number);
    }
}
