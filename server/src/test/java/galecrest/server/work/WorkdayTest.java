package galecrest.server.work;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.ServerTest;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;

/** A hand's day and what the manager writes down on the walk. */
class WorkdayTest extends ServerTest {
    @Test
    void startPauseHoldAndFinish() throws Exception {
        JsonNode day = call(BO, "GET", "/api/my-day", null).body();
        String next = day.get("next").get(0).asText();
        String before = day.get("now").get(0).asText();
        Answer started = call(BO, "POST", "/api/works/" + next + "/start?anyway=true", null);
        assertThat(started.status()).as(started.body().toString()).isEqualTo(204);
        assertThat(find("works", "id", next).get("status").asText()).isEqualTo("STARTED");
        assertThat(call(BO, "GET", "/api/my-day", null).body().get("now").toString())
                .contains(next)
                .doesNotContain(before);
        assertThat(call(BO, "POST", "/api/works/" + next + "/hold", Map.of("reason", "PART", "note", "left gasket"))
                        .status())
                .isEqualTo(204);
        JsonNode held = find("works", "id", next);
        assertThat(held.get("hold").get("note").asText()).isEqualTo("left gasket");
        assertThat(held.get("job").get("startedBy")).isEmpty();
        assertThat(call(BO, "POST", "/api/works/" + next + "/release", null).status())
                .isEqualTo(204);
        assertThat(call(BO, "POST", "/api/works/" + next + "/done", null).status())
                .isEqualTo(204);
        assertThat(find("works", "id", next).get("status").asText()).isEqualTo("DONE");
        assertThat(call(BO, "POST", "/api/works/" + next + "/done", null).status())
                .isEqualTo(422);
        for (int i = 0; i < 4; i++) {
            call(BO, "POST", "/api/undo", null);
        }
        assertThat(find("works", "id", next).get("status").asText()).isEqualTo("TODO");
    }

    /** The truck is not loaded past what is open without somebody saying so; who says so is written down with it. */
    @Test
    void whoBringsACarToAGateIsAskedAfterWhatIsOpen() throws Exception {
        String load = "/api/works/" + workOf("61", "Load").path("id").asText();
        Answer asked = call(MARA, "POST", load + "/start", null);
        assertThat(asked.status()).isEqualTo(422);
        assertThat(asked.at("gate")).contains("still open is").contains("Toe and pressures");
        assertThat(workOf("61", "Load").path("status").asText()).isEqualTo("TODO");
        assertThat(call(MARA, "POST", load + "/start?anyway=true", null).status())
                .isEqualTo(204);
        assertThat(call(MARA, "GET", "/api/journal", null).body().toString()).contains("started Load, though open is");
        undo(MARA, 1);
        String inside =
                "/api/works/" + workOf("61", "Toe and pressures").path("id").asText();
        assertThat(call(MARA, "POST", inside + "/start", null).at("gate")).isEmpty();
    }

    /** Work that came after publishing may stand on the chain of a date; a hand's day does not know it and stands. */
    @Test
    void aHandsDayStandsWhileNewWorkIsUnpublished() throws Exception {
        String car = find("cars", "number", "61").get("id").asText();
        for (int i = 0; i < 3; i++) {
            call(MARA, "POST", "/api/builds/" + car + "/capture", Map.of("text", "rework " + i + ", cockpit, 400m"));
        }
        Answer day = call(BO, "GET", "/api/my-day", null);
        assertThat(day.status()).isEqualTo(200);
        assertThat(call(BO, "GET", "/api/board", null).status()).isEqualTo(200);
        for (int i = 0; i < 3; i++) {
            call(MARA, "POST", "/api/undo", null);
        }
    }

    @Test
    void theCaptureLineBecomesTheRightThingPlanned() throws Exception {
        String car = find("cars", "number", "8").get("id").asText();
        String capture = "/api/builds/" + car + "/capture";
        assertThat(call(MARA, "POST", capture, Map.of("text", "hang bias cable, cockpit, 40m"))
                        .status())
                .isEqualTo(200);
        JsonNode job = find("works", "name", "Hang bias cable");
        assertThat(job.get("job").get("likelyMinutes").asInt()).isEqualTo(40);
        assertThat(job.has("placed")).isTrue();
        assertThat(call(BO, "POST", capture, Map.of("text", "weeping union, rear"))
                        .body()
                        .get("said")
                        .asText())
                .startsWith("Found:");
        assertThat(call(MARA, "POST", capture, Map.of("text", "hang bias cable, held for the manifold"))
                        .body()
                        .get("said")
                        .asText())
                .startsWith("Held:");
        assertThat(call(MARA, "POST", capture, Map.of("text", "held rain: x")).at("text"))
                .contains("no reason");
        undo(MARA, 2);
        undo(BO, 1);
    }

