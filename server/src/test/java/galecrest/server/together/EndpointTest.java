package galecrest.server.together;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import galecrest.server.access.Account;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/**
 * Who may do what, of every endpoint that there is: the table in endpoints.csv names for each the least role that may, and
 * with which status a request of the right shape, for something that is not there, is then answered. An endpoint without a
 * line fails this test.
 */
class EndpointTest extends TogetherTest {
    private static final Path TABLE = Path.of("src/test/resources/endpoints.csv");
    private static final List<Account> ROLES = List.of(BO, SEF, MARA);

    @Autowired
    @Qualifier("requestMappingHandlerMapping")
    private RequestMappingHandlerMapping handlers;

    private JsonNode description;

    /** A line: the least role that may (NOBODY: all the world), and the status of the answer to who may. */
    private record Rule(String least, int status) {
        boolean may(@Nullable Account account) {
            return least.equals("NOBODY")
                    || account != null
                            && (least.equals("HAND") || least.equals("LEAD") && account != BO || account == MARA);
        }
    }

    /** There is nothing to publish or to discard, whoever was there before. */
    @BeforeEach
    void noDraftStands() throws Exception {
        call(MARA, "POST", "/api/plan/discard", null);
    }

    @AfterEach
    void signInAgain() throws Exception {
        for (Account account : ROLES) {
            signIn(account);
        }
    }

    private static Map<String, Rule> table() throws IOException {
        Map<String, Rule> table = new TreeMap<>();
        for (String line : Files.readAllLines(TABLE, StandardCharsets.UTF_8)) {
            String[] cells = line.split(",");
            table.put(cells[0] + " " + cells[1], new Rule(cells[2], Integer.parseInt(cells[3])));
        }
        return table;
    }

    /** Every endpoint of the application as "METHOD path". */
    private TreeSet<String> endpoints() {
        TreeSet<String> all = new TreeSet<>();
        handlers.getHandlerMethods().keySet().forEach(info -> info.getPathPatternsCondition()
                .getPatternValues()
                .forEach(path ->
                        info.getMethodsCondition().getMethods().forEach(method -> all.add(method + " " + path))));
        all.removeIf(e -> !e.contains(" /api/"));
        return all;
    }

    @Test
    void everyEndpointHasALineAndAnswersByIt() throws Exception {
        description = call(MARA, "GET", "/v3/api-docs", null).body();
        Map<String, Rule> table = table();
        assertThat(table.keySet()).as("an endpoint needs its line").isEqualTo(endpoints());
        List<String> wrong = new ArrayList<>();
        for (Map.Entry<String, Rule> line : table.entrySet()) {
            Rule rule = line.getValue();
            for (Account account : ROLES) {
                int status = status(line.getKey(), account);
                int expected = rule.may(account) ? rule.status() : 403;
                if (status != expected) {
                    wrong.add(line.getKey() + " as " + account.role() + ": " + status + ", not " + expected);
                }
            }
            int nobody = status(line.getKey(), null);
            boolean open = rule.may(null);
            if (open ? nobody != rule.status() : nobody != 401) {
                wrong.add(line.getKey() + " as nobody: " + nobody);
            }
        }
        assertThat(wrong).isEmpty();
    }

    private int status(String endpoint, @Nullable Account account) throws Exception {
        String method = endpoint.substring(0, endpoint.indexOf(' '));
        String path = endpoint.substring(endpoint.indexOf(' ') + 1);
        JsonNode operation = description.path("paths").path(path).path(method.toLowerCase(Locale.ROOT));
        JsonNode content = operation.at("/requestBody/content");
        String there = path.replaceAll("\\{\\w+}", "none");
        MockHttpServletRequestBuilder request = content.has("multipart/form-data")
                ? MockMvcRequestBuilders.multipart(HttpMethod.valueOf(method), there)
                        .file(new MockMultipartFile("file", "f", "text/csv", "x".getBytes(StandardCharsets.UTF_8)))
                : MockMvcRequestBuilders.request(HttpMethod.valueOf(method), there);
        for (JsonNode parameter : operation.path("parameters")) {
            if (parameter.path("in").asText().equals("query")
                    && parameter.path("required").asBoolean()) {
                request.queryParam(
                        parameter.path("name").asText(),
                        plain(parameter.path("schema")).asText());
            }
        }
        JsonNode body = content.path("application/json").path("schema");
        if (!body.isMissingNode()) {
            request.contentType(MediaType.APPLICATION_JSON).content(plain(body).toString());
        }
        if (account != null && path.equals("/api/undo")) {
            call(account, "POST", "/api/supplies", Map.of("name", "tape", "quantity", "1", "boughtFrom", ""));
        }
        if (account != null) {
            request.cookie(endpoint.contains("/api/logout") ? signIn(account) : session(account));
        }
        return mvc.perform(request.with(csrf())).andReturn().getResponse().getStatus();
    }

    /** The plainest value of a shape. */
    private JsonNode plain(JsonNode schema) {
        JsonNodeFactory make = JsonNodeFactory.instance;
        if (schema.has("$ref")) {
            String name = schema.get("$ref").asText();
            return plain(description.at("/components/schemas").get(name.substring(name.lastIndexOf('/') + 1)));
        }
        if (schema.has("enum")) {
            return schema.get("enum").get(0);
        }
        return switch (schema.path("type").asText()) {
            case "object" -> {
                ObjectNode object = make.objectNode();
                schema.path("properties").fields().forEachRemaining(p -> {
                    boolean time = p.getKey().equals("start") || p.getKey().equals("end");
                    object.set(p.getKey(), time ? make.textNode("08:00") : plain(p.getValue()));
                });
                yield object;
            }
            case "array" -> {
                ArrayNode list = make.arrayNode();
                yield schema.path("minItems").asInt() > 0 ? list.add(plain(schema.get("items"))) : list;
            }
            case "boolean" -> make.booleanNode(false);
            case "integer", "number" ->
                make.numberNode(Math.max(1, schema.path("minimum").asInt()));
            default ->
                make.textNode(
                        switch (schema.path("format").asText()) {
                            case "date" -> day(1);
                            case "date-time" -> at(1, "09:00");
                            default -> schema.path("pattern").asText().equals("[A-Z]{3}") ? "EUR" : "none";
                        });
        };
    }

    /** Writes the table as the application answers now, to be looked through by eye: {@code -Dgalecrest.endpoints=write}. */
    @Test
    void theTableIsWrittenWhereThatIsAskedFor() throws Exception {
        if (!"write".equals(System.getProperty("galecrest.endpoints"))) {
            return;
        }
        description = call(MARA, "GET", "/v3/api-docs", null).body();
        List<String> lines = new ArrayList<>();
        for (String endpoint : endpoints()) {
            int nobody = status(endpoint, null);
            int hand = status(endpoint, BO);
            int lead = status(endpoint, SEF);
            int manager = status(endpoint, MARA);
            String least = nobody != 401 ? "NOBODY" : hand != 403 ? "HAND" : lead != 403 ? "LEAD" : "MANAGER";
            lines.add(endpoint.replace(' ', ',') + "," + least + "," + manager);
        }
        Files.writeString(TABLE, lines.stream().collect(Collectors.joining("\n", "", "\n")));
    }
}
