package galecrest.core.device;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import galecrest.core.device.standin.LoggerModel;
import galecrest.core.device.standin.PadsModel;
import galecrest.core.device.standin.StandIn;
import galecrest.core.device.standin.WeatherModel;
import galecrest.core.gauge.chassis.CornerWeights;
import galecrest.core.gauge.chassis.PerchSolver;
import galecrest.core.gauge.chassis.SpringPlatform;
import galecrest.core.gauge.check.SwapCheck;
import galecrest.core.units.QuantityKind;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What devices say, when a reading has settled, and which pad is off; against models that know the truth. */
class DeviceTest {
    private static final List<String> ABCD = List.of("A", "B", "C", "D");

    @Test
    void linesAreReadWithTheirUnits() {
        assertThat(DeviceLine.read("galecrest-device 1 pads stand-in")).contains(new DeviceLine.Hello("pads", true));
        assertThat(DeviceLine.read("reading A 291.5 kg"))
                .contains(new DeviceLine.Reading("A", QuantityKind.MASS, 291.5, "291.5 kg"));
        assertThat(DeviceLine.read("reading oil-pressure 3.2 bar"))
                .contains(new DeviceLine.Reading("oil-pressure", QuantityKind.PRESSURE, 3.2e5, "3.2 bar"));
        assertThat(DeviceLine.read("reading lambda-left 0.98"))
                .contains(new DeviceLine.Reading("lambda-left", QuantityKind.NUMBER, 0.98, "0.98"));
        assertThat(DeviceLine.read("fault pad C does not answer"))
                .contains(new DeviceLine.Fault("pad C does not answer"));
        assertThat(List.of("reading A", "reading A x kg", "reading A 3 furlongs", "", "welcome"))
                .allMatch(line -> DeviceLine.read(line).isEmpty());
        assertThatThrownBy(() -> DeviceLine.read("galecrest-device 7 pads")).hasMessageContaining("version 1");
    }

    /** A swing with noise comes to rest at what it swings about; nothing is said to rest while it swings. */
    @Test
    void aReadingSettlesAtTheTruth() {
        Random random = new Random(3);
        Settling settling = new Settling(10, 0.5);
        int settledAt = -1;
        for (int i = 0; i < 100; i++) {
            double t = i * 0.2;
            settling.add(250 + 4 * Math.exp(-t / 0.8) * Math.cos(7.5 * t) + 0.07 * random.nextGaussian());
            if (settling.steady().isPresent() && settledAt < 0) {
                settledAt = i;
                assertThat(settling.steady().getAsDouble()).isCloseTo(250, within(0.2));
            }
        }
        // Twice the time in which a swing of 4 falls to the band, by its exponential: 0.8 s × ln(16).
        assertThat(settledAt * 0.2).isBetween(0.8 * Math.log(16), 2 * 0.8 * Math.log(16) + 2);
        settling.begin();
        assertThat(settling.steady()).isEmpty();
    }

    /** Random cars on random pads changed round at random: errors come back, but for what a ring of pads has in common. */
    @Test
    void errorsOfPadsAreFoundByChangingThemRound() {
        Random random = new Random(11);
        for (int round = 0; round < 1_000; round++) {
            double[] loads = random.doubles(4, 50, 500).toArray();
            double[] errors = random.doubles(4, -5, 5).toArray();
            List<String> then = new ArrayList<>(ABCD);
            Collections.shuffle(then, random);
            double[] first = new double[4];
            double[] second = new double[4];
            for (int corner = 0; corner < 4; corner++) {
                first[corner] = loads[corner] + errors[corner];
                second[corner] = loads[corner] + errors[ABCD.indexOf(then.get(corner))];
            }
            SwapCheck found = SwapCheck.of(ABCD, first, then, second);
            for (int a = 0; a < 4; a++) {
                for (int b = 0; b < 4; b++) {
                    if (found.group()[a] == found.group()[b]) {
                        assertThat(found.error()[a] - found.error()[b]).isCloseTo(errors[a] - errors[b], within(1e-9));
                    }
                }
                if (found.compared(a) == 1) {
                    assertThat(found.error()[a]).isZero();
                }
            }
        }
    }

    @Test
    void inPairsNobodyCanSayWhichPadIsOff() {
        List<String> pairs = List.of("B", "A", "D", "C");
        double[] first = {100, 100, 102.4, 100};
        double[] second = {100, 100, 100, 102.4};
        assertThat(SwapCheck.of(ABCD, first, pairs, second).culprit(0.5)).isEmpty();
        assertThatThrownBy(() -> SwapCheck.of(ABCD, first, List.of("A", "A", "B", "C"), second))
                .hasMessageContaining("same pads");
    }

