package galecrest.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.people.Level;
import galecrest.core.shop.Problem;
import galecrest.core.time.Minutes;
import galecrest.core.work.CrewPlace;
import galecrest.core.work.Link;
import galecrest.core.work.Outwork;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.From;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

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
        return JobSheet.read(HEADER, rows, new JobSheet.Known(SKILLS, Set.of(), Set.of()));
    }

    @Test
    void aRowBecomesAJobWithDefaults() {
        JobSheet.Read read = read(List.of(
                row("a", "Cut tunnel", "90", "weld:lead + fit", "", "cockpit"),
                row("b", "Weld tunnel", "60", "weld", "a SS +2hw risk 20% 30m: so that they clear it", "")));
        assertThat(read.problems()).isEmpty();
        JobSpec first = read.lines().get(0).spec();
        assertThat(first.crew()).containsExactly(new CrewPlace("weld", Level.LEAD), new CrewPlace("fit", Level.ABLE));
        assertThat(first.lowMinutes()).isEqualTo(60);
        assertThat(first.highMinutes()).isEqualTo(180);
        assertThat(read.lines().get(1).after())
                .containsExactly(new SheetLine.After(
                        "a",
                        Link.Type.START_START,
                        new Link.Lag(Minutes.of(120), true),
                        Optional.of(new Link.Risk(0.2, Minutes.of(30))),
                        "so that they clear it"));
    }

    /** A row that another firm does needs no crew; without it, what comes after it comes after what it follows. */
    @Test
    void aRowMayBeDoneOutside() {
        List<Map<String, String>> rows = new ArrayList<>(List.of(
                row("a", "Checklist", "90", "fit"),
                row("t", "Power runs", "30", "", "a"),
                row("b", "Fresh oil", "60", "fit", "t: the plugs are read after it")));
        rows.get(1).put("outside", "tuning: 1-2-3");
        List<String> header = new ArrayList<>(HEADER);
        header.add("outside");
        JobSheet.Read read = JobSheet.read(header, rows, new JobSheet.Known(SKILLS, Set.of(), Set.of()));
        assertThat(read.problems()).isEmpty();
        assertThat(read.lines().get(1).outside())
                .contains(new SheetLine.Outside("tuning", new Outwork.Turnaround(1, 2, 3)));
        List<SheetLine> inside = SheetLine.inTheShop(read.lines());
        assertThat(inside).extracting(l -> l.spec().name()).containsExactly("Checklist", "Fresh oil");
        assertThat(inside.get(1).after()).extracting(SheetLine.After::ref).containsExactly("a");

        for (String wrong :
                List.of("tuning", "tuning: 3-2-1", "tuning 1-2-3", ": 1-2-3", "tuning: 1-2", "tuning: 1-2-251")) {
            rows.get(1).put("outside", wrong);
            assertThat(JobSheet.read(header, rows, new JobSheet.Known(SKILLS, Set.of(), Set.of()))
                            .problems())
                    .extracting(Problem::field)
                    .as(wrong)
                    .contains("line 3, outside");
        }
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
        JobSheet.Read read =
                JobSheet.read(List.of("job", "colour"), List.of(), new JobSheet.Known(SKILLS, Set.of(), Set.of()));
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

    /** Cells as people get them wrong: other columns' words, signs alone, numbers far too long. */
    @Provide
    Arbitrary<String> cells() {
        return Arbitraries.oneOf(
                Arbitraries.of(
                        "",
                        "yes",
                        "no",
                        "maybe",
                        "30",
                        "0",
                        "-5",
                        "90",
                        "2147483647",
                        "99999999999",
                        "1.5",
                        "NaN",
                        "a"),
                Arbitraries.of(
                        "fit", "weld:lead + fit", ":", "+", "fit:", ":lead", "fit:boss", "fit+fit+fit+fit+fit+fit+fit"),
                Arbitraries.of(
                        "a",
                        "b SS",
                        "a FF +8h",
                        "a +99999999999h",
                        "a +90mw risk 20% 60m",
                        "a risk 999% 99999999999m",
                        ";",
                        "a;a",
                        "nowhere",
                        "a +1h +1h",
                        "nothing",
                        "bar; Bar",
                        "b risk 0% 0m"),
                Arbitraries.of("cockpit", "engine bay", "zone", "whole car", "first_fire", "roof", "lift", "14400"),
                Arbitraries.strings().ofMaxLength(12));
    }

    @Property(tries = 2000)
    void whateverTheCellsItIsReadOrRefusedAtItsPlace(@ForAll @Size(22) List<@From("cells") String> cells) {
        List<Map<String, String>> rows = new ArrayList<>();
        rows.add(Map.of("ref", "a", "job", "Cut", "likely_min", "30", "crew", "fit"));
        Map<String, String> row = new HashMap<>(Map.of("job", "Weld", "likely_min", "60", "crew", "weld"));
        Random random = new Random(cells.hashCode());
        for (int i = 0; i < JobSheet.COLUMNS.size(); i++) {
            if (random.nextInt(3) == 0) {
                row.put(JobSheet.COLUMNS.get(i), cells.get(i));
            }
        }
        rows.add(row);
        JobSheet.Read read =
                JobSheet.read(JobSheet.COLUMNS, rows, new JobSheet.Known(SKILLS, Set.of("lift"), Set.of()));
        for (Problem problem : read.problems()) {
            assertThat(problem.message()).isNotBlank();
            String[] place = problem.field().split(", ");
            assertThat(place[0]).isIn("line 2", "line 3");
            assertThat(JobSheet.COLUMNS).contains(place[1]);
        }
        if (read.problems().isEmpty()) {
            JobSpec spec = read.lines().get(1).spec();
            assertThat(spec.problems()).isEmpty();
            assertThat(spec.crew()).allMatch(c -> SKILLS.contains(c.skill()));
            assertThat(read.lines().get(1).after())
                    .allMatch(a -> a.lag().minutes().value() >= 0);
        }
    }

    @ParameterizedTest
    @CsvSource({
        "low_min, 0, low_min, more than 0",
        "low_min, 100, low_min, above the likely one",
        "high_min, 10, high_min, below the likely one",
        "high_min, 60000, high_min, split it",
        "one_go, sometimes, one_go, neither yes nor no",
        "cure_h, 2000, cure_h, between 0 and 1440",
        "cure_h, overnight, cure_h, between 0 and 1440",
        "crew, '', crew, 1 to 6 hands",
        "crew, fit:boss, crew, 'learner, able, lead'",
        "station, dyno, station, no station of the kind",
        "find_percent, 120, find_percent, 0 to 100",
        "find_percent, 20, find_min, How much work",
        "cure_locks, door, cure_locks, is none of",
        "gate, pub, gate, is none of",
        "after, 'a then b', after, cannot be read",
        "after, c, after, no line with the ref c",
        "disturbs, moonlight, disturbs, no such work as \"moonlight\"",
    })
    void aCellThatCannotBeIsSaidAtItsColumn(String column, String cell, String at, String said) {
        Map<String, String> row = new HashMap<>(Map.of("ref", "a", "job", "Weld", "likely_min", "60", "crew", "weld"));
        row.put(column, cell);
        assertThat(JobSheet.read(
                                JobSheet.COLUMNS,
                                List.of(row),
                                new JobSheet.Known(SKILLS, Set.of("lift"), Set.of("Bar")))
                        .problems())
                .anySatisfy(p -> {
                    assertThat(p.field()).isEqualTo("line 2, " + at);
                    assertThat(p.message()).contains(said);
                });
    }

    /** What a line disturbs is left to its words, is nothing, or is some of what the shop knows; the case does not matter. */
    @ParameterizedTest
    @CsvSource({
        "'', words",
        "nothing, ''",
        "NOTHING, ''",
        "strut spacer, strut spacer",
        "' Bar ; Strut spacer', Bar;Strut spacer"
    })
    void aLineSaysWhatItDisturbs(String cell, String disturbs) {
        Map<String, String> row = Map.of("job", "Weld", "likely_min", "60", "crew", "weld", "disturbs", cell);
        JobSheet.Known known = new JobSheet.Known(SKILLS, Set.of(), Set.of("Strut spacer", "Bar"));
        JobSheet.Read read = JobSheet.read(JobSheet.COLUMNS, List.of(row), known);
        assertThat(read.problems()).isEmpty();
        Optional<Set<String>> expected = disturbs.equals("words")
                ? Optional.empty()
                : Optional.of(disturbs.isEmpty() ? Set.of() : Set.of(disturbs.split(";")));
        assertThat(read.lines().get(0).disturbs()).isEqualTo(expected);
    }

    @Test
    void theWholeCarMustBeOnTheCar() {
        Map<String, String> row =
                Map.of("job", "Weld", "likely_min", "60", "crew", "weld", "on_car", "no", "whole_car", "yes");
        assertThat(JobSheet.read(JobSheet.COLUMNS, List.of(row), new JobSheet.Known(SKILLS, Set.of(), Set.of()))
                        .problems())
                .extracting(Problem::field)
                .containsExactly("line 2, whole_car");
    }
}
