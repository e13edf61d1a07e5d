package galecrest.server.demo;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.ServerTest;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZonedDateTime;
import java.util.HashMap;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.context.TestPropertySource;

/** The demo lives on: a day goes by, work is done by those whom the plan has for it, and it is the next morning. */
@TestPropertySource(properties = "galecrest.demo.moves=true")
@DirtiesContext
class NextMorningTest extends ServerTest {
    /** Days go by in a shop of its own. */
    @DynamicPropertySource
    static void itsOwnShop(DynamicPropertyRegistry properties) {
        properties.add("spring.datasource.url", () -> System.getenv("SPRING_DATASOURCE_URL") + "_morning");
    }

    private long done() throws Exception {
        return StreamSupport.stream(board().get("works").spliterator(), false)
                .filter(w -> w.get("status").asText().equals("DONE"))
                .count();
    }

    private ZonedDateTime now() throws Exception {
        return Instant.parse(board().get("now").asText()).atZone(ZONE);
    }

    @Test
    void aWeekIsLivedThrough() throws Exception {
        ZonedDateTime before = now();
        assertThat(before.getDayOfWeek()).isNotIn(DayOfWeek.SATURDAY, DayOfWeek.SUNDAY);
        assertThat(before.toLocalTime()).as("never a dead shop").isBetween(LocalTime.of(7, 0), LocalTime.of(15, 30));
        long first = done();
        for (int morning = 0; morning < 3; morning++) {
            ZonedDateTime last = now();
            Answer answer = call(MARA, "POST", "/api/demo/next-morning", null);
            assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
            ZonedDateTime now = now();
            assertThat(now.toLocalDate()).isAfter(last.toLocalDate());
            assertThat(now.getDayOfWeek()).isNotIn(DayOfWeek.SATURDAY, DayOfWeek.SUNDAY);
            assertThat(now.getHour()).isEqualTo(7);
        }
        assertThat(done()).as("work has been done meanwhile").isGreaterThan(first + 5);
        JsonNode yesterday = call(MARA, "GET", "/api/catch-up", null).body();
        Map<String, Integer> minutes = new HashMap<>();
        for (JsonNode person : yesterday.get("people")) {
            for (JsonNode written : person.get("written")) {
                minutes.merge(
                        person.get("personId").asText(), written.get("minutes").asInt(), Integer::sum);
            }
        }
        assertThat(minutes.values().stream().mapToInt(m -> m).sum())
                .as("hours are credited to whom did the work")
                .isGreaterThan(6 * 60);
        minutes.forEach((person, all) -> assertThat(all).as(person).isLessThanOrEqualTo(16 * 60));
        assertThat(call(SEF, "POST", "/api/demo/next-morning", null).status()).isEqualTo(403);
    }
}
