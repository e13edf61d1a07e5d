package galecrest.server.problem;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/** The way to a database, which a test can cut, or stop without a word. */
final class Wire implements AutoCloseable {
    private enum State {
        WHOLE,
        SILENT,
        CUT
    }

    private final ServerSocket ear = new ServerSocket(0, 50, InetAddress.getLoopbackAddress());
    private final int port;
    private final Set<Socket> open = ConcurrentHashMap.newKeySet();
    private volatile State state = State.WHOLE;

    Wire(int port) throws IOException {
        this.port = port;
        daemon(this::accept);
    }

    int port() {
        return ear.getLocalPort();
    }

    /** All connections end, and new ones do at once. */
    void cut() throws IOException {
        state = State.CUT;
        hangUp();
    }

    /** Nothing goes through any more, and nobody is told. */
    void silence() {
        state = State.SILENT;
    }

    void mend() throws IOException {
        state = State.WHOLE;
        hangUp();
    }

    private void hangUp() throws IOException {
        for (Socket socket : open) {
            socket.close();
        }
        open.clear();
    }

    private static void daemon(Runnable work) {
        Thread thread = new Thread(work, "wire");
        thread.setDaemon(true);
        thread.start();
    }

    private void accept() {
        while (!ear.isClosed()) {
            try {
                Socket here = ear.accept();
                if (state == State.CUT) {
                    here.close();
                    continue;
                }
                Socket there = new Socket(InetAddress.getLoopbackAddress(), port);
                open.add(here);
                open.add(there);
                daemon(() -> pass(here, there));
                daemon(() -> pass(there, here));
            } catch (IOException ended) {
                // The next one is tried.
            }
        }
    }

    private void pass(Socket from, Socket to) {
        byte[] some = new byte[16_384];
        try (from;
                to;
                InputStream in = from.getInputStream();
                OutputStream out = to.getOutputStream()) {
            for (int n = in.read(some); n >= 0; n = in.read(some)) {
                if (state == State.WHOLE) {
                    out.write(some, 0, n);
                }
            }
        } catch (IOException ended) {
            // Both sides are closed.
        }
    }

    @Override
    public void close() throws IOException {
        ear.close();
        hangUp();
    }
}
