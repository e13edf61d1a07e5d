package galecrest.server.dyno;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.core.device.standin.RollingRoadModel;
import galecrest.core.device.standin.RollingRoadModel.Columns;
import galecrest.core.device.standin.RollingRoadModel.Sweep;
import galecrest.server.ServerTest;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Runs brought from a rolling road, compared, reviewed and filed over HTTP, with a car of their own. */
class DynoTest extends ServerTest {
    private final RollingRoadModel road =
            new RollingRoadModel(new RollingRoadModel.Engine(205, 0.002, 0.004, 0, 0.91), 77);
    private String car;

    @BeforeEach
    void newCar() throws Exception {
        car = newBuild("D1", "Dyno car");
    }

    @AfterEach
    void removeCar() throws Exception {
        call(MARA, "DELETE", "/api/builds/" + car, null);
    }

    private JsonNode read(String file) throws Exception {
        Answer answer = upload(BO, "/api/run-files", file.getBytes(StandardCharsets.UTF_8));
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        return answer.body();
    }

    private Map<String, Object> conditions(String state, String pressure) {
        Map<String, Object> said = new HashMap<>();
        said.put("state", state);
        said.put("gear", "4th");
        said.put("pressure", pressure);
        said.put("airPressure", "992 hPa");
        said.put("airTemperature", "21.4 °C");
        said.put("humidity", "45 %");
        return said;
    }

    private List<String> take(String state, String pressure, Sweep... sweeps) throws Exception {
        List<String> files = new ArrayList<>();
        JsonNode columns = null;
        for (Sweep sweep : sweeps) {
            JsonNode read = read(road.file(sweep));
            columns = read.path("columns");
            files.add(read.path("id").asText());
        }
        Answer answer = call(
                BO,
                "POST",
                "/api/builds/" + car + "/runs",
                Map.of(
                        "files",
                        files,
                        "dyno",
                        "Test road",
                        "columns",
                        columns,
                        "conditions",
                        conditions(state, pressure)));
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        List<String> ids = new ArrayList<>();
        answer.body().path("ids").forEach(id -> ids.add(id.asText()));
        return ids;
    }

    private Map<String, Object> compare(List<String> before, List<String> after) {
        Map<String, Object> form = new HashMap<>();
        form.put("before", before);
        form.put("after", after);
        form.put("from", 3000);
        form.put("to", 7000);
        form.put("standard", "sae j1349");
        return form;
    }

    private Answer compared(Map<String, Object> form) throws Exception {
        return call(BO, "POST", "/api/builds/" + car + "/runs/compare", form);
    }

    private JsonNode runs() throws Exception {
        return call(BO, "GET", "/api/builds/" + car + "/runs", null).body().path("runs");
    }

    private static Sweep with(double gain) {
        return Sweep.with(gain);
    }

    @Test
    void runsAreTakenComparedAndFiled() throws Exception {
        List<String> before = take("", "2.6 bar", with(0), with(0), with(0), with(0));
        List<String> after = new ArrayList<>(take("smaller pulley", "2.6 bar", with(5), with(5), with(5), with(5)));
        after.addAll(take("smaller pulley", "3.4 bar", with(5)));
        after.addAll(take("smaller pulley", "2.6 bar", new Sweep(5, 100, 9, false, Columns.EXCHANGED)));
        JsonNode runs = runs();
        assertThat(runs).hasSize(10);
        assertThat(runs.get(0).path("agrees").path("value").asDouble()).isLessThan(1);
        assertThat(runs.get(0).path("crossed").asInt()).as("the injectors").isEqualTo(1);
        assertThat(runs.get(9).path("mistaken").asText()).contains("power and torque look exchanged");

        JsonNode verdict = compared(compare(before, after)).body();
        assertThat(verdict.path("verdict").asText()).isEqualTo("REAL");
        assertThat(verdict.path("leftOut"))
                .extracting(n -> n.path("why").asText())
                .containsExactly("3.4 bar, not 2.6", "its columns are mistaken");
        assertThat(verdict.path("bins")).hasSize(40);
        assertThat(verdict.path("lines").toString()).contains("One thing changed: smaller pulley.");
        double difference = 0;
        for (JsonNode run : verdict.path("runs")) {
            difference += (after.contains(run.path("run").asText()) ? 1 : -1)
                    * run.path("corrected").asDouble()
                    / 4;
            // 992 hPa, 21.4 °C, 45 % by SAE J1349: vapour 25.5 hPa (Magnus, WMO) leaves 980.5 dry: 1.0045 by hand.
            assertThat(run.path("corrected").asDouble() / run.path("raw").asDouble())
                    .isBetween(1.0040, 1.0050);
        }
        // The truth is 5 kW, corrected 5.02; the runs scatter by 0.4 kW.
        assertThat(difference).isBetween(3.9, 6.1);

        Answer filed = call(
                BO,
                "POST",
                "/api/builds/" + car + "/measurements",
                Map.of("gauge", "power-compare", "asked", verdict.path("asked")));
        assertThat(filed.status()).as(filed.body().toString()).isEqualTo(200);
        JsonNode sheet = call(BO, "GET", "/api/builds/" + car + "/measurements", null)
                .body()
                .get(0);
        assertThat(sheet.path("value").asText()).startsWith("real: ");
        assertThat(sheet.path("answered").path("difference").path("value").asDouble())
                .isCloseTo(difference, org.assertj.core.api.Assertions.within(0.001));
    }

