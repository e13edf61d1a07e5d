package galecrest.server.demo;

import galecrest.core.build.Gate;
import galecrest.core.component.Counter;
import galecrest.core.load.UsualLoad;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;

/** What runs out on the cars of the demo shop, and a car in the middle of its roll-out. */
final class DemoRollOuts {
    private final DemoShop shop;
    private final DemoRepository record;
    private final DemoMeasurementRepository measured;
    private final DemoRollOutRepository rollOut;

    DemoRollOuts(
            DemoShop shop, DemoRepository record, DemoMeasurementRepository measured, DemoRollOutRepository rollOut) {
        this.shop = shop;
        this.record = record;
        this.measured = measured;
        this.rollOut = rollOut;
    }

    private Instant hoursAgo(int hours) {
        return shop.now().minus(hours, ChronoUnit.HOURS);
    }

    private Instant longAgo() {
        return shop.now().minus(400, ChronoUnit.DAYS);
    }

    /** The engine has come back rebuilt; it ran, it moved, and it waits to go round the block. */
    void tarn(String car) {
        measured.noted(car, "Circuits", "all sound, none shorted", hoursAgo(60), null);
        measured.noted(car, "Leak and pressure test", "3.5 bar for 10 min, dry", hoursAgo(52), null);
        measured.sheet(
                car,
                "torque-sheet",
                Map.of("fasteners", List.of(checked("engine mounts", "45 Nm"), checked("wheel nuts", "110 Nm"))),
                true,
                hoursAgo(31),
                null);
        for (Gate gate : List.of(Gate.POWER_UP, Gate.FIRST_FIRE, Gate.GROUND, Gate.ROLL_OUT)) {
            rollOut.signed(car, gate, hoursAgo(50));
        }
        String union = record.finding(car, "Leak: weep at the cooler union", "ENGINE_BAY", "fit", 30, Gate.FIRST_FIRE);
        record.done(union, hoursAgo(48));
        String fan = record.finding(car, "Fan comes in at 104 °C", "FRONT", "wire", 40, Gate.TEST);
        record.done(fan, hoursAgo(20));
        rollOut.passed(car, Gate.POWER_UP, hoursAgo(58));
        rollOut.passed(car, Gate.FIRST_FIRE, hoursAgo(50));
        rollOut.tried(car, "first-fire", hoursAgo(50), 14, false, "weep at the cooler union", 0, false);
        rollOut.found(car, "Leak: weep at the cooler union", "First fire", "first-fire", union, hoursAgo(50));
        rollOut.tried(car, "first-fire", hoursAgo(47), 9, true, "", 0, false);
        rollOut.tried(car, "idle", hoursAgo(46), 420, true, "settles at 88 °C", 0, true);
        rollOut.found(car, "Fan comes in at 104 °C", "Idle to warm", "load-and-speed", fan, hoursAgo(46));
        rollOut.passed(car, Gate.GROUND, hoursAgo(30));
        rollOut.tried(car, "ten-metres", hoursAgo(29), 60, true, "pedal long at first; bled, then firm", 0.01, false);
        rollOut.passed(car, Gate.ROLL_OUT, hoursAgo(3));
        rollOut.open(
                car,
                "block",
                hoursAgo(1),
                List.of(
                        "Pedal firm, car held on the slope",
                        "No leak after idle: under the gearbox, lines, cooler",
                        "Isolator stops the engine, alternator turning"));
        String engine = rollOut.component(car, "engine", "T-19/2", 0, 0, null, false, hoursAgo(80));
        rollOut.limit(engine, Counter.HOURS, 30, true);
        LocalDate today = shop.today();
        rollOut.component(car, "harness", "H-2207", 0, 0, today.plusDays(400), true, longAgo());
    }

    private static Map<String, Object> checked(String fastener, String torque) {
        return Map.of(
                "fastener", fastener, "torque", torque, "passes", "2", "marked", true, "by", "Bo", "checked by", "Sef");
    }

    /** An engine near its hours; a harness that lasts for this event. */
    void vesk(String car, String spare) {
        LocalDate today = shop.today();
        String engine = rollOut.component(car, "engine", "V-8/1", 34.5, 8, null, false, longAgo());
        rollOut.limit(engine, Counter.HOURS, 45, true);
        rollOut.used(car, hoursAgo(960), 4.2, 610, 1, true, "four hours, autumn round", "demo:autumn");
        rollOut.used(car, hoursAgo(700), 2.3, 340, 0, true, "test day", "demo:test");
        String gearbox = rollOut.component(car, "gearbox", "G-114", 61, 9, null, false, longAgo());
        rollOut.limit(gearbox, Counter.EVENTS, 12, true);
        rollOut.component(car, "harness", "H-1180", 0, 0, today.plusDays(33), true, longAgo());
        rollOut.component(car, "extinguisher", "X-77", 0, 0, today.plusDays(210), true, longAgo());
        rollOut.component(car, "frame", "VC-08", 190, 31, null, false, longAgo());
        rollOut.component(spare, "engine", "V-8/2", 12, 2, null, false, longAgo());
        rollOut.component(spare, "extinguisher", "X-78", 0, 0, today.minusDays(10), true, longAgo());
        rollOut.component(spare, "frame", "VC-05", 240, 40, null, false, longAgo());
    }

