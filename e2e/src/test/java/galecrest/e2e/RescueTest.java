package galecrest.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import java.time.LocalDateTime;
import java.util.List;
import java.util.TreeSet;
import java.util.function.DoublePredicate;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.test.context.TestPropertySource;

/** A part slips, the odds fall, a rescue is tried and published, a hand's phone shows what changed. */
@TestPropertySource(properties = "galecrest.odds=true")
class RescueTest extends BrowserTest {
    private static final int PATIENCE_MILLIS = 90_000;

    /** What each kind of move says. */
    private static final List<String> KINDS = List.of(
            "sent express",
            "to be done sooner",
            "An extra shift",
            "Lend a second hand",
            "at risk",
            "Go on without",
            "Let all that can follow",
            "alone until",
            "Go a week later");

    private static LocatorAssertions.ContainsTextOptions patiently() {
        return new LocatorAssertions.ContainsTextOptions().setTimeout(PATIENCE_MILLIS);
    }

    private static double percent(String text) {
        return Double.parseDouble(text.replaceAll("[^0-9]", ""));
    }

    /** The odds on the date's sheet, once they are those of the record as it is. */
    private static double odds(Locator sheet) {
        assertThat(sheet)
                .containsText(Pattern.compile("trials, worked out for [^;]*$|worked out for \\S+What"), patiently());
        return percent(sheet.locator("[title^='kept in']").first().textContent());
    }

    /** The odds once they are as expected; they are reckoned in the background. */
    private static double settled(Page page, Locator sheet, DoublePredicate expected) {
        double now = odds(sheet);
        for (int tries = 0; tries < 60 && !expected.test(now); tries++) {
            page.waitForTimeout(500);
            now = odds(sheet);
        }
        assertThat(expected.test(now)).as("odds of " + now + " %").isTrue();
        return now;
    }

    @Test
    void oddsFallARescueIsTriedAndPublished() {
        Page bo = phone("bo");
        assertThat(region(bo, "Next")).isVisible();
        Page mara = manager();
        Locator sheet = pick(mara, "112");
        assertThat(sheet).containsText("Rolling road session");
        sheet.locator("a[title^='What drives it']").click();
        Locator date = region(mara, "Chain of Rolling road session");
        double before = odds(date);

        // Its part is promised five days later: the odds fall.
        mara.navigate(address("/walk"));
        pick(mara, "112");
        mara.getByText("Open the build").click();
        region(mara, "Parts")
                .getByText("driveshaft right", new Locator.GetByTextOptions().setExact(true))
                .first()
                .click();
        Locator likely = mara.getByLabel("Likely", new Page.GetByLabelOptions().setExact(true));
        LocalDateTime arrives =
                LocalDateTime.parse(likely.getAttribute("data-moment")).plusDays(5);
        mara.getByLabel("Latest", new Page.GetByLabelOptions().setExact(true))
                .fill(arrives.plusDays(2).toString());
        likely.fill(arrives.toString());
        button(mara, "Save").click();
        assertThat(mara.getByText("driveshaft right now arrives").first()).isVisible();
        mara.keyboard().press("w");
        pick(mara, "112");
        assertThat(sheet).containsText("Rolling road session");
        sheet.locator("a[title^='What drives it']").click();
        settled(mara, date, now -> now < before);

        // The date that is in real trouble is another's: what would help, with what each does to the other dates.
        mara.navigate(address("/walk"));
        pick(mara, "8");
        assertThat(sheet).containsText("Four hours of Crane Moor");
        sheet.locator("a[title^='What drives it']").click();
        Locator trouble = region(mara, "Chain of Four hours of Crane Moor");
        double lost = odds(trouble);
        Locator help = region(mara, "What would help");
        button(mara, "Try everything that could").click();
        assertThat(help).containsText("Try everything again", patiently());
        TreeSet<String> kinds = new TreeSet<>();
        for (String words : help.locator("tbody td:first-child").allTextContents()) {
            KINDS.stream().filter(words::contains).forEach(kinds::add);
        }
        assertThat(kinds).as("kinds of move").hasSizeGreaterThanOrEqualTo(4);
        assertThat(help.locator("tbody tr").first()).containsText(Pattern.compile("%|none suffers"));

        // One that promises something is tried: the odds rise.
        help.locator("tbody tr", new Locator.LocatorOptions().setHasText(Pattern.compile("sent express|Go on without")))
                .filter(new Locator.FilterOptions().setHasText(Pattern.compile("(?<![0-9])[1-9][0-9]* %")))
                .first()
                .getByText("Try", new Locator.GetByTextOptions().setExact(true))
                .click();
        assertThat(mara.getByText(Pattern.compile("Mara tried: ")).first()).isVisible();
        settled(mara, trouble, now -> now > lost);

        // What moved is read by car, and published; the phone shows it.
        button(mara, "What moved").click();
        mara.getByText("By car", new Page.GetByTextOptions().setExact(true)).click();
        assertThat(mara.getByRole(com.microsoft.playwright.options.AriaRole.DIALOG))
                .containsText("8 Vesk coupe");
        mara.getByRole(com.microsoft.playwright.options.AriaRole.DIALOG)
                .getByText("Publish")
                .click();
        assertThat(mara.getByText(Pattern.compile("published by Mara"))).isVisible();
        Locator news = region(bo, "What changed");
        assertThat(news).isVisible();
        news.getByText(Pattern.compile("changed")).click();
        assertThat(news).containsText(Pattern.compile("from|new|by others"));
        button(bo, "Seen").click();
        assertThat(news).isHidden();
    }
}
