package galecrest.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** The words of {@code docs/words.md} that are not used are not in what people are shown. */
class WordsTest {
    private static final Path HOUSE = Path.of("..");
    private static final Pattern COMMENT = Pattern.compile("/\\*.*?\\*/|(?m)(?<![:\"'])//[^\\n]*", Pattern.DOTALL);
    private static final Pattern STRING =
            Pattern.compile("\"\"\".*?\"\"\"|\"(?:[^\"\\\\\\n]|\\\\.)*\"", Pattern.DOTALL);
    private static final Pattern CODE = Pattern.compile("(?m)^import .*$|\\b[a-z]+[A-Z]\\w*\\b");
    private static final Pattern ROW = Pattern.compile("(?m)^\\| ([^|]+?) \\| [^|]+ \\|$");

    private static List<Pattern> banned() throws IOException {
        String words = Files.readString(HOUSE.resolve("docs/words.md"));
        String table = words.substring(words.indexOf("## Words we do not use"));
        List<Pattern> banned = new ArrayList<>();
        Matcher row = ROW.matcher(table);
        while (row.find()) {
            if (!row.group(1).equals("not") && !row.group(1).equals("---")) {
                String word = Pattern.quote(row.group(1)).replace(" ", "\\E\\s+\\Q");
                banned.add(Pattern.compile("(?<!\\w)" + word + "(?!\\w)", Pattern.CASE_INSENSITIVE));
            }
        }
        return banned;
    }

    /** What a file may show: of Java its strings, of the browser's side all but comments, imports and names of code. */
    private static String shown(Path file) throws IOException {
        String text = Files.readString(file);
        if (file.toString().endsWith(".csv")) {
            return text;
        }
        String bare = COMMENT.matcher(text).replaceAll(" ");
        if (!file.toString().endsWith(".java")) {
            return CODE.matcher(bare).replaceAll(" ");
        }
        StringBuilder strings = new StringBuilder();
        STRING.matcher(bare).results().forEach(r -> strings.append(r.group()).append('\n'));
        return strings.toString().replaceAll("\"\\s*\"", "");
    }

    private static Stream<Path> files(String folder) throws IOException {
        return Files.walk(HOUSE.resolve(folder))
                .filter(Files::isRegularFile)
                .filter(f -> f.toString().matches(".*\\.(tsx|ts|java|csv)"))
                .filter(f -> !f.toString().matches(".*(\\.test\\.tsx?|schema\\.d\\.ts|/audit/.*)"));
    }

    @Test
    void nobodyIsShownAWordThatWeDoNotUse() throws IOException {
        List<Pattern> banned = banned();
        assertThat(banned).as("the table is read").hasSizeGreaterThan(10);
        List<String> found = new ArrayList<>();
        int read = 0;
        for (String folder : List.of("web/src", "core/src/main/java", "server/src/main")) {
            for (Path file : files(folder).sorted().toList()) {
                read++;
                String text = shown(file);
                for (Pattern word : banned) {
                    Matcher match = word.matcher(text);
                    if (match.find()) {
                        found.add(HOUSE.relativize(file) + ": " + match.group());
                    }
                }
            }
        }
        assertThat(read).isGreaterThan(500);
        assertThat(found).isEmpty();
    }

    /** The search itself: what it finds, and what it passes over. */
    @Test
    void aWordIsFoundWhereItIsShownAndNowhereElse() throws IOException {
        Path file = Files.createTempFile("words", ".java");
        Files.writeString(file, "// reckoned\nString a = \"was reckoned \" + \"anew\"; int reckoned;");
        assertThat(shown(file)).contains("was reckoned anew").doesNotContain("int");
        Path page = Files.createTempFile("words", ".tsx");
        Files.writeString(page, "import reckoned from 'x'\n/* reckoned */ <p>It is reckoned\n  anew</p>");
        Matcher match = Pattern.compile("reckoned").matcher(shown(page));
        assertThat(match.results().count()).isEqualTo(1);
    }
}
