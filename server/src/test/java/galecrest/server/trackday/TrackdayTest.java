package galecrest.server.trackday;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.lowagie.text.pdf.PdfReader;
import com.lowagie.text.pdf.parser.PdfTextExtractor;
import galecrest.server.ServerTest;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/** A test day, an inspection and an impact over HTTP, with a car of their own. */
class TrackdayTest extends ServerTest {
    private String car;
    private String event;

    @BeforeEach
    void newCar() throws Exception {
        car = newBuild("T1", "Test car");
        Map<String, Object> form = new HashMap<>();
        form.put("name", "Trackday at Hollin");
        form.put("place", "Hollin");
        form.put("loadsAt", at(40, "16:00"));
        form.put("mostSets", 4);
        form.put("mostNew", 1);
        form.put("uses", 2);
        form.put("cars", List.of(Map.of("buildId", car, "spare", false)));
        form.put("version", 0);
        event = call(SEF, "POST", "/api/events", form).body().path("id").asText();
    }

    @AfterEach
    void removeAll() throws Exception {
        call(SEF, "DELETE", "/api/events/" + event, null);
        call(MARA, "DELETE", "/api/builds/" + car, null);
    }

    private Map<String, Object> run(int value, boolean dry, String... changes) {
        Map<String, Object> run = new HashMap<>();
        run.put("buildId", car);
        run.put("changes", List.of(changes));
        run.put("value", value);
        run.put("dry", dry);
        run.put("ran", false);
        run.put("version", 0);
        return run;
    }

    private JsonNode day() throws Exception {
        return call(BO, "GET", "/api/events/" + event + "/test-days", null)
                .body()
                .get(0);
    }

    private String add(Map<String, Object> run) throws Exception {
        Answer answer = call(SEF, "POST", "/api/events/" + event + "/test-runs", run);
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        return answer.body().path("id").asText();
    }

    private List<String> changes() throws Exception {
        List<String> changes = new ArrayList<>();
        day().path("runs").forEach(r -> changes.add(r.path("changes").path(0).asText("baseline")));
        return changes;
    }

    private int works(String name) throws Exception {
        int count = 0;
        for (JsonNode work : board().path("works")) {
            count += work.path("buildId").asText().equals(car)
                            && work.path("name").asText().equals(name)
                    ? 1
                    : 0;
        }
        return count;
    }

    @Test
    void runsArePlannedOrderedAndDriven() throws Exception {
        String wing = add(run(1, false, "wing one hole"));
        add(run(3, false, "rear bar softer"));
        add(run(2, true, "pressures lower"));
        add(run(2, false));
        assertThat(day().path("remarks").toString()).contains("no baseline first");
        String order = "/api/events/" + event + "/test-order";
        assertThat(call(SEF, "PUT", order, Map.of("buildId", car, "rain", true)).status())
                .isEqualTo(204);
        assertThat(changes()).containsExactly("baseline", "pressures lower", "rear bar softer", "wing one hole");
        List<String> mine = new ArrayList<>();
        day().path("runs").forEach(r -> mine.add(r.path("id").asText()));
        Collections.swap(mine, 1, 2);
        assertThat(call(SEF, "PUT", order, Map.of("buildId", car, "order", mine, "rain", false))
                        .status())
                .isEqualTo(204);
        assertThat(changes()).containsExactly("baseline", "rear bar softer", "pressures lower", "wing one hole");
        assertThat(call(SEF, "PUT", order, Map.of("buildId", car, "order", mine.subList(1, 4), "rain", false))
                        .status())
                .isEqualTo(409);

        String base = mine.get(0);
        Map<String, Object> sheet = run(2, false);
        sheet.put("laps", "1:42.35 1:42.1 quick");
        sheet.put("version", day().path("runs").get(0).path("version").asInt());
        assertThat(call(BO, "PUT", "/api/test-runs/" + base, sheet).at("laps")).contains("quick");
        sheet.put("laps", "1:42.35 1:42.10");
        sheet.put("words", "pushes on into the long one");
        sheet.put("air", "12 °C");
        sheet.put("ran", true);
        assertThat(call(BO, "PUT", "/api/test-runs/" + base, sheet).status()).isEqualTo(204);
        assertThat(call(SEF, "PUT", "/api/test-runs/" + base, sheet).status())
                .as("an old sheet")
                .isEqualTo(409);
        assertThat(call(SEF, "DELETE", "/api/test-runs/" + base, null).at("ran"))
                .contains("its sheet stays");
        assertThat(call(SEF, "DELETE", "/api/test-runs/" + wing, null).status()).isEqualTo(204);
        sheet.put("setId", "none");
        assertThat(call(BO, "PUT", "/api/test-runs/" + base, sheet).at("setId")).contains("another car's");

        byte[] pdf = mvc.perform(MockMvcRequestBuilders.get("/api/events/" + event + "/run-sheets.pdf?build=" + car)
                        .cookie(session(BO)))
                .andReturn()
                .getResponse()
                .getContentAsByteArray();
        try (PdfReader reader = new PdfReader(pdf)) {
            String text = new PdfTextExtractor(reader).getTextFromPage(1);
            assertThat(text).contains("Run 1: baseline").contains("1:42.35").contains("Run 2: rear bar softer");
        }
    }

