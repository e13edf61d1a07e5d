package galecrest.server.gauge;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.GaugeRequest;
import galecrest.core.gauge.WrongRequest;
import galecrest.core.gauge.all.Gauges;
import java.io.IOException;
import java.io.InputStream;
import java.io.PrintStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A gauge in the shell, without a server: JSON in, JSON out; an array of requests gives an array of answers. What is wrong
 * is said by field, and the code is 1; 2 where the command itself is mistaken.
 */
public final class GaugeShell {
    private static final TypeReference<Map<String, Object>> FIELDS = new TypeReference<>() {};

    private final ObjectMapper json = new ObjectMapper();
    private final PrintStream out;
    private final PrintStream err;
    private boolean wrong;

    private GaugeShell(PrintStream out, PrintStream err) {
        this.out = out;
        this.err = err;
    }

    /**
     * Answers and returns the code to end with.
     *
     * @param args the name of the gauge, and the file of the request; without a file it is read from the input
     */
    public static int run(List<String> args, InputStream in, PrintStream out, PrintStream err) {
        return new GaugeShell(out, err).run(args, in);
    }

    private int run(List<String> args, InputStream in) {
        Optional<Gauge> gauge = args.isEmpty() ? Optional.empty() : Gauges.named(args.get(0));
        if (gauge.isEmpty() || args.size() > 2) {
            err.println(
                    args.isEmpty() || args.size() > 2
                            ? "Say a gauge and perhaps a file: ./galecrest gauge NAME [FILE]"
                            : "There is no gauge \"" + args.get(0) + "\".");
            Gauges.ALL.forEach(g -> err.printf("  %-16s %s%n", g.name(), g.title()));
            return 2;
        }
        try {
            JsonNode request =
                    json.readTree(args.size() == 2 ? Files.readAllBytes(Path.of(args.get(1))) : in.readAllBytes());
            Object answer = request.isArray() ? all(gauge.get(), request) : one(gauge.get(), request);
            out.println(json.writerWithDefaultPrettyPrinter().writeValueAsString(answer));
            return wrong ? 1 : 0;
        } catch (JsonProcessingException unreadable) {
            err.println("That is no JSON: " + unreadable.getOriginalMessage() + " (line "
                    + (unreadable.getLocation() == null
                            ? "?"
                            : unreadable.getLocation().getLineNr()) + ")");
        } catch (IOException unread) {
            err.println("The file cannot be read: " + unread.getMessage());
        }
        return 2;
    }

    private List<Object> all(Gauge gauge, JsonNode requests) {
        List<Object> answers = new ArrayList<>();
        requests.forEach(r -> answers.add(one(gauge, r)));
        return answers;
    }

    private Object one(Gauge gauge, JsonNode request) {
        if (!request.isObject()) {
            wrong = true;
            return Map.of("problems", List.of(Map.of("field", "", "message", "A request is an object of fields.")));
        }
        try {
            return gauge.answer(GaugeRequest.of(json.convertValue(request, FIELDS)))
                    .values();
        } catch (WrongRequest mistaken) {
            wrong = true;
            return Map.of("problems", mistaken.problems());
        }
    }
}
