package galecrest.server;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.boot.web.servlet.context.ServletWebServerApplicationContext;

/** Writes the description of the API to a file: the build makes the client's types from it. Needs no database. */
final class ApiContract {
    private ApiContract() {}

    public static void main(String[] args) throws IOException, InterruptedException {
        try (var context = new SpringApplicationBuilder(Galecrest.class)
                .profiles("contract")
                .run()) {
            int port = ((ServletWebServerApplicationContext) context)
                    .getWebServer()
                    .getPort();
            URI address = URI.create("http://127.0.0.1:" + port + "/v3/api-docs");
            HttpResponse<String> answer = HttpClient.newHttpClient()
                    .send(HttpRequest.newBuilder(address).build(), HttpResponse.BodyHandlers.ofString());
            if (answer.statusCode() != 200) {
                throw new IOException("The API is not described: " + answer.statusCode() + " " + answer.body());
            }
            Path file = Path.of(args[0]);
            String stable = answer.body().replace(":" + port, "");
            if (!Files.exists(file) || !Files.readString(file).equals(stable)) {
                Files.writeString(file, stable);
            }
        }
        System.exit(0);
    }
}
