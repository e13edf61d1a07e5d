package galecrest.server.gauge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import galecrest.core.gauge.all.Gauges;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.io.TempDir;

/** The gauges in the shell; and that every example of {@code docs/gauges.md} is true. */
class GaugeShellTest {
    private static final Pattern EXAMPLE =
            Pattern.compile("## (\\S+)\\n.*?```json\\n(.*?)```\\s*```json\\n(.*?)```", Pattern.DOTALL);

    private final ObjectMapper json = new ObjectMapper();

    private record Ran(int code, String out, String err) {}

    private static Ran run(String in, String... args) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ByteArrayOutputStream err = new ByteArrayOutputStream();
        InputStream input = new ByteArrayInputStream(in.getBytes(StandardCharsets.UTF_8));
        int code = GaugeShell.run(
                List.of(args),
                input,
                new PrintStream(out, true, StandardCharsets.UTF_8),
                new PrintStream(err, true, StandardCharsets.UTF_8));
        return new Ran(code, out.toString(StandardCharsets.UTF_8), err.toString(StandardCharsets.UTF_8));
    }

    @TestFactory
    List<DynamicTest> everyGaugeHasAnExampleThatIsTrue() throws IOException {
        String docs = Files.readString(Path.of("../docs/gauges.md"));
        Matcher example = EXAMPLE.matcher(docs);
        List<DynamicTest> tests = new java.util.ArrayList<>();
        TreeSet<String> told = new TreeSet<>();
        while (example.find()) {
            String name = example.group(1);
            String request = example.group(2);
            JsonNode wanted = json.readTree(example.group(3));
            told.add(name);
            tests.add(DynamicTest.dynamicTest(name, () -> {
                Ran ran = run(request, name);
                assertThat(ran.code()).as(ran.out() + ran.err()).isZero();
                same(name, json.readTree(ran.out()), wanted);
            }));
        }
        assertThat(told)
                .containsExactlyInAnyOrderElementsOf(
                        Gauges.ALL.stream().map(g -> g.name()).toList());
        return tests;
    }

    private static void same(String at, JsonNode is, JsonNode wanted) {
        if (wanted.isObject()) {
            wanted.fieldNames().forEachRemaining(f -> same(at + "." + f, is.path(f), wanted.path(f)));
        } else if (wanted.isArray()) {
            for (int i = 0; i < wanted.size(); i++) {
                same(at + "[" + i + "]", is.path(i), wanted.path(i));
            }
        } else if (wanted.isNumber()) {
            assertThat(is.isNumber()).as(at + " is " + is).isTrue();
            double value = wanted.asDouble();
            assertThat(is.asDouble()).as(at).isCloseTo(value, within(1e-6 * Math.max(1, Math.abs(value))));
        } else {
            assertThat(is).as(at).isEqualTo(wanted);
        }
    }

    @Test
    void anArrayOfRequestsGivesAnArrayOfAnswers(@TempDir Path folder) throws IOException {
        Path file = folder.resolve("requests.json");
        Files.writeString(file, """
                [{"free at": ["81 mm", "82 mm", "80 mm"]},
                 {"free at": ["3.2 in", "3.2 in", "3.2 in"], "units": "customary"},
                 {"free at": ["81 mm", "82 kg", "80 mm"]}]""");
        Ran ran = run("", "clutch-stop", file.toString());
        assertThat(ran.code()).isEqualTo(1);
        JsonNode all = json.readTree(ran.out());
        assertThat(all.path(0).path("stop at").path("said").asText()).isEqualTo("88 mm (3.465 in)");
        assertThat(all.path(1).path("stop at").path("unit").asText()).isEqualTo("in");
        assertThat(all.path(2).at("/problems/0/field").asText()).isEqualTo("free at[1]");
        assertThat(all.path(2).at("/problems/0/message").asText()).contains("is a mass");
    }

    @Test
    void whatIsMistakenIsSaid() {
        assertThat(run("", "moon").err()).contains("no gauge \"moon\"").contains("corner-weights");
        assertThat(run("{", "strings").err()).contains("no JSON");
        assertThat(run("{", "strings").code()).isEqualTo(2);
        assertThat(run("", "strings", "nowhere.json").err()).contains("cannot be read");
        assertThat(run("[3]", "strings").out()).contains("object of fields");
    }
}