    @Test
    void twoChangesAtOnceAreMarkedAndTooFewRunsToldSo() throws Exception {
        List<String> before = take("", "2.6 bar", with(0), with(0));
        JsonNode alone = compared(compare(before, List.of())).body();
        assertThat(alone.path("headline").asText()).isEqualTo("Nothing to compare with yet");
        assertThat(alone.path("lines").toString())
                .containsPattern("A run scatters by [0-9.]+ kW. A change of [0-9.]+ kW .* takes (\\d+|more) runs");
        List<String> after = take("pulley; map", "2.6 bar", with(9), with(9));
        assertThat(compared(compare(before, after)).body().path("lines").toString())
                .contains("2 things were changed at once (pulley, map)");
        List<String> other = take("cams", "2.6 bar", with(9), with(9));
        assertThat(compared(compare(after, other)).body().path("lines").toString())
                .contains("3 things were changed at once (cams, without pulley, without map)");
        JsonNode one = compared(compare(before, after.subList(0, 1))).body();
        assertThat(one.path("verdict").asText()).isEqualTo("NOT_ENOUGH_RUNS");
        assertThat(one.path("lines").toString()).contains("before 2, after 1");
        Map<String, Object> wide = compare(before, after);
        wide.put("to", 9000);
        JsonNode none = compared(wide).body();
        assertThat(none.path("leftOut")).hasSize(4);
        assertThat(none.path("verdict").asText()).isEqualTo("NOT_ENOUGH_RUNS");
        wide.put("to", 3050);
        assertThat(compared(wide).at("to")).contains("100 rpm");
        wide.put("to", 7000);
        wide.put("standard", "house");
        assertThat(compared(wide).at("standard")).contains("no standard");
    }

    /** The columns are said once for each road, under whatever names its files have. */
    @Test
    void aRoadIsKnownByItsColumns() throws Exception {
        String odd = "n,P,M\n"
                + IntStream.range(0, 60)
                        .mapToObj(i -> (2_000 + 100 * i) + "," + (20 + i) + ","
                                + (20 + i) * 1000 / (2 * Math.PI * (2_000 + 100 * i) / 60))
                        .collect(Collectors.joining("\n"));
        JsonNode read = read(odd);
        assertThat(read.path("dyno").isMissingNode()).isTrue();
        List<Map<String, String>> columns = List.of(
                Map.of("channel", "engine speed", "column", "n", "unit", "rpm"),
                Map.of("channel", "power", "column", "P", "unit", "kW"),
                Map.of("channel", "torque", "column", "M", "unit", "Nm"));
        String look = "/api/run-files/" + read.path("id").asText() + "/look";
        JsonNode asKilowatts =
                call(BO, "POST", look, Map.of("columns", columns)).body();
        assertThat(asKilowatts.path("mistaken").asText()).isEmpty();
        assertThat(asKilowatts.path("samples").asInt()).isEqualTo(60);
        List<Map<String, String>> wrong = new ArrayList<>(columns);
        wrong.set(1, Map.of("channel", "power", "column", "P", "unit", "hp"));
        assertThat(call(BO, "POST", look, Map.of("columns", wrong))
                        .body()
                        .path("mistaken")
                        .asText())
                .contains("looks like kW, not hp");
        wrong.set(1, Map.of("channel", "power", "column", "P", "unit", "bar"));
        assertThat(call(BO, "POST", look, Map.of("columns", wrong))
                        .body()
                        .path("problems")
                        .toString())
                .contains("is no unit of power");
        assertThat(call(
                                BO,
                                "POST",
                                "/api/builds/" + car + "/runs",
                                Map.of(
                                        "files",
                                        List.of(read.path("id").asText()),
                                        "dyno",
                                        "Odd road",
                                        "columns",
                                        columns,
                                        "conditions",
                                        conditions("", "")))
                        .status())
                .isEqualTo(200);
        JsonNode again = read(odd);
        assertThat(again.path("dyno").asText()).isEqualTo("Odd road");
        assertThat(again.path("columns").toString()).contains("\"P\"");
    }

