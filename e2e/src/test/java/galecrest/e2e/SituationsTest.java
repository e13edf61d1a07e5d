package galecrest.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Situations of a season, as a manager meets them; the fifth is with {@link DayAsItIsTest}. */
class SituationsTest extends BrowserTest {
    private static final String LINE = "Write down a job, a hold, what is done or what was found";

    private void say(Page page, String line) {
        page.getByLabel(LINE).fill(line);
        page.getByLabel(LINE).press("Enter");
        assertThat(page.getByLabel(LINE)).hasValue("");
    }

    private void openBuild(Page page, String car) {
        page.navigate(address("/build"));
        page.getByLabel("Car", new Page.GetByLabelOptions().setExact(true)).selectOption(car);
    }

    /** What the board has of the first thing of a list whose field is that; null where there is none. */
    private static Object board(Page page, String list, String field, String value, String wanted) {
        return page.evaluate("""
                async ([list, field, value, wanted]) => {
                  const board = await (await fetch('/api/board')).json()
                  const it = board[list].find(x => x[field] === value)
                  return wanted.split('.').reduce((at, key) => at?.[key], it) ?? null
                }""", new Object[] {list, field, value, wanted});
    }

    private static long margin(Page page, String date) {
        return ((Number) board(page, "commitments", "name", date, "marginMinutes")).longValue();
    }

