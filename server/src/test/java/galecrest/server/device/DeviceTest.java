package galecrest.server.device;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.core.device.standin.PadsModel;
import galecrest.server.ServerTest;
import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Instruments over their sockets: they settle, fall silent, come back, and say nonsense. */
class DeviceTest extends ServerTest {
    private JsonNode pads() throws Exception {
        return call(BO, "GET", "/api/devices/pads", null).body();
    }

    private static JsonNode pad(JsonNode device, String name) {
        for (JsonNode reading : device.path("readings")) {
            if (reading.path("name").asText().equals(name)) {
                return reading;
            }
        }
        return device.path("none");
    }

    private void tell(String what) throws Exception {
        assertThat(call(BO, "POST", "/api/devices/pads/simulate", Map.of("what", what))
                        .status())
                .isEqualTo(204);
    }

    private double cross() throws Exception {
        await(() -> List.of("A", "B", "C", "D").stream().allMatch(p -> steadyNow(p)));
        JsonNode now = pads();
        double sum = 0;
        for (String name : List.of("A", "B", "C", "D")) {
            sum += pad(now, name).at("/steady/value").asDouble();
        }
        return (pad(now, "B").at("/steady/value").asDouble()
                        + pad(now, "C").at("/steady/value").asDouble())
                / sum;
    }

    private boolean steadyNow(String name) {
        try {
            return pad(pads(), name).hasNonNull("steady");
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    void padsSettleFallSilentAndComeBack() throws Exception {
        await(() -> pads().path("readings").size() == 4);
        assertThat(pads().path("simulated").asBoolean()).isTrue();
        tell("load 250 250 250 250");
        // Pad C is off by 2.4 kg: that alone makes the cross more than half.
        assertThat(cross()).isBetween(0.5010, 0.5014);
        tell("silent C");
        await(() -> pad(pads(), "C").path("silent").asBoolean());
        assertThat(pad(pads(), "C").hasNonNull("now")).isFalse();
        assertThat(pad(pads(), "A").path("silent").asBoolean()).isFalse();
        tell("well");
        assertThat(cross()).isBetween(0.5010, 0.5014);
    }

    @Test
    void whatIsNoDeviceOrNoWordIsRefused() throws Exception {
        await(() -> pads().path("readings").size() == 4);
        assertThat(call(BO, "GET", "/api/devices/moon", null).status()).isEqualTo(404);
        assertThat(call(BO, "POST", "/api/devices/pads/simulate", Map.of("what", "load 1 1 1 1\nload 9 9 9 9"))
                        .at("what"))
                .contains("cannot be simulated");
        assertThat(call(BO, "POST", "/api/devices/pads/simulate", Map.of("what", " "))
                        .status())
                .isEqualTo(422);
    }

    /** A device of another version, one that says nonsense, and one that is not there. */
    @Test
    void aDeviceThatIsNoneIsSaidInWords() throws Exception {
        try (ServerSocket door = new ServerSocket(0, 4, InetAddress.getLoopbackAddress())) {
            Thread other = new Thread(() -> {
                try (Socket socket = door.accept()) {
                    socket.getOutputStream().write("galecrest-device 9 pads\n".getBytes(StandardCharsets.UTF_8));
                    socket.getOutputStream().flush();
                    Thread.sleep(500);
                } catch (IOException | InterruptedException end) {
                    Thread.currentThread().interrupt();
                }
            });
            other.start();
            DeviceConnection connection = new DeviceConnection("127.0.0.1", door.getLocalPort(), 2_000);
            await(() -> {
                connection.watch();
                return connection.problem() != null;
            });
            assertThat(connection.problem()).contains("another version");
        }
        int free;
        try (ServerSocket door = new ServerSocket(0)) {
            free = door.getLocalPort();
        }
        DeviceConnection gone = new DeviceConnection("127.0.0.1", free, 2_000);
        await(() -> {
            gone.watch();
            return gone.problem() != null;
        });
        assertThat(gone.problem()).contains("cannot be reached at 127.0.0.1:" + free);
    }

    /** A line without end is no way to fill the memory; what comes after it is heard. */
    @Test
    void whatIsNoReadingIsPassedOver() throws Exception {
        try (ServerSocket door = new ServerSocket(0, 4, InetAddress.getLoopbackAddress())) {
            Thread other = new Thread(() -> {
                try (Socket socket = door.accept()) {
                    byte[] endless = "x".repeat(100_000).getBytes(StandardCharsets.UTF_8);
                    socket.getOutputStream().write(endless);
                    socket.getOutputStream()
                            .write("\nwelcome\nreading A 1e999 kg\nreading A 12 moons\nreading A 251.5 kg\n"
                                    .getBytes(StandardCharsets.UTF_8));
                    socket.getOutputStream().flush();
                    Thread.sleep(3_000);
                } catch (IOException | InterruptedException end) {
                    Thread.currentThread().interrupt();
                }
            });
            other.start();
            DeviceConnection connection = new DeviceConnection("127.0.0.1", door.getLocalPort(), 2_000);
            await(() -> !connection.watch().isEmpty());
            assertThat(connection.watch())
                    .singleElement()
                    .satisfies(r -> assertThat(r.now().orElseThrow()).isEqualTo(251.5));
        }
    }

    @Test
    void severalListenAtOnceAndThePortIsThisMachinesAlone() throws Exception {
        try (StandInServer server = new StandInServer(new PadsModel(new double[] {100, 100, 100, 100}, 4), 0)) {
            List<DeviceConnection> all = List.of(
                    new DeviceConnection("127.0.0.1", server.port(), 2_000),
                    new DeviceConnection("127.0.0.1", server.port(), 2_000));
            for (DeviceConnection one : all) {
                await(() -> one.watch().size() == 4
                        && one.watch().stream().allMatch(r -> r.steady().isPresent()));
            }
            all.get(0).tell("simulate silent A");
            await(() -> all.get(1).watch().stream().anyMatch(r -> r.name().equals("A") && r.silent()));
        }
    }
}
