package galecrest.server.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.ServerTest;
import java.util.HashMap;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;

/** Templates of the house: made of a build, changed, added to a car, and offered beside those that ship with it. */
class TemplateTest extends ServerTest {
    private JsonNode template(String name) throws Exception {
        return StreamSupport.stream(
                        call(MARA, "GET", "/api/templates", null).body().spliterator(), false)
                .filter(t -> t.get("name").asText().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private int jobsOf(String car) throws Exception {
        return (int) StreamSupport.stream(board().get("works").spliterator(), false)
                .filter(w -> w.get("buildId").asText().equals(car))
                .count();
    }

    @Test
    void theWorkOfABuildBecomesATemplateForTheNext() throws Exception {
        String from = find("cars", "number", "112").get("id").asText();
        Answer made =
                call(MARA, "POST", "/api/templates/of-build", Map.of("buildId", from, "name", "Rallycross winter"));
        assertThat(made.status()).as(made.body().toString()).isEqualTo(200);
        JsonNode own = template("Rallycross winter");
        assertThat(own.path("own").asBoolean()).isTrue();
        int jobs = own.path("jobs").asInt();
        assertThat(jobs).isGreaterThan(10);
        assertThat(call(MARA, "POST", "/api/templates/of-build", Map.of("buildId", from, "name", "rallycross WINTER"))
                        .at("name"))
                .contains("already");

        String to = find("cars", "number", "8").get("id").asText();
        int before = jobsOf(to);
        Answer added = call(
                MARA,
                "POST",
                "/api/builds/" + to + "/template",
                Map.of("template", own.get("id").asText()));
        assertThat(added.body().path("added").asInt(added.body().path("jobs").asInt()))
                .isEqualTo(jobs);
        assertThat(jobsOf(to)).isEqualTo(before + jobs);
        undo(MARA, 2);
        assertThat(jobsOf(to)).isEqualTo(before);
    }

    @Test
    void aTemplateIsChangedWithItsSheetAndKeptAsItWasWhereThatIsWrong() throws Exception {
        JsonNode rewire = call(MARA, "GET", "/api/templates/rewire", null).body();
        assertThat(rewire.path("own").asBoolean()).isFalse();
        Map<String, Object> form = new HashMap<>(
                Map.of("name", "Our rewire", "sheet", rewire.get("sheet").asText(), "version", 0));
        String id = call(MARA, "POST", "/api/templates", form).body().path("id").asText();
        form.put("sheet", "job,likely_min,crew,zone\nWeld tab,30,weld,roof\n");
        Answer wrong = call(MARA, "PUT", "/api/templates/" + id, form);
        assertThat(wrong.status()).isEqualTo(422);
        assertThat(wrong.body().toString()).contains("line 2, zone");
        form.put("sheet", "job,likely_min,crew,zone\nWeld tab,30,weld,rear\n");
        assertThat(call(MARA, "PUT", "/api/templates/" + id, form).status()).isEqualTo(204);
        assertThat(template("Our rewire").path("jobs").asInt()).isEqualTo(1);
        assertThat(call(MARA, "PUT", "/api/templates/" + id, form).status())
                .as("it was read before that")
                .isEqualTo(409);
        assertThat(call(BO, "DELETE", "/api/templates/" + id, null).status()).isEqualTo(403);
        assertThat(call(MARA, "DELETE", "/api/templates/" + id, null).status()).isEqualTo(204);
        assertThat(call(MARA, "PUT", "/api/templates/rewire", form).status())
                .as("what ships stays")
                .isEqualTo(404);
    }
}
