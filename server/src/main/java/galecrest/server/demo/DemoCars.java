package galecrest.server.demo;

import galecrest.core.build.Gate;
import galecrest.core.work.Commitment.Kind;
import galecrest.server.build.Body;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;

/** The eleven cars of the demo shop and what is going on with each. */
final class DemoCars {
    private final DemoShop shop;
    private final DemoRepository record;
    private final DemoMeasurementRepository measured;
    private final DemoRollOuts rollOuts;
    private final DemoPowerRuns powerRuns;

    DemoCars(
            DemoShop shop,
            DemoRepository record,
            DemoMeasurementRepository measured,
            DemoRollOuts rollOuts,
            DemoPowerRuns powerRuns) {
        this.rollOuts = rollOuts;
        this.powerRuns = powerRuns;
        this.shop = shop;
        this.record = record;
        this.measured = measured;
    }

    void all() {
        String orrin = orrin();
        String vesk = veskTeamCar();
        String spare = veskSpare();
        rollOuts.vesk(vesk, spare);
        powerRuns.all(spare);
        dabry();
        sarrow();
        korm();
        lunnet();
        String tarn = tarn();
        hask();
        brenna();
        quill();
        rollOuts.season(vesk, spare, tarn);
        rollOuts.twoClimbs(orrin);
    }

    private Instant hoursAgo(int hours) {
        return shop.now().minus(hours, ChronoUnit.HOURS);
    }

    private void done(List<String> works, int from, int to) {
        for (int i = from; i < to; i++) {
            record.done(works.get(i), hoursAgo(9 + 6 * (to - i)));
        }
    }

    /** A day from loading. */
    private String orrin() {
        String car = shop.build("61", "Orrin single-seater", Body.SINGLE_SEATER, "H. Lindqvist-Oma", "hill climb", 1.5);
        List<String> works = shop.work(car, "nut-and-bolt-week");
        done(works, 0, 10);
        record.started(works.get(10), "sef", "flat", hoursAgo(1));
        shop.date(car, "Greyfell hill climb", Kind.EVENT, DemoShop.at(shop.saturday(0), 9), Gate.EVENT, 2);
        shop.date(
                car,
                "Fennmark hill climb",
                Kind.EVENT,
                DemoShop.at(shop.saturday(0).plusDays(6), 12),
                Gate.EVENT,
                2);
        measured.weighed(car, List.of("118.5", "117.0", "171.5", "170.0"), true, hoursAgo(2_200), null);
        measured.weighed(car, List.of("84.0", "81.5", "146.0", "148.0"), false, hoursAgo(700), null);
        measured.weighed(car, List.of("121.5", "114.0", "168.5", "173.0"), true, hoursAgo(54), null);
        measured.weighed(car, List.of("117.0", "118.0", "172.5", "169.5"), true, hoursAgo(30), null);
        measured.sheet(
                car,
                "strings",
                Map.of(
                        "rim", "13 in",
                        "left front", Map.of("front", "99.4 mm", "rear", "100 mm"),
                        "right front", Map.of("front", "99.4 mm", "rear", "100 mm"),
                        "left rear", Map.of("front", "100.5 mm", "rear", "100 mm"),
                        "right rear", Map.of("front", "100.5 mm", "rear", "100 mm")),
                true,
                hoursAgo(28),
                null);
        measured.felt(
                car,
                hoursAgo(55),
                "airfield",
                "H. Lindqvist-Oma",
                "Turns in well to the left, pushes to the right.",
                "weighed it; cross was 49.0 %");
        measured.felt(car, hoursAgo(29), "airfield", "H. Lindqvist-Oma", "Even to both sides now.", "");
        return car;
    }

    /** Quietly drifting to negative margin because of a part. */
    private String veskTeamCar() {
        String car = shop.build("8", "Vesk coupe", Body.COUPE, "team car", "four hours", 2);
        List<String> works = shop.work(car, "engine-swap", "nut-and-bolt-week");
        done(works, 0, 8);
        record.done(works.get(11), hoursAgo(28));
        String flange = record.part(
                car,
                "coated exhaust flange",
                "SHIPPED",
                "Harbour Coatings",
                "184.00",
                DemoShop.at(shop.saturday(1).minusDays(3), 12),
                45);
        record.needs(flange, works.get(8));
        String hose = record.part(
                car,
                "oil cooler hoses, −10",
                "ORDERED",
                "Slip Hose & Fittings",
                "96.40",
                DemoShop.at(shop.workday(2), 11),
                15);
        record.needs(hose, works.get(10));
        shop.date(car, "Four hours of Crane Moor", Kind.EVENT, DemoShop.at(shop.saturday(1), 9), Gate.EVENT, 3);
        record.call(car, "Harbour Coatings", "the flange: which day, truly?", shop.at(0, 10));
        measured.limits(
                "Four hours, closed cars",
                List.of(
                        List.of("weight with driver", "mass", "980 kg", "", ""),
                        List.of("rear overhang", "length", "", "900 mm", "5 mm"),
                        List.of("width over the arches", "length", "", "1780 mm", ""),
                        List.of("ride height", "length", "60 mm", "", "2 mm")));
        record.forNow(car, "road-car engine mounts, to find the height", "the race mounts are not back", Gate.ROLL_OUT);
        return car;
    }