    /** Two climbs within a week: a turnaround, with a gearbox whose service falls due at the second. */
    void twoClimbs(String orrin) {
        LocalDate first = shop.saturday(0);
        String gearbox = rollOut.component(orrin, "gearbox", "G-61", 22, 6, null, false, longAgo());
        rollOut.limit(gearbox, Counter.EVENTS, 8, true);
        rollOut.component(orrin, "harness", "H-3061", 0, 0, shop.today().plusDays(150), true, longAgo());
        String greyfell = rollOut.event(
                "Greyfell hill climb",
                "Greyfell",
                "Single-seaters to 1600",
                orrin,
                DemoShop.at(first, 9),
                DemoShop.at(first.plusDays(1), 20));
        for (int run = 1; run <= 4; run++) {
            rollOut.session(
                    greyfell,
                    run < 3 ? "practice " + run : "climb " + (run - 2),
                    run < 3 ? "PRACTICE" : "RACE",
                    DemoShop.at(first.plusDays(1), 8 + 2 * run),
                    5,
                    4);
        }
        LocalDate second = first.plusDays(7);
        String fennmark = rollOut.event(
                "Fennmark hill climb",
                "Fennmark",
                "Single-seaters to 1600",
                orrin,
                DemoShop.at(second.minusDays(1), 12),
                DemoShop.at(second.plusDays(1), 20));
        rollOut.session(fennmark, "practice", "PRACTICE", DemoShop.at(second, 10), 5, 5);
        rollOut.session(fennmark, "climb 1", "RACE", DemoShop.at(second, 14), 5, 5);
        rollOut.session(fennmark, "climb 2", "RACE", DemoShop.at(second.plusDays(1), 11), 5, 5);
        tyres(orrin, "soft 4", "DRY", "NEW", 0);
        tyres(orrin, "soft 3", "DRY", "USED", 3);
        tyres(orrin, "soft 2", "DRY", "USED", 6);
    }

    /** A set; the more it was used the older it is. */
    private void tyres(String car, String name, String kind, String state, int cycles) {
        rollOut.tyres(car, name, kind, state, cycles, shop.today().minusDays(90 + 75L * cycles));
    }

    /** The four hours, with tyres to be allocated; and the winter cup a week after. */
    void season(String vesk, String spare, String tarn) {
        LocalDate race = shop.saturday(1);
        String hours = rollOut.event(
                "Four hours of Crane Moor",
                "Crane Moor",
                "Four hours, closed cars",
                vesk,
                DemoShop.at(race, 9),
                DemoShop.at(race.plusDays(2), 18));
        rollOut.goes(hours, spare, true, "Spare ready for Crane Moor");
        rollOut.session(hours, "test", "TEST", DemoShop.at(race, 13), 40, 60);
        rollOut.session(hours, "practice", "PRACTICE", DemoShop.at(race, 15), 40, 60);
        rollOut.session(hours, "qualify", "QUALIFYING", DemoShop.at(race, 17), 20, 30);
        for (int hour = 1; hour <= 4; hour++) {
            rollOut.session(hours, "race " + hour + "h", "RACE", DemoShop.at(race.plusDays(1), 9 + hour), 60, 130);
        }
        rollOut.run(hours, vesk, 1, "", 3, false);
        rollOut.run(hours, vesk, 2, "rear bar one hole softer", 3, false);
        rollOut.run(hours, vesk, 3, "pressures 0.1 bar lower", 2, true);
        rollOut.run(hours, vesk, 4, "wing one hole up", 1, true);
        rollOut.run(hours, vesk, 5, "", 2, false);
        tyres(vesk, "set 21", "DRY", "NEW", 0);
        tyres(vesk, "set 22", "DRY", "SCUFFED", 1);
        tyres(vesk, "set 23", "DRY", "SCUFFED", 1);
        tyres(vesk, "set 17", "DRY", "USED", 4);
        tyres(vesk, "set 15", "DRY", "USED", 7);
        tyres(vesk, "set 12", "DRY", "USED", 9);
        tyres(vesk, "wet 3", "WET", "USED", 3);
        rollOut.load(
                hours,
                UsualLoad.of(
                        List.of("8", "5"),
                        7,
                        List.of("set 12", "set 15", "set 17", "set 21", "set 22", "set 23", "wet 3")),
                24,
                1_400,
                hoursAgo(2));
        String cup = rollOut.event(
                "Winter cup, round two",
                "Hollin",
                "",
                tarn,
                DemoShop.at(shop.saturday(1).plusDays(1), 10),
                DemoShop.at(shop.saturday(1).plusDays(3), 18));
        rollOut.session(
                cup, "qualify", "QUALIFYING", DemoShop.at(shop.saturday(1).plusDays(2), 10), 20, 35);
        rollOut.session(cup, "race", "RACE", DemoShop.at(shop.saturday(1).plusDays(2), 15), 40, 70);
    }
}
