package galecrest.e2e;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import galecrest.server.Galecrest;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
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
            "galecrest.start=2026-11-25T07:10:00Z",
            "galecrest.slower=60",
            "galecrest.parcels.watch=false",
            // To look for better plans all the time takes a core; the test of offers has it on.
            "galecrest.offering=false"
        })
@ActiveProfiles("demo")
abstract class BrowserTest {
    /** What headless Chromium needs to start as root and to leave the network alone. */
    private static final List<String> ARGUMENTS = List.of(
            "--no-sandbox",
            "--disable-gpu",
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

    @DynamicPropertySource
    static void aDatabaseOfItsOwn(DynamicPropertyRegistry properties) throws SQLException {
        String url = System.getenv("SPRING_DATASOURCE_URL");
        try (Connection database = DriverManager.getConnection(
                        url, System.getenv("SPRING_DATASOURCE_USERNAME"), System.getenv("SPRING_DATASOURCE_PASSWORD"));
                Statement statement = database.createStatement()) {
            statement.execute("drop schema public cascade");
            statement.execute("create schema public");
        }
        properties.add("spring.datasource.url", () -> url);
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
                        .setExecutablePath(Path.of("/usr/bin/chromium"))
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
}
