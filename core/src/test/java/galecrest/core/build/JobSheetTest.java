package galecrest.core.build;

import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.people.Level;
import galecrest.core.shop.Problem;
import galecrest.core.time.Minutes;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

class JobSheetTest {
    private static final List<String> HEADER = List.of("ref", "job", "likely_min", "crew", "after", "zone");
    private static final Set<String> SKILLS = Set.of("fit", "weld");

    private static Map<String, String> row(String... cells) {
        Map<String, String> row = new HashMap<>();
        for (int i = 0; i < cells.length; i++) {
            row.put(HEADER.get(i), cells[i]);
        }
        return row;
    }

    private static JobSheet.Read read(List<Map<String, String>> rows) {
        return JobSheet.read(HEADER, rows, SKILLS, Set.of());
    }

    @Test
    void aRowBecomesAJobWithDefaults() {
        JobSheet.Read read = read(List.of(
                row("a", "Cut tunnel", "90", "weld:lead + fit", "", "cockpit"),
                row("b", "Weld tunnel", "60", "weld", "a SS +2hw risk 20% 30m", "")));
        assertThat(read.problems()).isEmpty();
        JobSpec first = read.lines().get(0).spec();
        assertThat(first.crew()).containsExactly(new CrewPlace("weld", Level.LEAD), new CrewPlace("fit", Level.ABLE));
        assertThat(first.lowMinutes()).isEqualTo(60);
        assertThat(first.highMinutes()).isEqualTo(180);
        assertThat(read.lines().get(1).after())
                .containsExactly(new JobSheet.After(
                        "a",
                        Link.Type.START_START,
                        new Link.Lag(Minutes.of(120), true),
                        Optional.of(new Link.Risk(0.2, Minutes.of(30)))));
    }

    @Test
    void everyProblemIsFoundWithItsLineAndColumn() {
        JobSheet.Read read =
                read(List.of(row("a", "", "x", "juggle", "", "roof"), row("a", "B", "30", "fit", "nowhere", "")));
        assertThat(read.problems())
                .extracting(Problem::field)
                .contains(
                        "line 2, job",
                        "line 2, likely_min",
                        "line 2, crew",
                        "line 2, zone",
                        "line 3, ref",
                        "line 3, after");
    }

    @Test
    void missingColumnsAreNamed() {
        JobSheet.Read read = JobSheet.read(List.of("job", "colour"), List.of(), SKILLS, Set.of());
        assertThat(read.problems()).anySatisfy(p -> assertThat(p.field()).contains("likely_min, crew"));
        assertThat(read.problems()).anySatisfy(p -> assertThat(p.field()).contains("colour"));
    }

    @Test
    void aCircleIsNamed() {
        JobSheet.Read read = read(List.of(
                row("a", "Seat", "30", "fit", "c", ""),
                row("b", "Pedals", "30", "fit", "a", ""),
                row("c", "Shifter", "30", "fit", "b", "")));
        assertThat(read.problems()).singleElement().satisfies(p -> assertThat(p.message())
                .contains("Seat")
                .contains("Pedals")
                .contains("Shifter"));
    }

    @Test
    void tooManyRowsAreRefused() {
        List<Map<String, String>> rows = new ArrayList<>();
        for (int i = 0; i <= JobSheet.MOST_ROWS; i++) {
            rows.add(row("", "Job", "30", "fit", "", ""));
        }
        assertThat(read(rows).problems()).singleElement().satisfies(p -> assertThat(p.message())
                .contains("at most 2000"));
    }
}
