package galecrest.server.demo;

import galecrest.core.build.Gate;
import galecrest.core.sheet.SheetLine;
import galecrest.core.work.Commitment;
import galecrest.server.access.Account;
import galecrest.server.access.AccountService;
import galecrest.server.access.DemoLogin;
import galecrest.server.access.Role;
import galecrest.server.build.Body;
import galecrest.server.build.BuildRequest;
import galecrest.server.build.BuildService;
import galecrest.server.journal.Journal;
import galecrest.server.plan.PlanService;
import galecrest.server.sheet.JobSheetService;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Profile;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;

/**
 * Brackwater Works, the demo shop: six people, seven stations, eleven cars of invented makes, everything hung on the
 * day on which it is set up, so that it is alive on any date. Only in the demo profile, only into an empty database.
 */
@Component
@Profile("demo")
class DemoShop implements SmartInitializingSingleton {
    static final ZoneId ZONE = ZoneId.of("Europe/Berlin");
    private static final String PASSWORD = "brackwater";

    private final Clock clock;
    private final Journal journal;
    private final BuildService builds;
    private final JobSheetService sheets;
    private final AccountService accounts;
    private final PlanService plans;
    private final DemoRepository record;
    private final DemoDeskRepository desk;
    private final DemoMeasurementRepository measured;
    private final DemoRollOutRepository rollOut;
    private final DemoPowerRuns powerRuns;

    DemoShop(
            Clock clock,
            DemoClock itsOwnTime,
            Journal journal,
            BuildService builds,
            JobSheetService sheets,
            AccountService accounts,
            PlanService plans,
            DemoRepository record,
            DemoDeskRepository desk,
            DemoMeasurementRepository measured,
            DemoRollOutRepository rollOut,
            DemoPowerRuns powerRuns) {
        Objects.requireNonNull(itsOwnTime, "the shop is set up in its own time");
        this.rollOut = rollOut;
        this.powerRuns = powerRuns;
        this.measured = measured;
        this.clock = clock;
        this.journal = journal;
        this.builds = builds;
        this.sheets = sheets;
        this.accounts = accounts;
        this.plans = plans;
        this.record = record;
        this.desk = desk;
    }

    @Bean
    static DemoLogin mara() {
        return new DemoLogin("mara", PASSWORD, "manager: everything");
    }

    @Bean
    static DemoLogin sef() {
        return new DemoLogin("sef", PASSWORD, "lead: the builds");
    }

    @Bean
    static DemoLogin bo() {
        return new DemoLogin("bo", PASSWORD, "hand: My day, on the phone");
    }

    @Override
    public void afterSingletonsInstantiated() {
        if (!record.isEmpty()) {
            return;
        }
        Account mara = new Account("mara", "Mara", Role.MANAGER, "mara");
        SecurityContextHolder.getContext()
                .setAuthentication(UsernamePasswordAuthenticationToken.authenticated(
                        mara, null, List.of(new SimpleGrantedAuthority("ROLE_MANAGER"))));
        try {
            journal.change("set up Brackwater Works", this::setUp);
            accounts.saveDemoAccount(mara, PASSWORD);
            accounts.saveDemoAccount(new Account("sef", "Sef", Role.LEAD, "sef"), PASSWORD);
            accounts.saveDemoAccount(new Account("bo", "Bo", Role.HAND, "bo"), PASSWORD);
            accounts.saveDemoAccount(new Account("kit", "Kit", Role.HAND, "kit"), PASSWORD);
            plans.publish(null);
        } finally {
            SecurityContextHolder.clearContext();
        }
    }

    private void setUp() {
        record.shop("Brackwater Works", ZONE);
        people();
        for (String[] station : new String[][] {
            {"lift-1", "Lift 1", "lift"},
            {"lift-2", "Lift 2", "lift"},
            {"bay-1", "Bay 1", "bay"},
            {"bay-2", "Bay 2", "bay"},
            {"flat", "Flat patch", "flat patch"},
            {"engines", "Engine room", "engine room"},
            {"wash", "Wash", "wash"},
            {"trailer", "Trailer", "trailer"},
            {"van", "Van", "vehicle"}
        }) {
            record.station(station[0], station[1], station[2]);
        }
        record.vendor("quay", "Quay Rolling Road", "tuning", "555 0101", 9, 18);
        record.vendor("harbour", "Harbour Coatings", "coating", "555 0102", 8, 16);
        record.vendor("slip", "Slipway Paint", "paint", "555 0103", 8, 17);
        record.vendor("anchor", "Anchor Machining", "machining", "555 0104", 7, 15);
        new DemoCars(this, record, measured, new DemoRollOuts(this, record, measured, rollOut), powerRuns).all();
        desk.all(this);
        withoutACar();
    }

