package galecrest.server.problem;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.StreamSupport;
import org.jspecify.annotations.Nullable;

/**
 * Requests at random, made from the server's own description of itself: of real things mostly, in the right shape mostly,
 * with figures, dates and texts that make little sense.
 */
final class Requests {
    private static final Pattern PARAMETER = Pattern.compile("([^/]+)/\\{\\w+}");
    private static final List<String> TEXTS = List.of(
            "",
            "   ",
            "x",
            "ä".repeat(300),
            "y".repeat(20_000),
            "\u0000",
            "\uD83D\uDE97",
            "<b>bold</b>",
            "'; drop table work; --",
            "08:00",
            "24:00",
            "99:99",
            "-1",
            "1e9");
    private static final List<String> DAYS =
            List.of("2026-11-30", "2026-12-10", "0001-01-01", "9999-12-31", "2026-02-30");
    private static final List<String> INSTANTS = List.of(
            "2026-11-30T08:00:00Z",
            "2026-12-10T12:00:00Z",
            "2040-01-01T00:00:00Z",
            "0001-01-01T00:00:00Z",
            "+292278994-08-17T07:12:55Z",
            "tomorrow");
    private static final List<BigDecimal> FIGURES = List.of(
            new BigDecimal("0"),
            new BigDecimal("-1"),
            new BigDecimal("0.5"),
            new BigDecimal("1440"),
            new BigDecimal("1000000"),
            new BigDecimal("2147483647"),
            new BigDecimal("2147483648"),
            new BigDecimal("9223372036854775808"),
            new BigDecimal("1e308"));
    /** These would shut out who asks, never end, or replace all that there is. */
    private static final Set<String> LEFT_OUT =
            Set.of("/api/login", "/api/logout", "/api/password", "/api/live", "/api/snapshot");

    /** What stands before an id in a path, and the list of the board that the id is from. */
    private static final Map<String, String> LISTS = Map.of(
            "works", "works",
            "jobs", "works",
            "outworks", "works",
            "builds", "cars",
            "parts", "parts",
            "people", "people",
            "stations", "stations",
            "vendors", "vendors",
            "commitments", "commitments",
            "links", "links");

    record Request(String method, String path, @Nullable JsonNode body) {}

    private record Endpoint(
            String method, String path, @Nullable JsonNode body) {}

    private final Random random;
    private final JsonNode schemas;
    private final List<Endpoint> endpoints = new ArrayList<>();
    private final Map<String, List<String>> ids = new HashMap<>();

    Requests(JsonNode description, JsonNode board, Random random) {
        this.random = random;
        schemas = description.at("/components/schemas");
        description.get("paths").fields().forEachRemaining(path -> {
            boolean ours = path.getKey().startsWith("/api/")
                    && !path.getKey().startsWith("/api/accounts")
                    && !LEFT_OUT.contains(path.getKey());
            path.getValue().fields().forEachRemaining(operation -> {
                boolean asks = StreamSupport.stream(
                                operation.getValue().path("parameters").spliterator(), false)
                        .anyMatch(p -> p.path("in").asText().equals("query"));
                JsonNode body = operation.getValue().at("/requestBody/content");
                if (ours && !asks && (body.isMissingNode() || body.has("application/json"))) {
                    JsonNode schema = body.path("application/json").path("schema");
                    endpoints.add(new Endpoint(
                            operation.getKey().toUpperCase(java.util.Locale.ROOT),
                            path.getKey(),
                            schema.isMissingNode() ? null : schema));
                }
            });
        });
        LISTS.values()
                .forEach(list -> ids.put(
                        list,
                        StreamSupport.stream(board.get(list).spliterator(), false)
                                .map(thing -> thing.get("id").asText())
                                .toList()));
    }

    int endpoints() {
        return endpoints.size();
    }

    Request next() {
        Endpoint endpoint = pick(endpoints);
        String path = PARAMETER
                .matcher(endpoint.path)
                .replaceAll(m -> Matcher.quoteReplacement(m.group(1) + "/" + id(m.group(1))));
        return new Request(endpoint.method, path, endpoint.body == null ? null : value(endpoint.body));
    }

    private <T> T pick(List<T> from) {
        return from.get(random.nextInt(from.size()));
    }

    private boolean chance(double p) {
        return random.nextDouble() < p;
    }

    private String id(String before) {
        return LISTS.containsKey(before) && chance(0.95) ? pick(ids.get(LISTS.get(before))) : anyId();
    }

    private String anyId() {
        return chance(0.1) ? "none" : pick(ids.get(pick(new ArrayList<>(new java.util.TreeSet<>(LISTS.values())))));
    }

    private JsonNode value(JsonNode schema) {
        JsonNodeFactory make = JsonNodeFactory.instance;
        if (schema.has("$ref")) {
            String name = schema.get("$ref").asText();
            return value(schemas.get(name.substring(name.lastIndexOf('/') + 1)));
        }
        if (chance(0.03)) {
            return pick(List.of(make.nullNode(), make.arrayNode(), make.objectNode(), make.textNode("x")));
        }
        if (schema.has("enum")) {
            return chance(0.05)
                    ? make.textNode("WRONG")
                    : schema.get("enum").get(random.nextInt(schema.get("enum").size()));
        }
        return switch (schema.path("type").asText()) {
            case "object" -> object(schema.path("properties"));
            case "array" -> {
                ArrayNode array = make.arrayNode();
                for (int i = random.nextInt(3); i > 0; i--) {
                    array.add(value(schema.get("items")));
                }
                yield array;
            }
            case "boolean" -> make.booleanNode(random.nextBoolean());
            case "integer", "number" ->
                make.numberNode(chance(0.6) ? BigDecimal.valueOf(random.nextInt(40)) : pick(FIGURES));
            default -> make.textNode(text(schema.path("format").asText()));
        };
    }

    private ObjectNode object(JsonNode properties) {
        ObjectNode object = new ObjectMapper().createObjectNode();
        properties.fields().forEachRemaining(property -> {
            if (chance(0.95)) {
                object.set(property.getKey(), value(property.getValue()));
            }
        });
        return object;
    }

    private String text(String format) {
        if (format.equals("date")) {
            return pick(DAYS);
        }
        if (format.equals("date-time")) {
            return pick(INSTANTS);
        }
        return chance(0.5) ? anyId() : pick(TEXTS);
    }
}
