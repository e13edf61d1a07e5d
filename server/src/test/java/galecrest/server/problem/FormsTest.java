package galecrest.server.problem;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.node.ObjectNode;
import galecrest.server.ServerTest;
import jakarta.validation.Validation;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.context.annotation.ClassPathScanningCandidateComponentProvider;

/** The shape and the range of what is sent are judged at every field at once, and nothing of a refused form is kept. */
class FormsTest extends ServerTest {
    /** The record before the first form, and so before each: reading all of it takes longer than to refuse a form. */
    private static @Nullable String before;

    @BeforeEach
    void remember() throws Exception {
        if (before == null) {
            before = record();
        }
    }

    @AfterEach
    void nothingHasChanged() throws Exception {
        assertThat(record()).isEqualTo(before);
    }

    private void refused(String method, String path, ObjectNode form, String field, String words) throws Exception {
        Answer answer = call(MARA, method, path, form);
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(422);
        assertThat(answer.at(field)).contains(words);
    }

    private void set(ObjectNode form, String field, String value) throws Exception {
        form.set(
                field,
                value.matches("-?[0-9.]+")
                        ? json.readTree(value)
                        : json.getNodeFactory().textNode(value));
    }

    @ParameterizedTest
    @CsvSource({
        "lagMinutes, -1, between 0 and 60 days",
        "lagMinutes, 86401, between 0 and 60 days",
        "riskChance, -0.01, between 0 and 1",
        "riskChance, 1.01, between 0 and 1"
    })
    void ofALink(String field, String value, String words) throws Exception {
        ObjectNode form = json.valueToTree(Map.of(
                "firstId",
                workOf("27", "Loom in").get("id").asText(),
                "thenId",
                workOf("27", "Power-up circuit by circuit").get("id").asText(),
                "type",
                "FINISH_START",
                "lagMinutes",
                0,
                "lagWorking",
                false,
                "riskChance",
                0.5,
                "riskReworkMinutes",
                30));
        set(form, field, value);
        refused("POST", "/api/links", form, field, words);
    }

    @ParameterizedTest
    @CsvSource({
        "name, ' ', needs a name",
        "distanceKm, 0, between 1 and 10 000 km",
        "distanceKm, 10001, between 1 and 10 000 km",
        "doneKm, 501, between 0 and the whole distance",
        "perDayKm, 0, at least 1 km",
        "perDayMinutes, 4, 5 min to 12 h",
        "perDayMinutes, 721, 5 min to 12 h",
        "skill, ' ', skill of who drives"
    })
    void ofRunningIn(String field, String value, String words) throws Exception {
        ObjectNode form = json.valueToTree(Map.ofEntries(
                Map.entry("buildId", workOf("27", "Loom in").get("buildId").asText()),
                Map.entry("name", "Running-in"),
                Map.entry("distanceKm", 500),
                Map.entry("doneKm", 0),
                Map.entry("perDayKm", 120),
                Map.entry("perDayMinutes", 240),
                Map.entry("skill", "drive"),
                Map.entry("anyWeather", true),
                Map.entry("gate", "EVENT"),
                Map.entry("essential", true),
                Map.entry("after", List.of()),
                Map.entry("version", 0)));
        set(form, field, value);
        refused("POST", "/api/running-in", form, field, words);
    }

    @ParameterizedTest
    @CsvSource({
        "name, ' ', The shop needs a name",
        "atRiskStart, 1000.5, between 0 and 1000",
        "carInBits, -1, between 0 and 1000",
        "unknownArrivalDays, 366, Between 0 and 365 days",
        "frozenDays, 15, Between 0 and 14 days",
        "bufferHours, 401, Between 0 and 400 h",
        "returnWrong, 1.2, between 0 and 1",
        "stayOnMinutes, 481, 0 to 8 h",
        "takeGainHours, 1001, 0 is never",
        "takeAfterDays, 14, Between 0 and 13 days",
        "zone, Middle/Earth, no time zone"
    })
    void ofTheHouseRules(String field, String value, String words) throws Exception {
        ObjectNode form = (ObjectNode) call(MARA, "GET", "/api/shop", null).body();
        set(form, field, value);
        refused("PUT", "/api/shop", form, field, words);
    }

    @Test
    void allThatIsWrongIsSaidAtOnce() throws Exception {
        ObjectNode form = (ObjectNode) call(MARA, "GET", "/api/shop", null).body();
        form.put("name", "").put("frozenDays", -1).put("returnWrong", 2);
        Answer answer = call(MARA, "PUT", "/api/shop", form);
        assertThat(answer.at("name")).isNotEmpty();
        assertThat(answer.at("frozenDays")).isNotEmpty();
        assertThat(answer.at("returnWrong")).isNotEmpty();
    }

    /** What stands in a form within a form is judged too, and named by its way there. */
    @Test
    void ofABuildWithinItsFirstForm() throws Exception {
        ObjectNode build = find("cars", "number", "27").deepCopy();
        build.retain("number", "name", "body", "customer", "discipline", "weight");
        Stream.of("limitFront", "limitEngineBay", "limitCockpit", "limitUnderside", "limitRear")
                .forEach(limit -> build.put(limit, 2));
        build.put("version", 0).put("number", "1234567").put("weight", 0).put("limitRear", 10);
        ObjectNode form = json.createObjectNode();
        form.set("build", build);
        Answer answer = call(MARA, "POST", "/api/builds", form);
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.at("build.number")).contains("at most 6 characters");
        assertThat(answer.at("build.weight")).contains("more than 0 and at most 100");
        assertThat(answer.at("build.limitRear")).contains("Between 1 and 9 people");
    }

    @Test
    void aTextOfFourThousandCharactersIsTakenAndOneMoreIsNot() throws Exception {
        String work = workOf("27", "Loom in").get("id").asText();
        String path = "/api/works/" + work + "/hold";
        ObjectNode form = json.createObjectNode().put("reason", "PART").put("note", "x".repeat(4001));
        refused("POST", path, form, "note", "up to 4000 characters");
        refused("POST", path, form.put("note", " "), "note", "what holds it");
        assertThat(call(MARA, "POST", path, form.put("note", "x".repeat(4000))).status())
                .isEqualTo(204);
        call(MARA, "POST", "/api/undo", null);
    }

    static Stream<Arguments> forms() {
        var scan = new ClassPathScanningCandidateComponentProvider(false);
        scan.addIncludeFilter(
                (reader, all) -> reader.getClassMetadata().getClassName().endsWith("Request"));
        return scan.findCandidateComponents("galecrest.server").stream()
                .map(found -> Arguments.of(found.getBeanClassName()));
    }

    /** Whoever breaks a rule reads our own words, not the library's. */
    @ParameterizedTest
    @MethodSource("forms")
    void everyRuleOfAFormHasWords(String name) throws Exception {
        var form = Validation.buildDefaultValidatorFactory().getValidator().getConstraintsForClass(Class.forName(name));
        form.getConstrainedProperties().stream()
                .flatMap(property -> property.getConstraintDescriptors().stream())
                .forEach(rule -> assertThat(rule.getMessageTemplate()).as(name).doesNotStartWith("{"));
    }
}