    /** Stock on the lathe, and a way to the coater and back. */
    private void withoutACar() {
        String stock = build("", "Stock and tools", Body.NONE, "", "", 0.3);
        String spacers = record.ownJob(stock, "Turn spacers, 12 mm", "engines", 150);
        desk.shelfFrom("wheel spacers, 12 mm", "shelf 1", 6, 8, spacers, 24);
        record.ownJob(stock, "Service lift 2", "fit", 120);
        Instant back = at(workday(2), 11);
        String errands = build("", "Errands", Body.NONE, "", "", 0.3);
        String way = record.ownJob(errands, "Fetch the hoses, Slip Hose & Fittings", "drive", 80);
        String date = date(errands, "Fetch the hoses", Commitment.Kind.PROMISE, back, Gate.EVENT, 0.3);
        desk.errand(way, date, "Slip Hose & Fittings", "oil cooler hoses, −10", at(workday(2), 8), back);
    }

    private void people() {
        String full = "07:30-12:00,12:30-16:30";
        record.person("bo", "Bo", "fit:LEAD,weld:ABLE,drive:ABLE", full, 46);
        record.person("ina", "Ina", "weld:LEAD,paint:LEAD,fit:ABLE", full, 52);
        record.person("sef", "Sef", "setup:LEAD,fit:ABLE,drive:LEAD", full, 50);
        record.person("kit", "Kit", "wire:LEAD,fit:LEARNER", full, 48);
        record.person("ruth", "Ruth", "engines:LEAD,fit:ABLE", full, 54);
        record.person("mara", "Mara", "fit:LEARNER,drive:LEAD,setup:ABLE", "08:00-11:00", 60);
        LocalDate monday = today().with(java.time.temporal.TemporalAdjusters.next(DayOfWeek.MONDAY));
        record.leave("ina", monday, monday.plusDays(2), "leave");
    }

    LocalDate today() {
        return clock.instant().atZone(ZONE).toLocalDate();
    }

    Instant now() {
        return clock.instant();
    }

    /** An instant so many days from today at a local hour. */
    Instant at(int days, int hour) {
        return at(today().plusDays(days), hour);
    }

    static Instant at(LocalDate day, int hour) {
        return day.atTime(LocalTime.of(hour, 0)).atZone(ZONE).toInstant();
    }

    /** The Saturday so many weeks ahead; 0 is the next one. */
    LocalDate saturday(int weeks) {
        return today().with(java.time.temporal.TemporalAdjusters.next(DayOfWeek.SATURDAY))
                .plusWeeks(weeks);
    }

    /** The next working day after today. */
    LocalDate workday(int ahead) {
        LocalDate day = today();
        for (int left = ahead; left > 0; ) {
            day = day.plusDays(1);
            left -= day.getDayOfWeek().getValue() < 6 ? 1 : 0;
        }
        return day;
    }

    String build(String number, String name, Body body, String customer, String discipline, double weight) {
        return builds.add(new BuildRequest(number, name, body, customer, discipline, weight, 2, 2, 2, 2, 2, 0));
    }

    /** Adds templates one after the other; the first work of each follows the last of the one before. */
    List<String> work(String build, String... templates) {
        List<String> all = new ArrayList<>();
        for (String template : templates) {
            // The demo books the time of other firms itself.
            List<SheetLine> lines = SheetLine.inTheShop(sheets.template(template));
            List<String> ids = sheets.insert(build, null, lines);
            if (!all.isEmpty()) {
                record.link(all.get(all.size() - 1), ids.get(0));
            }
            all.addAll(ids);
        }
        return all;
    }

    String date(String build, String name, Commitment.Kind kind, Instant due, Gate gate, double weight) {
        return record.commitment(build, name, kind, due, gate, weight);
    }
}