    @Test
    void hostileFilesAreRefusedOrReadWithAWord() throws Exception {
        Map<String, String> refused = new HashMap<>();
        refused.put("", "The file is empty.");
        refused.put("PK\u0003\u0004\u0000\u0000", "This is no text file");
        refused.put("about the shop\nnothing else", "There are no numbers in columns");
        refused.put("a,\"b\n1,2", "cannot be read");
        for (Map.Entry<String, String> file : refused.entrySet()) {
            assertThat(upload(BO, "/api/run-files", file.getKey().getBytes(StandardCharsets.UTF_8))
                            .at("file"))
                    .as(file.getKey())
                    .contains(file.getValue());
        }
        assertThat(upload(BO, "/api/run-files", new byte[60 * 1024 * 1024]).at("file"))
                .contains("60 MB");
        JsonNode bare = read(IntStream.range(0, 30)
                .mapToObj(i -> (2_000 + 100 * i) + "," + (50 + i))
                .collect(Collectors.joining("\n")));
        assertThat(bare.path("header").toString()).isEqualTo("[\"column 1\",\"column 2\"]");
        assertThat(bare.path("notices").toString()).contains("have no names");

        String old = "Program 3\r\nDate;2026-11-25\r\n\r\nDrehzahl;Power;Öl temperature\r\nrpm;kW;°C\r\n"
                + IntStream.range(0, 30)
                        .mapToObj(i -> (2_000 + 100 * i) + ";" + (50 + i) + ",5;80,1")
                        .collect(Collectors.joining("\r\n"));
        JsonNode latin = upload(BO, "/api/run-files", old.getBytes(Charset.forName("windows-1252")))
                .body();
        assertThat(latin.path("header").toString())
                .isEqualTo("[\"Drehzahl (rpm)\",\"Power (kW)\",\"Öl temperature (°C)\"]");
        assertThat(latin.path("notices").toString()).contains("a comma where others have a point");
        assertThat(latin.path("samples").asInt()).isEqualTo(30);
        JsonNode one = read("rpm,power\n3000,100\n");
        assertThat(call(
                                BO,
                                "POST",
                                "/api/run-files/" + one.path("id").asText() + "/look",
                                Map.of("columns", one.path("columns")))
                        .body()
                        .path("problems")
                        .toString())
                .contains("1 sample is no run");
        assertThat(runs()).isEmpty();
    }

    @Test
    void aRunIsReviewedAndItsLimitBecomesARestrictionWithItsJob() throws Exception {
        String run = take("", "2.6 bar", new Sweep(0, 20_000, 10, false, Columns.RIGHT))
                .get(0);
        JsonNode trace =
                call(BO, "GET", "/api/runs/" + run + "/trace?columns=600", null).body();
        JsonNode duty = null;
        for (JsonNode series : trace.path("series")) {
            assertThat(series.path("points").asInt()).isEqualTo(200_001);
            assertThat(series.path("x").size()).isBetween(600, 2_400);
            duty = series.path("channel").asText().equals("injector duty") ? series : duty;
        }
        double most = 0;
        for (JsonNode y : duty.path("y")) {
            most = Math.max(most, y.asDouble());
        }
        JsonNode line = null;
        for (JsonNode each : trace.path("review")) {
            line = each.path("channel").asText().equals("injector duty") ? each : line;
        }
        assertThat(line.path("worst").path("value").asDouble())
                .as("the extreme is drawn")
                .isCloseTo(most, org.assertj.core.api.Assertions.within(0.01));
        assertThat(line.path("from").path("value").asDouble()).isBetween(4_900.0, 5_300.0);
        assertThat(line.path("seconds").asDouble()).isBetween(3.5, 5.0);

        String limits = "/api/builds/" + car + "/review-limits";
        assertThat(call(BO, "PUT", limits, List.of()).status()).isEqualTo(403);
        assertThat(call(SEF, "PUT", limits, List.of(Map.of("channel", "injector duty", "floor", false, "watch", "95")))
                        .status())
                .isEqualTo(204);
        assertThat(runs().get(0).path("crossed").asInt()).isZero();
        assertThat(call(SEF, "PUT", limits, List.of(Map.of("channel", "warp", "floor", false, "watch", "95")))
                        .at("limits.0.channel"))
                .contains("no channel");

        assertThat(call(
                                BO,
                                "POST",
                                "/api/builds/" + car + "/restrictions",
                                Map.of(
                                        "text",
                                        "not above 6300 rpm",
                                        "because",
                                        "injector duty 91 %",
                                        "job",
                                        "Larger injectors",
                                        "minutes",
                                        90))
                        .status())
                .isEqualTo(204);
        JsonNode restriction = find("cars", "id", car).path("restrictions").get(0);
        assertThat(restriction.path("text").asText()).isEqualTo("not above 6300 rpm");
        assertThat(find("works", "id", restriction.path("workId").asText())
                        .path("name")
                        .asText())
                .isEqualTo("Larger injectors");
        String lift = "/api/restrictions/" + restriction.path("id").asText();
        assertThat(call(BO, "DELETE", lift, null).status()).isEqualTo(403);
        assertThat(call(SEF, "DELETE", lift, null).status()).isEqualTo(204);
        assertThat(call(SEF, "DELETE", lift, null).status()).isEqualTo(404);
        assertThat(find("cars", "id", car).path("restrictions")).isEmpty();
        undo(SEF, 1);
        assertThat(find("cars", "id", car).path("restrictions")).hasSize(1);
    }

