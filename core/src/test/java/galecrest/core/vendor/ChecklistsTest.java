package galecrest.core.vendor;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What is looked at before a car or a part goes and when it is back. Common practice. */
class ChecklistsTest {
    private static List<String> said(List<Checklists.Item> items) {
        return items.stream().map(Checklists.Item::text).toList();
    }

    @ParameterizedTest
    @ValueSource(strings = {"tuning", "Dyno tuning", "rolling road"})
    void aCarGoesToTheTunerChargedFuelledTightAndWithItsLimits(String trade) {
        Checklists lists = Checklists.of(trade);
        assertThat(String.join("; ", said(lists.send())))
                .contains("Charging voltage", "Fuel", "leaks", "sensors", "Tyres", "unfinished", "revs, boost");
        assertThat(said(lists.back())).contains("Fresh oil and filter", "Read the plugs", "File the power sheet");
    }

    @ParameterizedTest
    @CsvSource({
        "powder coating, Chase threads and sensor holes",
        "Zinc plating, Trial fit after coating",
        "paint, Trial fit after coating",
        "machining, Measure against the drawing",
        "laser cutting, Measure against the drawing",
        "engine building, Prime the oil system before first fire",
        "upholstery, Trial fit on return"
    })
    void eachTradeHasItsJobOnReturn(String trade, String job) {
        assertThat(said(Checklists.of(trade).back())).contains(job);
    }

    @ParameterizedTest
    @ValueSource(strings = {"tuning", "coating", "machining", "engines", "", "something else"})
    void everyListHasSomethingToLookAtAndItsJobsCanBePlanned(String trade) {
        Checklists lists = Checklists.of(trade);
        assertThat(said(lists.send())).isNotEmpty().doesNotHaveDuplicates();
        assertThat(said(lists.back())).isNotEmpty().doesNotHaveDuplicates();
        assertThat(lists.send()).allMatch(i -> i.job().isEmpty());
        assertThat(lists.back().stream().flatMap(i -> i.job().stream()))
                .isNotEmpty()
                .allMatch(j -> j.minutes() > 0 && !j.skill().isBlank());
    }
}
