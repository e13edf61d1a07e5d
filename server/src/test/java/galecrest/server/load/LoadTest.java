package galecrest.server.load;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.ServerTest;
import galecrest.server.access.Account;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/** The load list over HTTP: many thumbs at once, departure by name, a table both ways. */
class LoadTest extends ServerTest {
    private String car;
    private String event;

    @BeforeEach
    void newEvent() throws Exception {
        car = newBuild("L1", "Load car");
        Answer entered = call(
                SEF,
                "POST",
                "/api/events",
                Map.of(
                        "name",
                        "Test of loading",
                        "loadsAt",
                        at(40, "16:00"),
                        "mostSets",
                        4,
                        "mostNew",
                        1,
                        "uses",
                        2,
                        "sessions",
                        List.of(),
                        "cars",
                        List.of(Map.of("buildId", car, "spare", false)),
                        "crew",
                        List.of(),
                        "version",
                        0));
        assertThat(entered.status()).as(entered.body().toString()).isEqualTo(200);
        event = entered.body().path("id").asText();
    }

    @AfterEach
    void removeAll() throws Exception {
        call(SEF, "DELETE", "/api/events/" + event, null);
        call(MARA, "DELETE", "/api/builds/" + car, null);
    }

    private JsonNode load() throws Exception {
        return call(BO, "GET", "/api/events/" + event + "/load", null).body();
    }

    private Answer add(String box, String name) throws Exception {
        return call(
                BO,
                "POST",
                "/api/events/" + event + "/load",
                Map.of("box", box, "name", name, "quantity", 1, "kilograms", 2.5));
    }

    private Answer tick(Account who, String item, boolean aboard) throws Exception {
        return call(who, "PUT", "/api/load-items/" + item + "/tick", Map.of("aboard", aboard));
    }

    @Test
    void fiveHundredThingsAreTickedByTwoAtOnceAndNothingIsLost() throws Exception {
        StringBuilder table = new StringBuilder("name,box,quantity,kg\r\n");
        for (int i = 0; i < 500; i++) {
            table.append("thing ").append(i).append(",box ").append(i % 9).append(",1,1\r\n");
        }
        Answer taken = upload(
                SEF, "/api/events/" + event + "/load/import", table.toString().getBytes(StandardCharsets.UTF_8));
        assertThat(taken.body().path("added").asInt())
                .as(taken.body().toString())
                .isEqualTo(500);
        session(BO);
        session(SEF);
        List<String> ids = new ArrayList<>();
        load().path("items").forEach(i -> ids.add(i.path("id").asText()));
        long change = board().path("change").asLong();
        ExecutorService two = Executors.newFixedThreadPool(2);
        List<Future<Integer>> all = new ArrayList<>();
        for (Account who : List.of(BO, SEF)) {
            Callable<Integer> thumbs = () -> {
                int wrong = 0;
                for (String id : ids) {
                    wrong += tick(who, id, true).status() == 204 ? 0 : 1;
                }
                return wrong;
            };
            all.add(two.submit(thumbs));
        }
        for (Future<Integer> one : all) {
            assertThat(one.get()).isZero();
        }
        two.shutdown();
        Set<String> by = new HashSet<>();
        for (JsonNode item : load().path("items")) {
            assertThat(item.path("by").isTextual()).as(item.toString()).isTrue();
            by.add(item.path("by").asText());
        }
        assertThat(by).isSubsetOf("Bo", "Sef");
        assertThat(board().path("change").asLong())
                .as("a tick is no change of what the plan depends on")
                .isEqualTo(change);
    }

    @Test
    void departureAsksForWhatIsMissingByName() throws Exception {
        add("tools", "jack");
        add("pit", "fire blanket");
        add("pit", "awning");
        assertThat(add("pit", "awning").at("name")).contains("in this box already");
        assertThat(add("pit", " ").at("name")).contains("What is it");
        for (JsonNode item : load().path("items")) {
            if (item.path("name").asText().equals("awning")) {
                tick(BO, item.path("id").asText(), true);
            }
        }
        String url = "/api/events/" + event + "/leave";
        assertThat(call(BO, "POST", url, Map.of("anyway", false)).at("leave"))
                .contains("fire blanket", "jack")
                .doesNotContain("awning");
        assertThat(load().path("leftAt").isTextual()).isFalse();
        assertThat(call(BO, "POST", url, Map.of("anyway", true)).status()).isEqualTo(204);
        assertThat(load().path("without").asText()).isEqualTo("fire blanket, jack");
        assertThat(load().path("leftBy").asText()).isEqualTo("Bo");
    }