    @Test
    void anExportedJobSheetCanBeImportedAgain() throws Exception {
        String from = find("cars", "number", "112").get("id").asText();
        Map<String, String> jobs = jobs(from);
        List<String> names = List.copyOf(jobs.keySet());
        disturbs(jobs.get(names.get(0)), List.of("strut-spacer", "bar"));
        disturbs(jobs.get(names.get(1)), List.of());
        byte[] sheet = mvc.perform(org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get(
                                "/api/builds/" + from + "/jobs.csv")
                        .cookie(session(MARA)))
                .andReturn()
                .getResponse()
                .getContentAsByteArray();
        String made = newBuild("99", "Copy");
        Answer imported = upload(MARA, "/api/builds/" + made + "/jobs/import", sheet);
        assertThat(imported.status()).isEqualTo(200);
        long lines = new String(sheet, StandardCharsets.UTF_8).lines().count();
        assertThat(imported.body().get("jobs").asLong()).isEqualTo(lines - 1);
        assertThat(outside(made)).isEqualTo(outside(from)).contains("Rolling road session");
        Map<String, String> copies = jobs(made);
        for (String name : names.subList(0, 3)) {
            assertThat(disturbed(copies.get(name))).as(name).isEqualTo(disturbed(jobs.get(name)));
        }
        assertThat(disturbed(copies.get(names.get(0))).path("stale").toString()).contains("bump steer");
        assertThat(disturbed(copies.get(names.get(1))).path("said").asBoolean()).isTrue();
        undo(MARA, 4);
    }

    private void disturbs(String job, List<String> kinds) throws Exception {
        assertThat(call(MARA, "PUT", "/api/works/" + job + "/disturbs", Map.of("disturbances", kinds))
                        .status())
                .isEqualTo(204);
    }

    private JsonNode disturbed(String job) throws Exception {
        return call(MARA, "GET", "/api/works/" + job + "/disturbs", null).body();
    }

    /** The ids of the open jobs of a car by their names. */
    private Map<String, String> jobs(String car) throws Exception {
        Map<String, String> jobs = new LinkedHashMap<>();
        board().get("works").forEach(w -> {
            if (w.get("buildId").asText().equals(car)
                    && w.get("kind").asText().equals("JOB")
                    && !w.get("status").asText().equals("DONE")) {
                jobs.putIfAbsent(w.get("name").asText(), w.get("id").asText());
            }
        });
        return jobs;
    }

    private List<String> outside(String car) throws Exception {
        return StreamSupport.stream(board().get("works").spliterator(), false)
                .filter(w -> w.get("buildId").asText().equals(car)
                        && w.get("kind").asText().equals("OUTWORK"))
                .map(w -> w.get("name").asText())
                .sorted()
                .toList();
    }

    /** The template sends the car to the tuner: after the checklist, before the fresh oil, in the time the tuner has. */
    @Test
    void aTemplateThatSendsTheCarOutBringsTheOutsideWork() throws Exception {
        String made = call(MARA, "POST", "/api/builds", """
                        {"build": {"number": "7", "name": "Fresh", "body": "COUPE", "customer": "", "discipline": "",
                         "weight": 1, "limitFront": 2, "limitEngineBay": 2, "limitCockpit": 2, "limitUnderside": 2,
                         "limitRear": 2, "version": 0},
                         "template": "engine-swap"}""").body().get("id").asText();
        assertThat(outside(made)).containsExactly("Rolling road: power runs and map");
        JsonNode tuner = StreamSupport.stream(board().get("works").spliterator(), false)
                .filter(w -> w.get("buildId").asText().equals(made)
                        && w.get("kind").asText().equals("OUTWORK"))
                .findFirst()
                .orElseThrow();
        assertThat(tuner.at("/outwork/vendorId").asText()).isEqualTo("quay");
        assertThat(tuner.at("/outwork/wholeCar").asBoolean()).isTrue();
        JsonNode oil = StreamSupport.stream(board().get("works").spliterator(), false)
                .filter(w -> w.get("buildId").asText().equals(made)
                        && w.get("name").asText().startsWith("Fresh oil"))
                .findFirst()
                .orElseThrow();
        assertThat(oil.at("/placed/start").asText())
                .isGreaterThanOrEqualTo(tuner.at("/placed/ready").asText());
        call(MARA, "POST", "/api/undo", null);
    }

    @Test
    void aNewBuildFromATemplateIsPlannedAtOnce() throws Exception {
        String made = call(MARA, "POST", "/api/builds", """
                        {"build": {"number": "7", "name": "Fresh", "body": "COUPE", "customer": "", "discipline": "",
                         "weight": 1, "limitFront": 2, "limitEngineBay": 2, "limitCockpit": 2, "limitUnderside": 2,
                         "limitRear": 2, "version": 0},
                         "template": "rewire", "dateName": "test", "dateKind": "PROMISE",
                         "dateDue": "%s"}""".formatted(at(96, "08:00")))
                .body()
                .get("id")
                .asText();
        assertThat(find("cars", "id", made).get("total").asInt()).isEqualTo(14);
        assertThat(find("commitments", "buildId", made).get("marginMinutes").asLong())
                .isPositive();
        call(MARA, "POST", "/api/undo", null);
    }
}