    /** A logged trace of an hour: the means of neighbours go into the gauge, and it finds what the trace was made with. */
    @Test
    void aTraceIsReadForTheHeatSoak() throws Exception {
        String log = "Time (min);Oil temp [°F]\n"
                + IntStream.rangeClosed(0, 3_600)
                        .mapToObj(i -> String.format(
                                java.util.Locale.ROOT,
                                "%.4f;%.4f",
                                i / 60.0,
                                32 + 1.8 * (130 - 90 * Math.exp(-i / 400.0))))
                        .collect(Collectors.joining("\n"));
        JsonNode trace = upload(BO, "/api/traces/read", log.getBytes(StandardCharsets.UTF_8))
                .body();
        assertThat(trace.path("samples").asInt()).isEqualTo(3_601);
        assertThat(trace.path("times").size()).isBetween(200, 300);
        JsonNode soak = call(
                        BO,
                        "POST",
                        "/api/gauges/heat-soak",
                        Map.of(
                                "times",
                                trace.path("times"),
                                "temperatures",
                                trace.path("temperatures"),
                                "air",
                                "20 °C"))
                .body();
        assertThat(soak.path("steady").path("value").asDouble())
                .isCloseTo(130, org.assertj.core.api.Assertions.within(0.01));
        assertThat(soak.path("time constant").path("value").asDouble() * 60)
                .isCloseTo(400, org.assertj.core.api.Assertions.within(0.5));
        assertThat(upload(BO, "/api/traces/read", "a,b\nx,y".getBytes(StandardCharsets.UTF_8))
                        .at("file"))
                .isNotEmpty();
    }

    @Test
    void twoBrowsersTakeRunsAtOnceAndUndoingBringsThemBack() throws Exception {
        List<Callable<List<String>>> two =
                List.of(() -> take("", "2.6 bar", with(0)), () -> take("", "2.6 bar", with(0)));
        ExecutorService browsers = Executors.newFixedThreadPool(2);
        try {
            for (var done : browsers.invokeAll(two)) {
                assertThat(done.get()).hasSize(1);
            }
        } finally {
            browsers.shutdown();
        }
        List<String> names = new ArrayList<>();
        runs().forEach(r -> names.add(r.path("name").asText()));
        Collections.sort(names);
        assertThat(names).containsExactly("run 1", "run 2");
        String first = runs().get(0).path("id").asText();
        assertThat(call(BO, "DELETE", "/api/runs/" + first, null).status()).isEqualTo(204);
        assertThat(runs()).hasSize(1);
        undo(BO, 1);
        assertThat(runs()).hasSize(2);
        assertThat(runs().get(0).path("id").asText()).as("its place").isEqualTo(first);
        assertThat(call(BO, "PUT", "/api/runs/" + first, conditions("cold", "much"))
                        .at("pressure"))
                .isNotEmpty();
        assertThat(call(BO, "PUT", "/api/runs/" + first, conditions("cold", "2.6 bar"))
                        .status())
                .isEqualTo(204);
        assertThat(runs().get(0).path("state").asText()).isEqualTo("cold");
    }
}