    /** Away at the tuner. */
    private String veskSpare() {
        String car = shop.build("5", "Vesk coupe", Body.COUPE, "team car", "spare for the 8", 1);
        measured.weighed(
                car, List.of("262.0", "258.5", "236.0", "239.5"), true, hoursAgo(420), "dampers in, springs changed");
        List<String> works = shop.work(car, "annual-refresh", "nut-and-bolt-week");
        done(works, 0, 13);
        String tuner = record.outwork(car, "Power runs and map", "quay", true, 60, 1, 1, 2, 60, 60, Gate.TUNER);
        record.away(tuner, hoursAgo(5), DemoShop.at(shop.workday(1), 18));
        record.link(tuner, works.get(14));
        record.link(tuner, works.get(16));
        shop.date(
                car,
                "Spare ready for Crane Moor",
                Kind.PROMISE,
                DemoShop.at(shop.saturday(1).minusDays(1), 16),
                Gate.EVENT,
                1);
        return car;
    }

    /** The big rally rebuild. */
    private void dabry() {
        String car = shop.build("27", "Dabry saloon", Body.SALOON, "Petra Vance-Holm", "gravel rally", 1.5);
        List<String> works = shop.work(car, "strip-and-rebuild");
        done(works, 0, 17);
        record.started(works.get(17), "ruth", "engines", hoursAgo(2));
        String paint = record.outwork(car, "Shell painted", "slip", true, 45, 4, 5, 7, 45, 60, Gate.POWER_UP);
        record.link(works.get(14), tieOut(works, paint, 23));
        String rods = record.part(
                car,
                "connecting rods, set",
                "ORDERED",
                "Anchor Machining",
                "612.00",
                DemoShop.at(shop.workday(6), 10),
                60);
        record.needs(rods, works.get(17));
        String test = shop.date(car, "Test at Fennmark", Kind.PROMISE, DemoShop.at(shop.saturday(4), 9), Gate.TEST, 1);
        record.outing(test, DemoShop.at(shop.saturday(4), 20), "bo", "trailer");
        shop.date(car, "Stages of the Lower Fells", Kind.EVENT, DemoShop.at(shop.saturday(6), 7), Gate.EVENT, 2);
        record.call(car, "Petra Vance-Holm", "seat height, harness colour", shop.at(0, 16));
    }

    /** What follows the outwork on the shell. */
    private String tieOut(List<String> works, String outwork, int next) {
        record.link(outwork, works.get(next));
        return outwork;
    }

    /** Its manifold is away, and one half of a pair is back-ordered. */
    private void sarrow() {
        String car = shop.build("112", "Sarrow hatch", Body.HATCH, "J. Okono", "rallycross", 1.5);
        List<String> works = shop.work(car, "engine-swap");
        done(works, 0, 7);
        record.started(works.get(7), "ina", "bay-1", hoursAgo(2));
        String coat = record.outwork(car, "Manifold coated", "harbour", false, 30, 2, 3, 5, 30, 30, Gate.FIRST_FIRE);
        record.away(coat, hoursAgo(40), DemoShop.at(shop.workday(3), 16));
        record.link(coat, works.get(8));
        String left = record.part(car, "driveshaft left", "ACCEPTED", "Tide Driveline", "430.00", null, 20);
        String right = record.part(
                car, "driveshaft right", "ORDERED", "Tide Driveline", "430.00", DemoShop.at(shop.workday(7), 12), 20);
        record.pair(left, right);
        record.needs(left, works.get(9));
        record.needs(right, works.get(9));
        String tuner = record.outwork(car, "Rolling road session", "quay", true, 60, 1, 2, 4, 60, 60, Gate.ROLL_OUT);
        record.booked(tuner, DemoShop.at(shop.workday(11), 9), DemoShop.at(shop.workday(11), 16));
        record.link(works.get(18), tuner);
        record.link(tuner, works.get(19));
        shop.date(car, "Rallycross at Stonebar", Kind.EVENT, DemoShop.at(shop.saturday(3), 8), Gate.EVENT, 2);
    }

    private void korm() {
        String car = shop.build("440", "Korm truck", Body.TRUCK, "Saltway Raid Team", "cross-country", 1);
        List<String> works = shop.work(car, "rewire", "annual-refresh");
        done(works, 0, 6);
        record.started(works.get(7), "kit", null, hoursAgo(3));
        record.weldOutside(works.get(6));
        String wishbones =
                record.part(car, "wishbone bushes", "SHIPPED", "Slip Hose & Fittings", "148.20", shop.at(0, 12), 15);
        record.needs(wishbones, works.get(21));
        shop.date(car, "Hand-over", Kind.PROMISE, DemoShop.at(shop.saturday(4).minusDays(1), 16), Gate.EVENT, 1);
    }

