package galecrest.server.device;

import galecrest.core.device.DeviceLine;
import galecrest.core.device.standin.LoggerModel;
import galecrest.core.device.standin.PadsModel;
import galecrest.core.device.standin.StandIn;
import galecrest.core.device.standin.WeatherModel;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.units.QuantityKind;
import galecrest.core.units.UnitSystem;
import galecrest.server.access.AnyHand;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Service;

/**
 * The instruments of the shop. Each is where {@code galecrest.device.KIND} says ({@code host:port}); where it says nothing
 * and {@code galecrest.stand-ins} is on, a simulated one is opened and joined.
 */
@Service
public class DeviceService {
    /** The kinds, and how long each may say nothing before it counts as silent, ms: a weather station speaks seldom. */
    private static final Map<String, Integer> SILENT_MILLIS = Map.of("pads", 2_000, "weather", 90_000, "logger", 5_000);
    /** The simulated car on the pads: its cross is too low. */
    private static final double[] LOADS = {121.5, 114, 168.5, 173};

    private final Map<String, DeviceConnection> joined = new HashMap<>();
    private final List<StandInServer> own = new ArrayList<>();

    DeviceService(Environment environment, @Value("${galecrest.stand-ins:false}") boolean standIns) {
        for (String kind : SILENT_MILLIS.keySet()) {
            String address = environment.getProperty("galecrest.device." + kind, "");
            if (!address.isBlank()) {
                joined.put(kind, at(kind, address.strip()));
            } else if (standIns) {
                StandInServer server = new StandInServer(model(kind), 0);
                own.add(server);
                joined.put(kind, new DeviceConnection("127.0.0.1", server.port(), SILENT_MILLIS.get(kind)));
            }
        }
    }

    private static StandIn model(String kind) {
        return switch (kind) {
            case "pads" -> new PadsModel(LOADS, 1);
            case "weather" -> new WeatherModel(2);
            default -> new LoggerModel(3);
        };
    }

    private static DeviceConnection at(String kind, String address) {
        int colon = address.lastIndexOf(':');
        try {
            return new DeviceConnection(
                    address.substring(0, colon),
                    Integer.parseInt(address.substring(colon + 1)),
                    SILENT_MILLIS.get(kind));
        } catch (NumberFormatException | IndexOutOfBoundsException wrong) {
            throw new IllegalStateException(
                    "galecrest.device." + kind + " is \"" + address + "\" and should be like 127.0.0.1:7071.", wrong);
        }
    }

    @PreDestroy
    void close() throws IOException {
        for (StandInServer server : own) {
            server.close();
        }
    }

    @AnyHand
    DeviceResponse now(String kind) {
        DeviceConnection device = device(kind);
        List<DeviceResponse.ReadingResponse> readings = device.watch().stream()
                .map(r -> new DeviceResponse.ReadingResponse(
                        r.name(), r.said(), figure(r.kind(), r.now()), figure(r.kind(), r.steady()), r.silent()))
                .toList();
        return new DeviceResponse(kind, device.simulated(), device.problem(), readings);
    }

    /** A channel as it is now, in the SI unit of its kind; nothing where it has fallen silent. */
    public record Channel(QuantityKind kind, String said, OptionalDouble value) {}

    /** What a device says now by channel; empty where there is none of that kind, or where nothing was heard yet. */
    public Map<String, Channel> channels(String kind) {
        DeviceConnection device = joined.get(kind);
        Map<String, Channel> all = new HashMap<>();
        if (device != null) {
            device.watch().forEach(r -> all.put(r.name(), new Channel(r.kind(), r.said(), r.now())));
        }
        return all;
    }

    private static GaugeAnswer.@Nullable Figure figure(QuantityKind kind, OptionalDouble value) {
        return value.isPresent() ? GaugeAnswer.figure(kind, value.getAsDouble(), UnitSystem.METRIC) : null;
    }

    @AnyHand
    void zero(String kind) {
        tell(kind, "zero");
    }

    @AnyHand
    void simulate(String kind, String what) {
        DeviceConnection device = device(kind);
        device.watch();
        if (!device.simulated()) {
            throw new ValidationException("what", "This is no stand-in: it measures what is there.");
        }
        if (what.isBlank()
                || what.length() > DeviceLine.LONGEST / 2
                || what.chars().anyMatch(c -> c < ' ')) {
            throw new ValidationException("what", "This cannot be simulated.");
        }
        tell(kind, "simulate " + what.strip());
    }

    private void tell(String kind, String line) {
        try {
            device(kind).tell(line);
        } catch (IOException gone) {
            throw new ValidationException("what", "The " + kind + " cannot be reached now.");
        }
    }

    private DeviceConnection device(String kind) {
        DeviceConnection device = joined.get(kind);
        if (device == null) {
            throw new NotFoundException("device");
        }
        return device;
    }
}
