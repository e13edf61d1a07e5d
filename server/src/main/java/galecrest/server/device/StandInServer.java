package galecrest.server.device;

import galecrest.core.device.DeviceLine;
import galecrest.core.device.standin.StandIn;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStreamWriter;
import java.io.PrintWriter;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** A simulated device behind a socket of this machine, as a real one would be. */
final class StandInServer implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(StandInServer.class);
    private static final long BETWEEN_MILLIS = 200;
    private static final int MOST_WAITING = 8;

    private final StandIn device;
    private final ServerSocket door;
    private final long began = System.nanoTime();
    private final Set<Socket> open = ConcurrentHashMap.newKeySet();

    /**
     * Opens it.
     *
     * @param port on this machine alone; 0 for any that is free
     */
    StandInServer(StandIn device, int port) {
        this.device = device;
        try {
            door = new ServerSocket(port, MOST_WAITING, InetAddress.getLoopbackAddress());
        } catch (IOException taken) {
            throw new UncheckedIOException("The port " + port + " is taken.", taken);
        }
        start("device-" + device.kind(), this::answer);
    }

    /** Where it listens. */
    int port() {
        return door.getLocalPort();
    }

    private static void start(String name, Runnable work) {
        Thread thread = new Thread(work, name);
        thread.setDaemon(true);
        thread.start();
    }

    private double seconds() {
        return (System.nanoTime() - began) / 1e9;
    }

    private void answer() {
        while (!door.isClosed()) {
            try {
                Socket socket = door.accept();
                open.add(socket);
                start("device-" + device.kind() + "-says", () -> say(socket));
                start("device-" + device.kind() + "-hears", () -> hear(socket));
            } catch (IOException closed) {
                if (!door.isClosed()) {
                    LOG.warn("The stand-in {} cannot be reached: {}", device.kind(), closed.getMessage());
                }
            }
        }
    }

    private void say(Socket socket) {
        try (socket;
                PrintWriter out =
                        new PrintWriter(new OutputStreamWriter(socket.getOutputStream(), StandardCharsets.UTF_8))) {
            line(out, DeviceLine.GREETING + " " + DeviceLine.VERSION + " " + device.kind() + " stand-in");
            while (!out.checkError() && !socket.isClosed()) {
                synchronized (device) {
                    device.lines(seconds()).forEach(l -> line(out, l));
                }
                TimeUnit.MILLISECONDS.sleep(BETWEEN_MILLIS);
            }
        } catch (IOException gone) {
            LOG.debug("Whoever listened to {} has gone.", device.kind());
        } catch (InterruptedException end) {
            Thread.currentThread().interrupt();
        } finally {
            open.remove(socket);
        }
    }

    private static void line(PrintWriter out, String text) {
        out.print(text + "\n");
        out.flush();
    }

    private void hear(Socket socket) {
        try (BufferedReader in =
                new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.UTF_8))) {
            for (String line = in.readLine(); line != null; line = in.readLine()) {
                tell(line.strip());
            }
        } catch (IOException gone) {
            LOG.debug("Whoever told {} has gone.", device.kind());
        }
    }

    private void tell(String line) {
        synchronized (device) {
            if (line.startsWith("simulate ")) {
                device.simulate(line.substring("simulate ".length()), seconds())
                        .ifPresent(fault -> LOG.debug("{}: {}", device.kind(), fault));
            } else if (line.equals("zero")) {
                device.zero(seconds());
            }
        }
    }

    @Override
    public void close() throws IOException {
        door.close();
        for (Socket socket : open) {
            socket.close();
        }
    }
}
