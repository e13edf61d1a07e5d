package galecrest.server.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.ServerTest;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.stream.StreamSupport;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/** Calendars by private link, read back by ical4j, and the plan as CSV, read back by Commons CSV. */
class CalendarTest extends ServerTest {
    private String get(String path) throws Exception {
        return mvc.perform(MockMvcRequestBuilders.get(path))
                .andReturn()
                .getResponse()
                .getContentAsString(StandardCharsets.UTF_8);
    }

    private int status(String path) throws Exception {
        return mvc.perform(MockMvcRequestBuilders.get(path))
                .andReturn()
                .getResponse()
                .getStatus();
    }

    private static Calendar parsed(String text) throws Exception {
        return new CalendarBuilder().build(new StringReader(text));
    }

    @Test
    void aPersonsCalendarIsWhatTheyWereTold() throws Exception {
        String path = call(MARA, "POST", "/api/feeds", Map.of("kind", "PERSON", "subject", "bo"))
                .body()
                .path("path")
                .asText();
        Calendar calendar = parsed(get(path));
        calendar.validate(true);
        TreeSet<String> told = new TreeSet<>();
        JsonNode board = call(BO, "GET", "/api/board", null).body();
        board.path("works").forEach(w -> w.path("placed").path("at").forEach(span -> {
            boolean his = StreamSupport.stream(w.path("placed").path("crew").spliterator(), false)
                    .anyMatch(c -> c.asText().equals("bo"));
            if (his) {
                told.add(Instant.parse(span.path("from").asText()) + " "
                        + w.path("name").asText());
            }
        }));
        TreeSet<String> read = new TreeSet<>();
        List<VEvent> events = calendar.getComponents("VEVENT");
        for (VEvent event : events) {
            String summary = event.getSummary().getValue();
            read.add(Instant.from(event.getDateTimeStart().getDate()) + " "
                    + summary.substring(summary.indexOf(": ") + 2));
        }
        assertThat(read).isEqualTo(told).isNotEmpty();
        String token = path.replace("/feeds/", "").replace(".ics", "");
        assertThat(token).hasSizeGreaterThanOrEqualTo(32);
        assertThat(call(MARA, "DELETE", "/api/feeds/" + token, null).status()).isEqualTo(204);
        assertThat(status(path)).isEqualTo(404);
    }

    @Test
    void stationsAndBuildsHaveCalendarsToo() throws Exception {
        String car = find("cars", "number", "8").path("id").asText();
        String station = board().path("stations").get(0).path("id").asText();
        for (Map<String, String> of :
                List.of(Map.of("kind", "BUILD", "subject", car), Map.of("kind", "STATION", "subject", station))) {
            String path =
                    call(MARA, "POST", "/api/feeds", of).body().path("path").asText();
            assertThat(parsed(get(path)).getComponents("VEVENT")).isNotEmpty();
        }
    }

    @Test
    void onlyTheManagerMakesLinksAndNothingTellsOneUnknownFromAnother() throws Exception {
        assertThat(call(SEF, "POST", "/api/feeds", Map.of("kind", "PERSON", "subject", "bo"))
                        .status())
                .isEqualTo(403);
        assertThat(call(MARA, "POST", "/api/feeds", Map.of("kind", "PERSON", "subject", "nobody"))
                        .status())
                .isEqualTo(404);
        assertThat(status("/feeds/x.ics")).isEqualTo(404);
        assertThat(get("/feeds/x.ics")).isEmpty();
    }

    /** Folding and escaping of RFC 5545, sections 3.1 and 3.3.11. */
    @Test
    void longLinesAreFoldedAndTextsEscaped() throws Exception {
        String name = "Räder; links, rechts\nund \\ ".repeat(9).strip();
        Instant at = Instant.parse(at(0, "08:00"));
        String text = CalendarFile.write(
                name, at, List.of(new CalendarFile.Entry("a@galecrest", at, at.plusSeconds(900), name, "", "")));
        for (String line : text.split("\r\n")) {
            assertThat(line.getBytes(StandardCharsets.UTF_8).length).isLessThanOrEqualTo(75);
        }
        VEvent event = (VEvent) parsed(text).getComponents("VEVENT").get(0);
        assertThat(event.getSummary().getValue()).isEqualTo(name);
    }

    @Test
    void thePlanAsCsvHasARowForAllThatIsPlanned() throws Exception {
        var answer = mvc.perform(MockMvcRequestBuilders.get("/api/plan.csv").cookie(session(MARA)))
                .andReturn()
                .getResponse();
        List<CSVRecord> rows = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get()
                .parse(new StringReader(answer.getContentAsString(StandardCharsets.UTF_8)))
                .getRecords();
        long planned = StreamSupport.stream(board().path("works").spliterator(), false)
                .filter(w -> w.has("placed"))
                .count();
        assertThat(rows).hasSize((int) planned);
        assertThat(rows.get(0).get("start")).matches("\\d{4}-\\d\\d-\\d\\d \\d\\d:\\d\\d");
        assertThat(call(BO, "GET", "/api/plan.csv", null).status()).isEqualTo(403);
    }

    @Test
    void theSessionsOfAnEventStandInTheCalendarOfItsCarAndItsCrew() throws Exception {
        String car = newBuild("C1", "Calendar car");
        Map<String, Object> form = new HashMap<>();
        form.put("name", "Calendar meeting");
        form.put("place", "Hollin");
        form.put("loadsAt", at(50, "16:00"));
        form.put("backAt", at(52, "20:00"));
        form.put("mostSets", 4);
        form.put("mostNew", 1);
        form.put("uses", 2);
        form.put(
                "sessions",
                List.of(Map.of("name", "Race", "kind", "RACE", "start", at(51, "10:00"), "minutes", 40, "km", 70)));
        form.put("cars", List.of(Map.of("buildId", car, "spare", false)));
        form.put("crew", List.of("kit"));
        form.put("version", 0);
        String event = call(SEF, "POST", "/api/events", form).body().path("id").asText();
        for (Map<String, String> feed :
                List.of(Map.of("kind", "BUILD", "subject", car), Map.of("kind", "PERSON", "subject", "kit"))) {
            String path =
                    call(MARA, "POST", "/api/feeds", feed).body().path("path").asText();
            Map<String, Instant> starts = new HashMap<>();
            List<VEvent> entries = parsed(get(path)).getComponents("VEVENT");
            entries.forEach(e -> starts.put(
                    e.getSummary().getValue(), Instant.from(e.getDateTimeStart().getDate())));
            assertThat(starts)
                    .containsEntry("Calendar meeting", Instant.parse(at(50, "16:00")))
                    .containsEntry("Calendar meeting: Race", Instant.parse(at(51, "10:00")));
            call(MARA, "DELETE", "/api/feeds/" + path.replace("/feeds/", "").replace(".ics", ""), null);
        }
        call(SEF, "DELETE", "/api/events/" + event, null);
        call(MARA, "DELETE", "/api/builds/" + car, null);
    }
}
