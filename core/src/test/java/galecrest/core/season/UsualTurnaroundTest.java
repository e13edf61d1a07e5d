package galecrest.core.season;

import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.component.Component;
import galecrest.core.component.Wear;
import galecrest.core.sheet.SheetLine;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** What a turnaround consists of is common practice; that it hangs together is checked here. */
class UsualTurnaroundTest {
    private static UsualTurnaround.Facts facts(boolean otherPlace, UsualTurnaround.FallsDue... due) {
        return new UsualTurnaround.Facts(
                "Four hours",
                "Winter cup",
                otherPlace,
                "5.7 h, 670 km",
                List.of("set 21", "set 22"),
                List.of("set 21"),
                List.of(due));
    }

    private static List<String> keys(List<TurnaroundLine> lines) {
        return lines.stream().map(TurnaroundLine::key).toList();
    }

    @Test
    void gearingOnlyForAnotherPlaceAndServiceOnlyWhereItFallsDue() {
        assertThat(keys(UsualTurnaround.of(facts(false))))
                .doesNotContain("gearing")
                .endsWith("set-up", "load");
        List<TurnaroundLine> all = UsualTurnaround.of(facts(
                true,
                new UsualTurnaround.FallsDue("engine V-8/1", "41 of 45 h", true),
                new UsualTurnaround.FallsDue("extinguisher X-78", "expired", false)));
        assertThat(keys(all)).contains("gearing", "due-engine V-8/1", "due-extinguisher X-78", "scuff-set 21");
        assertThat(all)
                .filteredOn(TurnaroundLine::canFollow)
                .extracting(TurnaroundLine::key)
                .containsExactlyInAnyOrder("gearing", "scuff-set 21");
        assertThat(all)
                .extracting(TurnaroundLine::name)
                .contains("Service: engine V-8/1", "Replace: extinguisher X-78", "Tyres mounted: set 21, set 22");
    }

    /** Whatever lines are chosen, each waits only for lines that are chosen, and the order can be worked. */
    @Test
    void everyChoiceOfLinesCanBeWorkedInOrder() {
        List<TurnaroundLine> all = UsualTurnaround.of(facts(true, new UsualTurnaround.FallsDue("engine", "due", true)));
        for (int choice = 1; choice < 1 << all.size(); choice += 7) {
            List<TurnaroundLine> chosen = new ArrayList<>();
            for (int i = 0; i < all.size(); i++) {
                if ((choice >> i & 1) == 1) {
                    chosen.add(all.get(i));
                }
            }
            Set<String> there = chosen.stream().map(TurnaroundLine::key).collect(Collectors.toSet());
            Set<String> before = new HashSet<>();
            for (TurnaroundLine line : chosen) {
                SheetLine row = line.line(1, there);
                assertThat(row.spec().problems()).isEmpty();
                assertThat(before)
                        .containsAll(
                                row.after().stream().map(SheetLine.After::ref).toList());
                before.add(line.key());
            }
        }
    }

    @Test
    void aShopWithoutTheSkillOrTheStationStillGetsTheWork() {
        TurnaroundLine fluids = UsualTurnaround.of(facts(false)).stream()
                .map(l -> l.where(Set.of("all-round"), "all-round", Set.of()))
                .filter(l -> l.key().equals("brakes"))
                .findFirst()
                .orElseThrow();
        assertThat(fluids.skill()).isEqualTo("all-round");
        assertThat(fluids.station()).isEmpty();
        assertThat(fluids.labour()).isEqualTo(180);
    }

    private static Component fitted(String name, String identity) {
        return new Component(
                identity, name, identity, Wear.NONE, List.of(), List.of(), List.of(), Optional.empty(), false);
    }

    @Test
    void aSpareLacksWhatTheRaceCarHas() {
        List<Component> race = List.of(fitted("Engine", "V-8/1"), fitted("gearbox", "G-114"), fitted("harness", "H"));
        SpareLevel level =
                SpareLevel.of(List.of(fitted("engine", "V-8/2")), race, 150, List.of("driveshaft right, ordered"));
        assertThat(level.shares()).containsExactly("gearbox G-114", "harness H");
        assertThat(level.complete()).isFalse();
        assertThat(level.said())
                .isEqualTo(
                        "Everything but gearbox G-114 and harness H, which the race car has; to make it run: 2.5 h of"
                                + " work and driveshaft right, ordered.");
        assertThat(SpareLevel.of(race, race, 0, List.of()).said()).isEqualTo("Complete: it can run as it stands.");
        assertThat(SpareLevel.of(race, race, 60, List.of()).said())
                .isEqualTo("Everything is on it; to make it run: 1.0 h of work.");
    }
}