    private static double[] settled(StandIn pads, List<String> standing, double[] clock) {
        List<Settling> four = ABCD.stream().map(p -> new Settling(10, 0.5)).toList();
        for (int i = 0; i < 100; i++) {
            clock[0] += 0.2;
            for (String line : pads.lines(clock[0])) {
                DeviceLine.Reading reading =
                        (DeviceLine.Reading) DeviceLine.read(line).orElseThrow();
                four.get(standing.indexOf(reading.name())).add(reading.value());
            }
            if (four.stream().allMatch(s -> s.steady().isPresent())) {
                break;
            }
        }
        return four.stream().mapToDouble(s -> s.steady().orElseThrow()).toArray();
    }

    /** The errand at the pads: the one that is off is found, and the turns bring the cross where the solver said. */
    @Test
    void theErrandAtThePads() {
        PadsModel pads = new PadsModel(new double[] {121.5, 114, 168.5, 173}, 5);
        double[] clock = {0};
        double[] first = settled(pads, ABCD, clock);
        List<String> round = List.of("D", "A", "B", "C");
        assertThat(pads.simulate("stand D A B C", clock[0])).isEmpty();
        double[] second = settled(pads, round, clock);
        SwapCheck check = SwapCheck.of(ABCD, first, round, second);
        assertThat(check.culprit(0.5)).contains(2);
        assertThat(check.error()[2]).isCloseTo(2.4, within(0.3));

        pads.simulate("stand A B C D", clock[0]);
        double[] before = settled(pads, ABCD, clock);
        SpringPlatform car =
                SpringPlatform.of(2.35, 1.42, 1.40, new double[] {32e3, 32e3, 36e3, 36e3}, infinite(), 0, 0);
        PerchSolver solver =
                new PerchSolver(CornerWeights.of(before), car, new double[] {0.9, 0.9, 0.95, 0.95}, new double[] {
                    0.0015, 0.0015, 0.0015, 0.0015
                });
        double[] turns = solver.quarters(0.5, 0.003).orElseThrow().turns();
        double[] ratio = {0.9, 0.9, 0.95, 0.95};
        StringBuilder raise = new StringBuilder("raise");
        for (int i = 0; i < 4; i++) {
            raise.append(' ').append(turns[i] * 1.5 / ratio[i]);
        }
        assertThat(pads.simulate(raise.toString(), clock[0])).isEmpty();
        double[] after = settled(pads, ABCD, clock);
        assertThat(CornerWeights.of(after).cross()).isCloseTo(0.5, within(0.003));
        double[] said = solver.quarters(0.5, 0.003).orElseThrow().then().pads();
        for (int i = 0; i < 4; i++) {
            assertThat(after[i])
                    .isCloseTo(said[i], within(0.003 * CornerWeights.of(after).total()));
        }
    }

    private static double[] infinite() {
        double inf = Double.POSITIVE_INFINITY;
        return new double[] {inf, inf, inf, inf};
    }

    @Test
    void aPadFallsSilentAndComesBack() {
        PadsModel pads = new PadsModel(new double[] {100, 100, 100, 100}, 1);
        pads.simulate("silent C", 1);
        assertThat(pads.lines(2)).hasSize(3).noneMatch(l -> l.contains(" C "));
        pads.simulate("well", 3);
        assertThat(pads.lines(4)).hasSize(4);
        assertThat(List.of("raise 1 2 x 4", "silent Q", "stand A A B C", "load 1 2 3", "load 1 2 3 9e9", "dance"))
                .allMatch(w -> pads.simulate(w, 5).isPresent());
    }

    /** A car idles, warms up, drives, and loses its oil: what a logger of it says. */
    @Test
    void aLoggedCarWarmsDrivesAndFails() {
        LoggerModel car = new LoggerModel(2);
        assertThat(channel(car, "engine-speed", 1)).isZero();
        car.simulate("idle", 1);
        assertThat(channel(car, "engine-speed", 10)).isBetween(900.0 / 60, 1000.0 / 60);
        double cold = channel(car, "oil-pressure", 11);
        double warm = channel(car, "oil-pressure", 1200);
        assertThat(warm).isLessThan(cold);
        assertThat(channel(car, "water", 1201)).isBetween(273.15 + 84, 273.15 + 88);
        car.simulate("drive", 1202);
        assertThat(channel(car, "speed", 1300)).isGreaterThan(25);
        double before = channel(car, "oil-pressure", 1301);
        car.simulate("fail oil", 1301);
        assertThat(channel(car, "oil-pressure", 1320)).isLessThan(0.2 * before);
        assertThat(car.simulate("fly", 1321)).isPresent();
        assertThat(new WeatherModel(1).lines(0))
                .allMatch(l -> DeviceLine.read(l).orElseThrow() instanceof DeviceLine.Reading);
    }

    private static double channel(StandIn car, String name, double at) {
        return car.lines(at).stream()
                .map(l -> (DeviceLine.Reading) DeviceLine.read(l).orElseThrow())
                .filter(r -> r.name().equals(name))
                .findFirst()
                .orElseThrow()
                .value();
    }
}
