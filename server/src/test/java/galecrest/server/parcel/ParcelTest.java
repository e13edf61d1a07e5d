package galecrest.server.parcel;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.when;

import com.fasterxml.jackson.databind.node.ObjectNode;
import galecrest.server.ServerTest;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.context.bean.override.mockito.MockitoBean;

/** The carrier is outside, so it is mocked; its stand-in is looked at by itself. */
class ParcelTest extends ServerTest {
    private static final String NUMBER = "BW-4471";

    @Autowired
    private ParcelWatch watch;

    @MockitoBean
    private ParcelTracker carrier;

    private void says(ParcelTracker.State state, String said, Instant expected) {
        when(carrier.ask(eq(NUMBER), any(), any(), any()))
                .thenReturn(Optional.of(new ParcelTracker.Sighting(state, said, Optional.ofNullable(expected))));
        watch.look();
    }

    @Test
    void whatTheCarrierSaysMovesThePartOnce() throws Exception {
        ObjectNode before = (ObjectNode) find("parts", "name", "coated exhaust flange");
        Instant later = Instant.parse(at(9, "11:00"));
        says(ParcelTracker.State.SLIPPED, "missed its lorry", later);
        assertThat(find("parts", "name", "coated exhaust flange")
                        .get("arrivalLikely")
                        .asText())
                .isEqualTo(later.toString());
        long change = board().get("change").asLong();
        says(ParcelTracker.State.SLIPPED, "missed its lorry", later);
        assertThat(board().get("change").asLong()).isEqualTo(change);
        says(ParcelTracker.State.LOST, "cannot be found", null);
        assertThat(find("parts", "name", "coated exhaust flange").has("arrivalLikely"))
                .isFalse();
        says(ParcelTracker.State.DELIVERED, "handed over", later);
        assertThat(find("parts", "name", "coated exhaust flange").get("state").asText())
                .isEqualTo("ARRIVED");
        assertThat(call(BO, "GET", "/api/arrivals", null).body().toString()).contains("coated exhaust flange");
        before.put(
                "version",
                find("parts", "name", "coated exhaust flange").get("version").asInt());
        assertThat(call(MARA, "PUT", "/api/parts/" + before.get("id").asText(), before)
                        .status())
                .isEqualTo(204);
    }

    /** The carrier says the same at every round; a day that somebody has heard on the telephone since stands. */
    @Test
    void whatAPersonHasSaidSinceStands() throws Exception {
        ObjectNode before = (ObjectNode) find("parts", "name", "coated exhaust flange");
        String id = before.get("id").asText();
        Instant slipped = Instant.parse(at(9, "11:00"));
        says(ParcelTracker.State.SLIPPED, "is stuck at the border", slipped);
        String rung = at(12, "11:00");
        Map<String, Object> word = Map.of("said", "they rang: Monday week", "low", rung, "likely", rung, "high", rung);
        assertThat(call(MARA, "POST", "/api/parts/" + id + "/words", word).status())
                .isEqualTo(204);
        says(ParcelTracker.State.SLIPPED, "is stuck at the border", slipped);
        assertThat(find("parts", "id", id).get("arrivalLikely").asText()).isEqualTo(rung);
        before.put("version", find("parts", "id", id).get("version").asInt());
        assertThat(call(MARA, "PUT", "/api/parts/" + id, before).status()).isEqualTo(204);
    }

    /** Over many numbers the stand-in does all it can; nothing is delivered before it was to come. */
    @Test
    void theStandInMovesSlipsLosesAndDelivers() {
        SimulatedCarrier standIn = new SimulatedCarrier();
        Instant promised = Instant.parse(at(6, "11:00"));
        Instant shipped = promised.minus(Duration.ofDays(4));
        var before = IntStream.range(0, 300)
                .mapToObj(i -> standIn.ask("P" + i, shipped, promised, promised.minus(Duration.ofHours(3)))
                        .orElseThrow()
                        .state())
                .toList();
        assertThat(before).contains(ParcelTracker.State.MOVING, ParcelTracker.State.SLIPPED);
        assertThat(before).doesNotContain(ParcelTracker.State.DELIVERED);
        var after = IntStream.range(0, 300)
                .mapToObj(i -> standIn.ask("P" + i, shipped, promised, promised.plus(Duration.ofDays(5)))
                        .orElseThrow()
                        .state())
                .toList();
        assertThat(after).containsOnly(ParcelTracker.State.DELIVERED, ParcelTracker.State.LOST);
    }
}