    @Test
    void lapsComeAsATable() throws Exception {
        add(run(3, false));
        add(run(3, false, "rear bar softer"));
        String table = "run,time,set,changed,conditions,track\r\n1,1:42.35,set 21,,dry,21 °C\r\n1,1:42.10,,,,\r\n"
                + "run 2,1:41.9,set 21,rear bar softer,damp,19 °C\r\n";
        JsonNode read = upload(BO, "/api/laps/read", table.getBytes(StandardCharsets.UTF_8))
                .body()
                .path("runs");
        assertThat(read).hasSize(2);
        assertThat(read.get(0).path("laps").asText()).isEqualTo("1:42.35 1:42.10");
        assertThat(read.get(0).path("set").asText()).isEqualTo("set 21");
        assertThat(call(BO, "POST", "/api/gauges/laps", Map.of("runs", List.of(read.get(0), read.get(1))))
                        .body()
                        .toString())
                .contains("not alike: damp against dry");
        String url = "/api/events/" + event + "/test-laps/import?build=" + car;
        assertThat(upload(BO, url, table.getBytes(StandardCharsets.UTF_8))
                        .body()
                        .path("runs")
                        .asInt())
                .isEqualTo(2);
        assertThat(day().path("runs").get(1).path("laps").asText()).isEqualTo("1:41.9");
        assertThat(day().path("runs").get(1).path("conditions").asText()).isEqualTo("DAMP");
        assertThat(day().path("runs").get(0).path("ranAt").isTextual()).isTrue();
        String wrong = "run,time\r\n1,1:42.35\r\n3,1:42.1\r\n";
        assertThat(upload(BO, url, wrong.getBytes(StandardCharsets.UTF_8)).at("run"))
                .contains("no run \"3\"");
        Answer hostile = upload(BO, url, "run,time\r\n1,quick\r\n,1:40\r\n".getBytes(StandardCharsets.UTF_8));
        assertThat(hostile.at("line 2, time")).contains("no lap time");
        assertThat(hostile.at("line 3, run")).contains("Which run");
    }

    @Test
    void aFindingBecomesAJobBeforeOrAfterOrNever() throws Exception {
        String url = "/api/events/" + event + "/test-findings";
        assertThat(call(BO, "POST", url, Map.of("buildId", car, "what", " ", "minutes", 0))
                        .at("what"))
                .contains("What was found");
        assertThat(call(BO, "POST", url, Map.of("buildId", car, "what", "fan sticks", "minutes", 0))
                        .status())
                .isEqualTo(204);
        String id = day().path("findings").get(0).path("id").asText();
        assertThat(works("fan sticks")).isZero();
        String decide = "/api/test-findings/" + id;
        assertThat(call(BO, "PUT", decide, Map.of("decision", "BEFORE", "minutes", 0))
                        .status())
                .isEqualTo(403);
        assertThat(call(SEF, "PUT", decide, Map.of("decision", "BEFORE", "minutes", 90))
                        .status())
                .isEqualTo(204);
        assertThat(works("fan sticks")).isEqualTo(1);
        assertThat(call(SEF, "PUT", decide, Map.of("decision", "AFTER", "minutes", 0))
                        .status())
                .isEqualTo(204);
        assertThat(works("fan sticks")).as("the same job, later").isEqualTo(1);
        assertThat(workOf("T1", "fan sticks").path("afterDates").asBoolean()).isTrue();
        assertThat(call(SEF, "PUT", decide, Map.of("decision", "NEVER", "minutes", 0))
                        .status())
                .isEqualTo(204);
        assertThat(works("fan sticks")).isZero();
        assertThat(day().path("findings").get(0).path("decision").asText()).isEqualTo("NEVER");
    }