    private Answer back(String name, Integer back) throws Exception {
        for (JsonNode item : load().path("items")) {
            if (item.path("name").asText().equals(name)) {
                Map<String, Object> form = new HashMap<>();
                form.put("back", back);
                return call(BO, "PUT", "/api/load-items/" + item.path("id").asText() + "/back", form);
            }
        }
        throw new AssertionError(name);
    }

    @Test
    void whatWasUsedGoesOnTheSupplyRunOnce() throws Exception {
        add("fluids", "brake fluid " + event);
        add("tools", "jack");
        String used = "/api/events/" + event + "/load/used";
        assertThat(back("jack", 1).at("back")).contains("not left yet");
        for (JsonNode item : load().path("items")) {
            tick(BO, item.path("id").asText(), true);
        }
        assertThat(call(BO, "POST", "/api/events/" + event + "/leave", Map.of("anyway", false))
                        .status())
                .isEqualTo(204);
        assertThat(back("jack", 2).at("back")).contains("0 to 1");
        assertThat(back("jack", -1).at("back")).contains("0 to 1");
        assertThat(back("jack", 1).status()).isEqualTo(204);
        assertThat(call(BO, "POST", used, null).at("used")).contains("everything came back");
        assertThat(back("brake fluid " + event, 0).status()).isEqualTo(204);
        assertThat(call(BO, "POST", used, null).body().path("listed").asInt()).isEqualTo(1);
        assertThat(call(BO, "POST", used, null).status()).isEqualTo(409);
        JsonNode supplies = call(BO, "GET", "/api/supplies", null).body();
        assertThat(supplies.toString()).contains("brake fluid " + event, "used at Test of loading");
        for (JsonNode supply : supplies) {
            if (supply.path("name").asText().contains(event)) {
                call(SEF, "DELETE", "/api/supplies/" + supply.path("id").asText(), null);
            }
        }
    }

    @Test
    void aThingThatWasDeletedCannotBeTicked() throws Exception {
        add("tools", "jack");
        String item = load().path("items").get(0).path("id").asText();
        assertThat(tick(BO, item, true).status()).isEqualTo(204);
        assertThat(tick(BO, item, false).status()).isEqualTo(204);
        assertThat(load().path("items").get(0).path("by").isTextual()).isFalse();
        assertThat(call(SEF, "DELETE", "/api/load-items/" + item, null).status())
                .isEqualTo(204);
        assertThat(tick(BO, item, true).status()).isEqualTo(404);
        undo(SEF, 1);
        assertThat(load().path("items")).hasSize(1);
    }

    @Test
    void theUsualListIsBegunAndGoesOut() throws Exception {
        Answer begun = call(SEF, "POST", "/api/events/" + event + "/load/usual", null);
        int count = begun.body().path("added").asInt();
        assertThat(count).isGreaterThan(20);
        assertThat(call(SEF, "POST", "/api/events/" + event + "/load/usual", null)
                        .body()
                        .path("added")
                        .asInt())
                .isZero();
        assertThat(call(SEF, "PUT", "/api/events/" + event + "/payload", Map.of("kilograms", -1))
                        .at("kilograms"))
                .contains("0 kg");
        call(SEF, "PUT", "/api/events/" + event + "/payload", Map.of("kilograms", 900));
        assertThat(load().path("payload").asDouble()).isEqualTo(900);
        String csv = new String(
                mvc.perform(MockMvcRequestBuilders.get("/api/events/" + event + "/load.csv")
                                .cookie(session(BO)))
                        .andReturn()
                        .getResponse()
                        .getContentAsByteArray(),
                StandardCharsets.UTF_8);
        assertThat(csv).contains("log book of L1,papers,1,0");
        assertThat(upload(SEF, "/api/events/" + event + "/load/import", csv.getBytes(StandardCharsets.UTF_8))
                        .body()
                        .path("added")
                        .asInt())
                .isZero();
        Answer wrong = upload(
                SEF,
                "/api/events/" + event + "/load/import",
                "name,kg\r\nanvil,-3\r\n".getBytes(StandardCharsets.UTF_8));
        assertThat(wrong.status()).isEqualTo(422);
        assertThat(wrong.at("line 2, kilograms")).contains("0 kg");
    }
}
