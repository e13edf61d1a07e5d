package galecrest.server.patience;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.InputStreamReader;
import java.net.InetAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.apache.catalina.connector.Connector;
import org.apache.catalina.startup.Tomcat;
import org.apache.tomcat.util.descriptor.web.FilterDef;
import org.apache.tomcat.util.descriptor.web.FilterMap;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The filter in a real server of few threads, against those who send half of what they promise. */
class BodyPatienceTest {
    private static final int THREADS = 12;

    private Tomcat tomcat;
    private final List<Socket> open = new ArrayList<>();

    @BeforeEach
    void start() throws Exception {
        tomcat = new Tomcat();
        tomcat.setBaseDir("target/tomcat");
        Connector connector = new Connector();
        connector.setPort(0);
        connector.setProperty("address", "127.0.0.1");
        connector.setProperty("maxThreads", String.valueOf(THREADS));
        connector.setProperty("connectionTimeout", "1000");
        tomcat.setConnector(connector);
        var context = tomcat.addContext("", null);
        FilterDef filter = new FilterDef();
        filter.setFilterName("patience");
        filter.setFilter(new BodyPatience(2));
        context.addFilterDef(filter);
        FilterMap everywhere = new FilterMap();
        everywhere.setFilterName("patience");
        everywhere.addURLPattern("/*");
        context.addFilterMap(everywhere);
        FilterDef reads = new FilterDef();
        reads.setFilterName("reads");
        reads.setFilter((request, response, chain) -> {
            byte[] body = request.getInputStream().readAllBytes();
            response.getOutputStream().write(("read " + body.length).getBytes(StandardCharsets.US_ASCII));
        });
        context.addFilterDef(reads);
        FilterMap last = new FilterMap();
        last.setFilterName("reads");
        last.addURLPattern("/*");
        context.addFilterMap(last);
        Tomcat.addServlet(context, "none", new jakarta.servlet.http.HttpServlet() {
            private static final long serialVersionUID = 1;
        });
        context.addServletMappingDecoded("/", "none");
        tomcat.start();
    }

    @AfterEach
    void stop() throws Exception {
        for (Socket socket : open) {
            socket.close();
        }
        tomcat.stop();
        tomcat.destroy();
    }

    private Socket send(int promised, String sent) throws Exception {
        Socket socket = new Socket(
                InetAddress.getLoopbackAddress(), tomcat.getConnector().getLocalPort());
        open.add(socket);
        socket.setSoTimeout(10_000);
        socket.getOutputStream()
                .write(("POST /x HTTP/1.1\r\nHost: x\r\nContent-Length: " + promised + "\r\n\r\n" + sent)
                        .getBytes(StandardCharsets.US_ASCII));
        socket.getOutputStream().flush();
        return socket;
    }

    private static String status(Socket socket) throws Exception {
        String line = new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.US_ASCII))
                .readLine();
        return line == null ? "closed" : line.substring(9, 12);
    }

    /** Of twice as many as there are threads none is waited for longer than the connection may be silent. */
    @Test
    void thoseWhoStopInTheMiddleAreNotWaitedForLong() throws Exception {
        for (int i = 0; i < 2 * THREADS; i++) {
            send(100, "half");
        }
        long from = System.nanoTime();
        assertThat(status(send(5, "whole"))).isEqualTo("200");
        assertThat((System.nanoTime() - from) / 1_000_000_000L).as("seconds").isLessThan(6);
    }

    @Test
    void whatComesInTwoPiecesIsTaken() throws Exception {
        Socket late = send(10, "half");
        Thread.sleep(400);
        late.getOutputStream().write("there!".getBytes(StandardCharsets.US_ASCII));
        late.getOutputStream().flush();
        assertThat(status(late)).isEqualTo("200");
    }

    /** A byte now and then keeps a connection alive, but no request for ever. */
    @Test
    void whoSendsAByteNowAndThenIsGivenUp() throws Exception {
        Socket trickle = send(1000, "h");
        long from = System.nanoTime();
        try {
            while ((System.nanoTime() - from) / 1_000_000_000L < 8) {
                Thread.sleep(400);
                trickle.getOutputStream().write('x');
                trickle.getOutputStream().flush();
                if (trickle.getInputStream().available() > 0) {
                    break;
                }
            }
        } catch (java.net.SocketException closed) {
            // Given up in the middle of a byte.
        }
        assertThat((System.nanoTime() - from) / 1_000_000_000L).isLessThan(8);
    }
}