    private JsonNode inspection() throws Exception {
        return call(BO, "GET", "/api/builds/" + car + "/inspections", null)
                .body()
                .get(0);
    }

    private Answer say(int line, String result, String note) throws Exception {
        String id = inspection().path("lines").get(line).path("id").asText();
        return call(BO, "PUT", "/api/inspection-lines/" + id, Map.of("result", result, "note", note));
    }

    @Test
    void anInspectionFailsIsLookedAtAgainAndEntered() throws Exception {
        String url = "/api/builds/" + car + "/inspections";
        String id = call(BO, "POST", url, Map.of()).body().path("id").asText();
        assertThat(call(SEF, "POST", url, Map.of()).status())
                .as("one at a time")
                .isEqualTo(409);
        assertThat(say(2, "FAIL", "").at("note")).contains("What is wrong");
        assertThat(say(2, "FAIL", "seat mount cracked").status()).isEqualTo(204);
        assertThat(works("Inspection: seat mount cracked")).isEqualTo(1);
        assertThat(say(2, "FAIL", "seat mount cracked left").status()).isEqualTo(204);
        assertThat(works("Inspection: seat mount cracked left")).as("one job").isZero();
        String sign = "/api/inspections/" + id + "/sign";
        assertThat(call(SEF, "POST", sign, null).at("inspector")).contains("Who");
        Map<String, Object> again = new HashMap<>();
        again.put("inspector", "O. Maar");
        again.put("againAt", at(-3, "09:00"));
        assertThat(call(BO, "PUT", "/api/inspections/" + id, again).at("againAt"))
                .contains("after the first time");
        again.put("againAt", at(3, "09:00"));
        assertThat(call(BO, "PUT", "/api/inspections/" + id, again).status()).isEqualTo(204);
        assertThat(call(BO, "POST", "/api/inspections/" + id + "/lines", Map.of("text", "Noise at 98 dB"))
                        .status())
                .isEqualTo(204);
        int lines = inspection().path("lines").size();
        for (int line = 0; line < lines; line++) {
            if (line != 2) {
                say(line, "PASS", "");
            }
        }
        assertThat(call(SEF, "POST", sign, null).at("lines"))
                .contains("Seat and its mounts")
                .doesNotContain("Log book");
        say(2, "PASS", "mount renewed");
        assertThat(call(SEF, "POST", sign, null).status()).isEqualTo(204);
        assertThat(inspection().path("entry").asText())
                .isEqualTo("Inspected by O. Maar, passed at the second look: Seat and its mounts; head restraint"
                        + " (mount renewed).");
        assertThat(say(2, "FAIL", "no").at("id")).contains("It is signed");
        assertThat(call(BO, "POST", url, Map.of()).status()).as("the next one").isEqualTo(200);
    }

    @Test
    void anImpactIsCountedOnceAndMakesWorkBeforeItDrives() throws Exception {
        Map<String, Object> frame = new HashMap<>();
        frame.put("name", "test frame");
        frame.put("identity", car);
        frame.put("safety", false);
        frame.put("version", 0);
        String component =
                call(SEF, "POST", "/api/components", frame).body().path("id").asText();
        call(SEF, "POST", "/api/components/" + component + "/fit", Map.of("buildId", car));
        String look = "";
        for (JsonNode each : call(BO, "GET", "/api/impact-looks", null).body()) {
            look = each.path("where").asText().equals("REAR")
                    ? each.path("looks").get(0).path("what").asText()
                    : look;
        }
        Map<String, Object> hit = new HashMap<>();
        hit.put("key", "k-" + car);
        hit.put("where", "FRONT");
        hit.put("what", "tyre wall");
        hit.put("looks", List.of(look));
        String url = "/api/builds/" + car + "/impacts";
        assertThat(call(BO, "POST", url, hit).at("looks")).contains("not on the list");
        hit.put("where", "REAR");
        assertThat(call(BO, "POST", url, hit).status()).isEqualTo(204);
        assertThat(call(SEF, "POST", url, hit).status()).as("sent twice").isEqualTo(204);
        assertThat(works(look)).isEqualTo(1);
        assertThat(workOf("T1", look).path("gate").asText()).isEqualTo("ROLL_OUT");
        for (JsonNode each : call(BO, "GET", "/api/components", null).body()) {
            if (each.path("id").asText().equals(component)) {
                assertThat(each.path("total").path("IMPACTS").asDouble()).isEqualTo(1);
                assertThat(each.path("history").toString()).contains("crash: rear: tyre wall");
            }
        }
        call(SEF, "DELETE", "/api/components/" + component, null);
    }
}
