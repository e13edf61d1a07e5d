package galecrest.core.dyno;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import galecrest.core.device.standin.RollingRoadModel;
import galecrest.core.device.standin.RollingRoadModel.Columns;
import galecrest.core.device.standin.RollingRoadModel.Sweep;
import galecrest.core.shop.Problem;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RunReaderTest {
    private static Sweep sweep(Columns columns, boolean soft) {
        return new Sweep(0, 100, 9, soft, columns);
    }

    private static RollingRoadModel road() {
        return RunFiles.road(0.004, 0, 1);
    }

    @ParameterizedTest
    @CsvSource({
        "Engine speed (rpm), engine speed, rpm",
        "RPM, engine speed, rpm",
        "Power [hp], power, hp",
        "wheel power / kW, power, kW",
        "bhp, power, bhp",
        "Torque (lb·ft), torque, lb·ft",
        "Oil_pressure (psi), oil pressure, psi",
        "Boost target (bar), boost target, bar",
        "Lambda bank 2, lambda right, ''",
        "Intake air (°F), intake temperature, °F",
        "Injector duty, injector duty, %"
    })
    void guessesWhatAColumnHolds(String header, String channel, String unit) {
        ColumnMap guess = ColumnMap.guess(new RunTable(List.of(header), List.of(), 2, false, List.of()));
        assertThat(guess.columns())
                .isEqualTo(Map.of(Channel.named(channel).orElseThrow(), new ColumnMap.Column(header, unit)));
    }

    @Test
    void readsAFileWithCommasInItsNumbersAsOneWithPoints() {
        PowerRun point = RunFiles.run(road().file(sweep(Columns.RIGHT, false)));
        PowerRun comma = RunFiles.run(road().file(sweep(Columns.DECIMAL_COMMA, false)));
        assertThat(comma.of(Channel.POWER)).isEqualTo(point.of(Channel.POWER));
        assertThat(point.size()).isEqualTo(901);
        // 205 kW and a scatter of 0.4 %, and nine seconds of samples that scatter as much: the peak is above the truth.
        assertThat(point.peak().power()).isCloseTo(205_000, within(5_000.0));
    }

    /** A cell that brings its unit is read by it: 1 hp (550 ft·lbf/s) is 745.6999 W, NIST SP 811. */
    @Test
    void readsMixedUnits() {
        String rows = IntStream.range(0, 40)
                .mapToObj(i -> (2_000 + 100 * i) + "," + (i % 2 == 0 ? "100 kW" : "134.1022 hp"))
                .collect(Collectors.joining("\n"));
        PowerRun run = RunFiles.run("rpm,power\n" + rows);
        assertThat(run.of(Channel.POWER))
                .hasSize(40)
                .usingComparatorWithPrecision(0.1)
                .containsOnly(100_000);
    }

    @Test
    void reckonsPowerFromTorque() {
        String rows =
                IntStream.range(0, 40).mapToObj(i -> (2_000 + 100 * i) + ",300").collect(Collectors.joining("\n"));
        PowerRun run = RunFiles.run("rpm,torque (Nm)\n" + rows);
        // 300 Nm at 5900 rpm: 2π · 5900/60 · 300.
        assertThat(run.peak().power()).isCloseTo(185_353.97, within(0.1));
    }

    private static List<Problem> problems(String file) {
        RunTable table = RunFiles.table(file);
        return RunReader.read(table, ColumnMap.guess(table)).problems();
    }

    @Test
    void refusesWhatIsNoRun() {
        assertThat(problems("rpm,power\n3000,100")).singleElement().satisfies(p -> assertThat(p.message())
                .isEqualTo("1 sample is no run; it takes 20."));
        assertThat(problems("rpm,power\nNaN,NaN")).singleElement().satisfies(p -> assertThat(p.message())
                .isEqualTo("There is no sample in it that can be read."));
        assertThat(problems("rpm,weight\n3000,100")).extracting(Problem::field).contains("columns.power");
        List<String> back = new ArrayList<>(List.of("time (s),rpm,power"));
        IntStream.range(0, 40).forEach(i -> back.add((i == 30 ? 1 : i * 0.1) + "," + (2_000 + 50 * i) + ",90"));
        assertThat(problems(String.join("\n", back))).singleElement().satisfies(p -> {
            assertThat(p.field()).isEqualTo("line 32");
            assertThat(p.message()).startsWith("Time runs backwards: 1.00 s comes after 2.90 s.");
        });
    }

    @Test
    void passesOverAFewLinesAndSaysSo() {
        List<String> file = new ArrayList<>(List.of("rpm,power"));
        IntStream.range(0, 100).forEach(i -> file.add((2_000 + 50 * i) + "," + (i == 41 ? "NaN" : 90 + i)));
        RunTable table = RunFiles.table(String.join("\n", file));
        RunReader.Read read = RunReader.read(table, ColumnMap.guess(table));
        assertThat(read.problems()).isEmpty();
        assertThat(read.run().size()).isEqualTo(99);
        assertThat(read.notices()).containsExactly("1 line without a number passed over, the first of them line 43.");
        IntStream.range(0, 10).forEach(i -> file.add("x,y"));
        assertThat(problems(String.join("\n", file))).hasSize(1);
    }

    @Test
    void findsWhatIsMistakenInTheColumns() {
        RunCheck right = RunCheck.of(RunFiles.run(road().file(sweep(Columns.RIGHT, false))));
        assertThat(right.agrees().orElseThrow()).isLessThan(RunCheck.AGREE);
        assertThat(right.mistaken()).isEmpty();
        assertThat(right.slips()).isEmpty();
        assertThat(right.slip().orElseThrow()).isCloseTo(0.0006, within(0.0002));
        assertThat(RunCheck.of(RunFiles.run(road().file(sweep(Columns.EXCHANGED, false))))
                        .mistaken())
                .contains("power and torque look exchanged");
        assertThat(RunCheck.of(RunFiles.run(road().file(sweep(Columns.HORSEPOWER_CALLED_KW, false))))
                        .mistaken())
                .contains("75 %")
                .contains("looks like hp, not kW");
    }

    /** The stand-in's soft tyres fall behind by 3.5 % for each 1000 rpm above 5200: 2 % is passed at 5771. */
    @Test
    void saysFromWhereTheTyresSlip() {
        String slips = RunCheck.of(RunFiles.run(road().file(sweep(Columns.RIGHT, true))))
                .slips();
        assertThat(slips).startsWith("The tyres slip from 57").contains(", by 7.");
    }
}
