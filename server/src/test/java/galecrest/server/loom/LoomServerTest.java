package galecrest.server.loom;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.ServerTest;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/** A rewire over HTTP: modules decided, the loom job held until they are, the tree and its wires, with a car of their own. */
class LoomServerTest extends ServerTest {
    private String car;

    @BeforeEach
    void newCar() throws Exception {
        car = newBuild("L1", "Loom car");
    }

    @AfterEach
    void removeCar() throws Exception {
        call(MARA, "DELETE", "/api/builds/" + car, null);
    }

    private static Map<String, Object> module(String name, String decision, int version, String... needs) {
        Map<String, Object> form = new HashMap<>();
        form.put("name", name);
        form.put("kind", "CONTROL_UNIT");
        form.put("decision", decision);
        form.put("needs", List.of(needs));
        form.put("mass", "1.2 kg");
        form.put("version", version);
        return form;
    }

    private String add(String name, String decision, String... needs) throws Exception {
        Answer answer = call(BO, "POST", "/api/builds/" + car + "/modules", module(name, decision, 0, needs));
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        return answer.body().path("id").asText();
    }

    private JsonNode loom() throws Exception {
        return call(BO, "GET", "/api/builds/" + car + "/loom", null).body();
    }

    private JsonNode job(String id) throws Exception {
        return find("works", "id", id);
    }

    @Test
    void undecidedModulesHoldTheLoomJob() throws Exception {
        call(BO, "POST", "/api/builds/" + car + "/restrictions", Map.of("job", "Make the loom"));
        String work = find("works", "name", "Make the loom").path("id").asText();
        String speeds = add("wheel speeds", "UNDECIDED");
        String clock = add("speedometer", "KEEP", speeds);
        assertThat(call(SEF, "PUT", "/api/builds/" + car + "/loom-job", Map.of("workId", "nothing"))
                        .at("workId"))
                .contains("no open job");
        assertThat(call(SEF, "PUT", "/api/builds/" + car + "/loom-job", Map.of("workId", work))
                        .status())
                .isEqualTo(204);
        assertThat(job(work).path("hold").path("note").asText()).isEqualTo("undecided: wheel speeds");
        assertThat(call(BO, "PUT", "/api/modules/" + speeds, module("wheel speeds", "TAKE_OUT", 1))
                        .status())
                .isEqualTo(403);
        assertThat(call(SEF, "PUT", "/api/modules/" + speeds, module("wheel speeds", "TAKE_OUT", 1))
                        .status())
                .isEqualTo(204);
        assertThat(job(work).path("hold").isMissingNode()
                        || job(work).path("hold").isNull())
                .isTrue();
        JsonNode loom = loom();
        assertThat(loom.path("broken").toString())
                .contains("speedometer stays and needs wheel speeds, which is taken out");
        assertThat(loom.path("saved").path("value").asDouble()).isEqualTo(1.2);
        assertThat(call(SEF, "PUT", "/api/modules/" + speeds, module("wheel speeds", "KEEP", 1))
                        .status())
                .as("an old sheet")
                .isEqualTo(409);
        undo(SEF, 1);
        assertThat(job(work).path("hold").path("note").asText())
                .as("held again")
                .isEqualTo("undecided: wheel speeds");

        // A hold of somebody else is not ours to lift, nor to write over.
        assertThat(call(SEF, "PUT", "/api/builds/" + car + "/loom-job", new HashMap<>())
                        .status())
                .isEqualTo(204);
        assertThat(job(work).path("hold").path("note").isMissingNode()).isTrue();
        call(BO, "POST", "/api/works/" + work + "/hold", Map.of("reason", "PART", "note", "no terminals"));
        call(SEF, "PUT", "/api/builds/" + car + "/loom-job", Map.of("workId", work));
        assertThat(job(work).path("hold").path("note").asText()).isEqualTo("no terminals");
        assertThat(call(BO, "POST", "/api/builds/" + car + "/modules", module("Speedometer", "KEEP", 0))
                        .at("name"))
                .contains("there already");
        assertThat(call(SEF, "PUT", "/api/modules/" + clock, module("speedometer", "KEEP", 1, clock))
                        .at("needs"))
                .contains("another module");
    }

    @Test
    void theTreeGivesTheLengths() throws Exception {
        Map<String, Object> form = new HashMap<>();
        form.put(
                "points",
                List.of(
                        Map.of("name", "ECU", "from", ""),
                        Map.of("name", "bulkhead", "from", "ECU", "length", "600 mm"),
                        Map.of("name", "injectors", "from", "bulkhead", "length", "35 cm"),
                        Map.of("name", "pump", "from", "ECU", "length", "2.4 m")));
        form.put(
                "wires",
                List.of(
                        Map.of(
                                "circuit",
                                "injector 1",
                                "from",
                                "ECU",
                                "to",
                                "injectors",
                                "size",
                                "0.5 mm²",
                                "colour",
                                "grey"),
                        Map.of("circuit", "pump relay", "from", "pump", "to", "bulkhead", "size", "2.5 mm²")));
        form.put("version", 0);
        String tree = "/api/builds/" + car + "/loom-tree";
        assertThat(call(SEF, "PUT", tree, form).status()).isEqualTo(204);
        JsonNode wires = loom().path("wires");
        assertThat(wires.get(0).path("length").path("value").asDouble()).isEqualTo(950);
        assertThat(wires.get(1).path("length").path("value").asDouble()).isEqualTo(3000);
        assertThat(wires.get(1).path("way").toString()).isEqualTo("[\"pump\",\"ECU\",\"bulkhead\"]");
        assertThat(text("wires.csv")).contains("2,pump relay,pump,bulkhead,2.5 mm²,,3000,pump > ECU > bulkhead");
        assertThat(text("wire-labels.csv")).contains("1 injector 1 → injectors,ECU");
        assertThat(text("wires.pdf")).startsWith("%PDF-");
        assertThat(call(SEF, "PUT", tree, form).status()).as("an old sheet").isEqualTo(409);
        form.put("version", 1);
        form.put("points", List.of(Map.of("name", "ECU", "from", "nowhere", "length", "far")));
        Answer wrong = call(SEF, "PUT", tree, form);
        assertThat(wrong.at("points.0.from")).contains("no point \"nowhere\"");
        assertThat(wrong.at("points.0.length")).isNotEmpty();
        assertThat(wrong.at("wires.0.to")).contains("no point \"injectors\"");
        assertThat(loom().path("points")).as("nothing was written").hasSize(4);
        undo(SEF, 1);
        assertThat(loom().path("points")).isEmpty();
    }

    private String text(String file) throws Exception {
        return mvc.perform(MockMvcRequestBuilders.get("/api/builds/" + car + "/" + file)
                        .cookie(session(BO)))
                .andReturn()
                .getResponse()
                .getContentAsString(java.nio.charset.StandardCharsets.UTF_8);
    }

    @Test
    void twoWhoDecideAtOnceAreToldApart() throws Exception {
        String alarm = add("alarm", "UNDECIDED");
        List<Callable<Integer>> two = new ArrayList<>();
        for (String decision : List.of("KEEP", "TAKE_OUT")) {
            two.add(() -> call(SEF, "PUT", "/api/modules/" + alarm, module("alarm", decision, 1))
                    .status());
        }
        ExecutorService browsers = Executors.newFixedThreadPool(2);
        List<Integer> statuses = new ArrayList<>();
        try {
            for (var done : browsers.invokeAll(two)) {
                statuses.add(done.get());
            }
        } finally {
            browsers.shutdown();
        }
        assertThat(statuses).containsExactlyInAnyOrder(204, 409);
    }
}
