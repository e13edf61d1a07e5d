package galecrest.server.work;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.ServerTest;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Running-in is planned a drive a day, checked at its fields, and not overwritten unseen. */
class RunningInTest extends ServerTest {
    private Map<String, Object> form(String name) throws Exception {
        Map<String, Object> form = new HashMap<>();
        form.put("buildId", find("cars", "number", "61").get("id").asText());
        form.put("name", name);
        form.put("distanceKm", 300);
        form.put("doneKm", 0);
        form.put("perDayKm", 100);
        form.put("perDayMinutes", 90);
        form.put("skill", "drive");
        form.put("anyWeather", true);
        form.put("gate", "EVENT");
        form.put("essential", false);
        form.put("after", List.of());
        form.put("version", 0);
        return form;
    }

    private Answer with(String field, Object value) throws Exception {
        Map<String, Object> form = form("Gentle miles");
        form.put(field, value);
        return call(MARA, "POST", "/api/running-in", form);
    }

    /** 300 km at 100 km a day are three drives on three days. */
    @Test
    void itIsDrivenADayAtATime() throws Exception {
        Answer added = call(MARA, "POST", "/api/running-in", form("Gentle miles"));
        assertThat(added.status()).isEqualTo(200);
        JsonNode work = find("works", "id", added.body().get("id").asText());
        assertThat(work.get("kind").asText()).isEqualTo("RUNNING_IN");
        assertThat(work.path("placed").path("at").findValuesAsText("from").stream()
                        .map(at -> at.substring(0, 10))
                        .distinct())
                .hasSize(3);
        Map<String, Object> half = form("Gentle miles");
        half.put("doneKm", 200);
        half.put("version", work.get("version").asInt());
        String path = "/api/running-in/" + work.get("id").asText();
        assertThat(call(MARA, "PUT", path, half).status()).isEqualTo(204);
        assertThat(find("works", "id", work.get("id").asText()).path("placed").path("at"))
                .hasSize(1);
        assertThat(call(SEF, "PUT", path, half).status()).isEqualTo(409);
        call(MARA, "POST", "/api/undo", null);
        call(MARA, "POST", "/api/undo", null);
    }

    @Test
    void wrongFiguresAreRefusedAtTheirFields() throws Exception {
        String before = record();
        assertThat(with("name", " ").at("name")).contains("needs a name");
        assertThat(with("distanceKm", 0).at("distanceKm")).contains("between 1 and");
        assertThat(with("doneKm", 301).at("doneKm")).contains("whole distance");
        assertThat(with("perDayKm", 0).at("perDayKm")).contains("at least 1 km");
        assertThat(with("perDayMinutes", 721).at("perDayMinutes")).contains("12 h");
        assertThat(with("skill", "").at("skill")).contains("who drives");
        assertThat(record()).isEqualTo(before);
    }
}