    /** Waits for the customer's decision. */
    private void lunnet() {
        String car = shop.build("", "Lunnet roadster", Body.ROADSTER, "Dr. A. Merrow", "regularity", 1);
        List<String> works = shop.work(car, "annual-refresh", "rewire");
        done(works, 0, 5);
        record.hold(
                works.get(13),
                "DECIDE",
                "the customer chooses: repair the panel or a new one",
                DemoShop.at(shop.workday(3), 12));
        record.hold(
                works.get(5),
                "DECIDE",
                "the customer has not agreed the price of the discs",
                DemoShop.at(shop.workday(2), 12));
        shop.date(
                car,
                "Hand-over before the holidays",
                Kind.PROMISE,
                DemoShop.at(shop.saturday(5).minusDays(1), 16),
                Gate.EVENT,
                1);
        record.call(car, "Dr. A. Merrow", "panel: repair or new?", shop.at(0, 14));
        measured.noted(car, "Alignment", "camber −1.5° / −1.4°", hoursAgo(400), "wheel bearings and hubs renewed");
    }

    private String tarn() {
        String car = shop.build(
                "19", "Tarn formula", Body.SINGLE_SEATER, "Coldharbour Racing", "formula, nut-and-bolt week", 1);
        List<String> works = shop.work(car, "nut-and-bolt-week");
        done(works, 0, 2);
        shop.date(
                car,
                "Winter cup, round two",
                Kind.EVENT,
                DemoShop.at(shop.saturday(1).plusDays(1), 10),
                Gate.EVENT,
                1.5);
        record.forNow(car, "borrowed left mirror", "the right one is on order", Gate.EVENT);
        rollOuts.tarn(car);
        return car;
    }

    private void hask() {
        String car = shop.build("34", "Hask touring car", Body.SALOON, "B. Tollander", "historic touring", 1);
        List<String> works = shop.work(car, "cage-and-shell", "rewire", "annual-refresh");
        done(works, 0, 6);
        String inspected =
                shop.date(car, "Cage inspected", Kind.PROMISE, DemoShop.at(shop.workday(14), 16), Gate.POWER_UP, 0.5);
        record.due(inspected, works.get(9));
        shop.date(car, "Spring meeting at Hollin", Kind.EVENT, DemoShop.at(shop.saturday(13), 9), Gate.EVENT, 1);
    }

    private void brenna() {
        String car = shop.build("71", "Brenna ice coupe", Body.COUPE, "Nordlys Ice Club", "ice racing", 1);
        List<String> works = shop.work(car, "engine-swap", "nut-and-bolt-week");
        done(works, 0, 3);
        record.started(works.get(4), "bo", "bay-2", hoursAgo(1));
        String run = record.runningIn(car, "Run the gearbox in", 600, 150, 120, Gate.EVENT);
        record.link(works.get(22), run);
        record.link(run, works.get(23));
        String studs = record.part(car, "studded tyres, 8", "WANTED", "Tarnside Tyres", "1120.00", null, 10);
        record.needs(studs, works.get(36));
        String shaft = record.part(
                car,
                "driveshaft, long travel",
                "WANTED",
                "Tide Driveline",
                "515.00",
                DemoShop.at(shop.workday(14), 12),
                20);
        record.needs(shaft, works.get(18));
        shop.date(car, "First ice at Lake Ansa", Kind.EVENT, DemoShop.at(shop.saturday(8), 9), Gate.EVENT, 1.5);
    }

    /** Just bought and not as described. */
    private void quill() {
        String car = shop.build("", "Quill hatch", Body.HATCH, "E. Sandoval-Wray", "bought in, not as described", 0.8);
        List<String> works = shop.work(car, "strip-and-rebuild");
        record.done(works.get(0), hoursAgo(26));
        record.finding(car, "Open connector behind the battery tray", "ENGINE_BAY", "wire", 60, Gate.POWER_UP);
        record.finding(car, "Inlet valve stuck in cylinder 3", "ENGINE_BAY", "engines", 300, Gate.POWER_UP);
        record.finding(car, "Filler over rust at the left sill", "UNDERSIDE", "weld", 480, Gate.POWER_UP);
        record.asksCustomer(
                record.finding(car, "Seam of the boot floor open, 300 mm", "REAR", "weld", 300, Gate.EVENT),
                "Rust repair: boot floor");
        String agreed =
                shop.date(car, "Estimate agreed", Kind.PROMISE, DemoShop.at(shop.workday(8), 16), Gate.POWER_UP, 0.2);
        record.due(agreed, works.get(1));
        record.due(agreed, works.get(16));
        shop.date(car, "Ready for its first season", Kind.PROMISE, DemoShop.at(shop.saturday(16), 9), Gate.EVENT, 0.5);
    }
}