    private static void choose(Page page, String label, String option) {
        page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName(label))
                .click();
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(Pattern.compile(option)))
                .first()
                .click();
    }

    /** The car is at the tuner, and more comes onto its list: that is planned for when it is back, and said. */
    @Test
    void aCarAtTheTunerWithAnUnfinishedList() {
        Page mara = manager();
        walkTo(mara, "5");
        assertThat(region(mara, "Car sheet")).containsText("Vesk coupe");
        say(mara, "found oil mist at the breather, engine bay, 40 min");
        say(mara, "reseat the cooler hoses, front, 1.5h");
        String back = (String) board(mara, "works", "name", "Power runs and map", "outwork.backLikely");
        for (String job : new String[] {"Oil mist at the breather", "Reseat the cooler hoses"}) {
            String start = (String) board(mara, "works", "name", job, "placed.start");
            assertThat(start).as(job).isGreaterThanOrEqualTo(back);
        }
        openBuild(mara, "5 Vesk coupe");
        assertThat(region(mara, "Jobs")).containsText("Reseat the cooler hoses");
        mara.navigate(address("/desk"));
        assertThat(region(mara, "Chase list")).containsText("Power runs and map");
    }

    /** Two dates of a car with a round between: its list never makes the first of them late. */
    @Test
    void twoNightsOfRacingWithARoundBetween() {
        Page mara = manager();
        long first = margin(mara, "Greyfell hill climb");
        openBuild(mara, "61 Orrin single-seater");
        region(mara, "Rounds").getByText("Add").click();
        mara.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("between the nights");
        choose(mara, "Begins after", "Greyfell hill climb");
        choose(mara, "Must be done for", "Fennmark hill climb");
        mara.getByLabel("Jobs of its own").fill("spanner check, 2 h\nfresh fluids, 1 h 30");
        button(mara, "Lay the round").click();
        assertThat(mara.getByRole(AriaRole.DIALOG)).isHidden();
        assertThat(region(mara, "Rounds")).containsText("between the nights");
        assertThat(margin(mara, "Greyfell hill climb")).isEqualTo(first);
        String due = (String) board(mara, "commitments", "name", "Greyfell hill climb", "due");
        assertThat((String) board(mara, "works", "name", "Spanner check", "placed.start"))
                .isGreaterThanOrEqualTo(due);
        openBuild(mara, "61 Orrin single-seater");
        mara.locator("td")
                .getByText("Fresh fluids", new Locator.GetByTextOptions().setExact(true))
                .click();
        assertThat(mara.getByText("1½ h likely").first()).isVisible();
    }

    /** What was bought turns out to be more: a list is added, it grows, and the wish is priced with what it does to dates. */
    @Test
    void aBoughtCarWhoseRewireGrowsAndWhoseOwnerRaisesTheTarget() {
        Page mara = manager();
        long before = margin(mara, "Hand-over");
        openBuild(mara, "440 Korm truck");
        button(mara, "More").click();
        mara.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("Add work from a template"))
                .click();
        choose(mara, "Template", "Rewire");
        button(mara, "Add its work").click();
        assertThat(mara.getByRole(AriaRole.DIALOG)).isHidden();
        assertThat(margin(mara, "Hand-over")).isLessThan(before);
        mara.locator("td")
                .getByText("Old loom out and drawn", new Locator.GetByTextOptions().setExact(true))
                .first()
                .click();
        mara.getByLabel("Takes, likely").fill("9 h");
        assertThat(mara.getByText("9 h likely, 5½ h to 12½ h").first()).isVisible();
        button(mara, "Save").click();
        assertThat(mara.getByRole(AriaRole.DIALOG)).isHidden();
        assertThat(mara.getByText("Mara changed the job Old loom out and drawn").first())
                .isVisible();
        mara.navigate(address("/ledger"));
        region(mara, "Ledger")
                .or(mara.locator("table"))
                .first()
                .getByText("Korm truck")
                .click();
        button(mara, "Price a change").click();
        mara.getByLabel("What the customer wants").fill("sequential shift");
        mara.getByRole(AriaRole.DIALOG)
                .getByLabel("Hours", new Locator.GetByLabelOptions().setExact(true))
                .fill("30");
        button(mara, "What would it cost, and which dates?").click();
        assertThat(region(mara, "What it costs")).containsText("Net");
    }

    /** One is on leave, a helper comes on Saturday, somebody stays later: the plan has each in, or not, as it is. */
    @Test
    void aWeekWithOneOnLeaveASaturdayHelperAndALateWorker() {
        Page mara = manager();
        String now = (String) mara.evaluate("async () => (await (await fetch('/api/board')).json()).now");
        var today = java.time.Instant.parse(now)
                .atZone(java.time.ZoneId.of("Europe/Berlin"))
                .toLocalDate();
        var saturday = today.with(java.time.temporal.TemporalAdjusters.next(java.time.DayOfWeek.SATURDAY));
        walkTo(mara, "440");
        say(mara, "polish the tanks, on the bench, 3 h");
        openBuild(mara, "440 Korm truck");
        mara.locator("td")
                .getByText("Polish the tanks", new Locator.GetByTextOptions().setExact(true))
                .click();
        button(mara, "From outside").click();
        mara.getByLabel("Who comes").fill("Saturday helper");
        mara.getByLabel("From", new Page.GetByLabelOptions().setExact(true)).fill(saturday + "T09:00");
        mara.getByLabel("Until", new Page.GetByLabelOptions().setExact(true)).fill(saturday + "T13:00");
        mara.getByLabel("Who comes").click();
        button(mara, "They do it").click();
        assertThat(mara.getByLabel("Who comes")).hasCount(0);
        assertThat((String) board(mara, "works", "name", "Polish the tanks", "placed.start"))
                .startsWith(saturday.toString());

        mara.navigate(address("/shop/people"));
        button(mara, "Leave or extra shift for Kit").click();
        mara.getByLabel("First day").fill(today.plusDays(1).toString());
        mara.getByLabel("Last day").fill(today.plusDays(2).toString());
        button(mara, "Save").click();
        assertThat(mara.getByRole(AriaRole.DIALOG)).isHidden();
        button(mara, "Leave or extra shift for Ruth").click();
        choose(mara, "What", "an extra shift");
        mara.getByLabel("From (empty: all day)").fill("17:00");
        mara.getByLabel("To", new Page.GetByLabelOptions().setExact(true)).fill("20:00");
        button(mara, "Save").click();
        assertThat(mara.getByRole(AriaRole.DIALOG)).isHidden();
        Object kitWorks = mara.evaluate(
                """
                async ([from, to]) => {
                  const board = await (await fetch('/api/board')).json()
                  const kit = board.people.find(p => p.name === 'Kit').id
                  return board.works.filter(w => w.placed?.crew.includes(kit)
                      && w.placed.at.some(s => s.from >= from && s.from < to)).length
                }""",
                new Object[] {today.plusDays(1).toString(), today.plusDays(3).toString()});
        assertThat(((Number) kitWorks).intValue())
                .as("nobody has Kit at work on the days of the leave")
                .isZero();
    }
}
