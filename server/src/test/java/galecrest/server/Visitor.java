package galecrest.server;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.InputStream;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Somebody at a browser of his own, over real HTTP. */
public final class Visitor {
    private static final Duration PATIENCE = Duration.ofSeconds(60);

    private final ObjectMapper json = new ObjectMapper();
    private final CookieManager cookies = new CookieManager();
    private final HttpClient client =
            HttpClient.newBuilder().cookieHandler(cookies).build();
    private final int port;
    private final String address;

    public Visitor(int port) {
        this.port = port;
        address = "http://127.0.0.1:" + port;
    }

    /** Comes to the page and signs in; the answer says whether that went well. */
    public HttpResponse<String> signIn(String username, String password) throws IOException, InterruptedException {
        send("GET", "/api/me", null);
        return send("POST", "/api/login", Map.of("username", username, "password", password));
    }

    /** Asks for something and waits for the whole answer. */
    public HttpResponse<String> send(String method, String path, @Nullable Object body)
            throws IOException, InterruptedException {
        return client.send(request(method, path, body), HttpResponse.BodyHandlers.ofString());
    }

    /** Opens a stream, which stays open. */
    public HttpResponse<InputStream> stream(String path) throws IOException, InterruptedException {
        return client.send(
                HttpRequest.newBuilder(URI.create(address + path)).build(), HttpResponse.BodyHandlers.ofInputStream());
    }

    /** Opens a stream and never takes anything of it in: what is sent to it stands still once the network is full. */
    public Socket deaf(String path) throws IOException {
        Socket socket = new Socket();
        socket.setReceiveBufferSize(1024);
        socket.connect(new InetSocketAddress("127.0.0.1", port));
        String session = cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().equals("SESSION"))
                .map(HttpCookie::getValue)
                .findFirst()
                .orElseThrow();
        socket.getOutputStream()
                .write(("GET " + path + " HTTP/1.1\r\nHost: 127.0.0.1:" + port + "\r\nCookie: SESSION=" + session
                                + "\r\nAccept: text/event-stream\r\n\r\n")
                        .getBytes(StandardCharsets.US_ASCII));
        return socket;
    }

    private HttpRequest request(String method, String path, @Nullable Object body) throws IOException {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(address + path))
                .timeout(PATIENCE)
                .header("Content-Type", "application/json")
                .method(
                        method,
                        body == null
                                ? HttpRequest.BodyPublishers.noBody()
                                : HttpRequest.BodyPublishers.ofString(json.writeValueAsString(body)));
        cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue)
                .findFirst()
                .ifPresent(token -> request.header("X-XSRF-TOKEN", token));
        return request.build();
    }
}
