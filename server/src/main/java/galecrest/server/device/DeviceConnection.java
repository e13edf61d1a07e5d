package galecrest.server.device;

import galecrest.core.device.DeviceLine;
import galecrest.core.device.Settling;
import galecrest.core.units.QuantityKind;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;

/**
 * Listens to one device while somebody looks, and knows of each reading what it says now, whether it has settled, and whether
 * it has fallen silent. It connects by itself, again and again.
 */
final class DeviceConnection {
    private static final int CONNECT_MILLIS = 2_000;
    private static final int AGAIN_MILLIS = 500;
    /** So long a fault is shown after the device has said it. */
    private static final int FAULT_MILLIS = 5_000;

    private static final long UNWATCHED_SECONDS = 20;
    private static final int AGREE = 8;
    /** Within which a reading has come to rest, in SI: half a kilogramme, and a share of what it says of anything else. */
    private static final double REST_KILOGRAMS = 0.5;

    private static final double REST = 0.02;
    private static final int MOST_READINGS = 64;

    private final InetSocketAddress address;
    private final int silentMillis;
    private final Map<String, Channel> channels = new LinkedHashMap<>();
    private boolean running;
    private boolean simulated;
    private @Nullable String problem;
    private @Nullable Socket socket;
    private long watchedAt;
    private long faultAt;

    /** A reading as it stands. */
    record Reading(
            String name, QuantityKind kind, String said, OptionalDouble now, OptionalDouble steady, boolean silent) {}

    private static final class Channel {
        private final QuantityKind kind;
        private final Settling settling;
        private long heardAt;
        private String said = "";

        Channel(QuantityKind kind, double first) {
            this.kind = kind;
            settling = new Settling(
                    AGREE, kind == QuantityKind.MASS ? REST_KILOGRAMS : Math.max(1e-6, REST * Math.abs(first)));
        }
    }

    /**
     * A device that nobody listens to yet.
     *
     * @param silentMillis how long nothing may be heard of a reading before it counts as silent
     */
    DeviceConnection(String host, int port, int silentMillis) {
        address = new InetSocketAddress(host, port);
        this.silentMillis = silentMillis;
    }

    /** What it says now; begins to listen where it did not. */
    synchronized List<Reading> watch() {
        watchedAt = System.nanoTime();
        if (!running) {
            running = true;
            Thread thread = new Thread(this::listen, "listens-" + address.getPort());
            thread.setDaemon(true);
            thread.start();
        }
        List<Reading> all = new ArrayList<>();
        channels.forEach((name, channel) -> {
            boolean silent = since(channel.heardAt) > silentMillis;
            all.add(new Reading(
                    name,
                    channel.kind,
                    channel.said,
                    silent ? OptionalDouble.empty() : channel.settling.now(),
                    silent ? OptionalDouble.empty() : channel.settling.steady(),
                    silent));
        });
        return all;
    }

    private static long since(long nanos) {
        return TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - nanos);
    }

    /** What is wrong with the device as a whole, in words; null where nothing is. */
    synchronized @Nullable String problem() {
        if (faultAt != 0 && since(faultAt) > FAULT_MILLIS) {
            faultAt = 0;
            problem = null;
        }
        return problem;
    }

    /** Whether it is a stand-in. */
    synchronized boolean simulated() {
        return simulated;
    }

    /** Tells the device something; the readings before are forgotten, since they were of another state. */
    void tell(String line) throws IOException {
        Socket to;
        synchronized (this) {
            to = socket;
            channels.values().forEach(c -> c.settling.begin());
        }
        if (to == null) {
            throw new IOException("not connected");
        }
        to.getOutputStream().write((line + "\n").getBytes(StandardCharsets.UTF_8));
        to.getOutputStream().flush();
    }

    private synchronized boolean unwatched() {
        if (TimeUnit.MILLISECONDS.toSeconds(since(watchedAt)) < UNWATCHED_SECONDS) {
            return false;
        }
        running = false;
        channels.clear();
        return true;
    }

    private void listen() {
        while (!unwatched()) {
            try (Socket to = new Socket()) {
                to.connect(address, CONNECT_MILLIS);
                to.setSoTimeout(silentMillis);
                synchronized (this) {
                    socket = to;
                    problem = null;
                }
                hear(to);
            } catch (SocketTimeoutException silent) {
                trouble("It has fallen silent.");
            } catch (IOException gone) {
                trouble("It cannot be reached at " + address.getHostString() + ":" + address.getPort() + ".");
            } catch (IllegalArgumentException strange) {
                trouble(strange.getMessage());
            }
            pause();
        }
    }

    private static void pause() {
        try {
            TimeUnit.MILLISECONDS.sleep(AGAIN_MILLIS);
        } catch (InterruptedException end) {
            Thread.currentThread().interrupt();
        }
    }

    private synchronized void trouble(@Nullable String said) {
        faultAt = 0;
        problem = said;
        socket = null;
    }

    private void hear(Socket to) throws IOException {
        BufferedReader in = new BufferedReader(new InputStreamReader(to.getInputStream(), StandardCharsets.UTF_8));
        StringBuilder line = new StringBuilder();
        for (int c = in.read(); c >= 0; c = in.read()) {
            if (c == '\n') {
                DeviceLine.read(line.toString()).ifPresent(this::take);
                line.setLength(0);
                if (unwatched()) {
                    return;
                }
            } else if (line.length() < DeviceLine.LONGEST) {
                line.append((char) c);
            }
        }
        throw new IOException("closed");
    }

    private synchronized void take(DeviceLine line) {
        if (line instanceof DeviceLine.Hello hello) {
            simulated = hello.simulated();
        } else if (line instanceof DeviceLine.Fault fault) {
            problem = fault.said();
            faultAt = System.nanoTime();
        } else if (line instanceof DeviceLine.Reading reading) {
            Channel channel = channels.get(reading.name());
            if (channel == null && channels.size() < MOST_READINGS) {
                channel = new Channel(reading.kind(), reading.value());
                channels.put(reading.name(), channel);
            }
            if (channel != null && channel.kind == reading.kind()) {
                channel.heardAt = System.nanoTime();
                channel.said = reading.said();
                channel.settling.add(reading.value());
            }
        }
    }
}
