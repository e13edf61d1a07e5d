package galecrest.server.together;

import galecrest.server.Galecrest;
import galecrest.server.ServerTest;
import galecrest.server.Visitor;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.CyclicBarrier;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.BeforeAll;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.boot.web.embedded.tomcat.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.boot.web.servlet.context.ServletWebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.annotation.Bean;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** Requests sent at once over HTTP, to an instance that has few connections to the database. */
abstract class TogetherTest extends ServerTest {
    private static final int CONNECTIONS = 4;
    private static final int PATIENCE_SECONDS = 120;

    /** The instance that is asked; started by the first test, it serves all of them. */
    private static @Nullable ConfigurableApplicationContext server;

    @Autowired
    JdbcClient db;

    @Autowired
    private PlatformTransactionManager transactions;

    /** What is done together is not all taken back, so it is done in a shop of its own. */
    @DynamicPropertySource
    static void aDatabaseOfItsOwn(DynamicPropertyRegistry properties) {
        properties.add("spring.datasource.url", TogetherTest::database);
        properties.add("springdoc.api-docs.enabled", () -> true);
    }

    /** The network holds little for whoever does not read what is sent to them. */
    @TestConfiguration
    static class LittleRoom {
        @Bean
        WebServerFactoryCustomizer<TomcatServletWebServerFactory> littleRoom() {
            return factory -> factory.addConnectorCustomizers(c -> c.setProperty("socket.txBufSize", "8192"));
        }
    }

    private static String database() {
        return System.getenv("SPRING_DATASOURCE_URL") + "_small";
    }

    @BeforeAll
    static void startServer() {
        if (server != null) {
            return;
        }
        server = new SpringApplicationBuilder(Galecrest.class, LittleRoom.class)
                .profiles("demo")
                .run(
                        "--server.port=0",
                        // Whoever does not read holds up what waits for them for longer than any test has patience.
                        "--server.tomcat.connection-timeout=300s",
                        "--galecrest.start=" + START,
                        "--galecrest.slower=" + SLOWER,
                        "--galecrest.parcels.watch=false",
                        // It goes on to the end of all tests, and would look for better plans all the time.
                        "--galecrest.offering=false",
                        "--galecrest.link-misses=100000",
                        "--spring.datasource.url=" + database(),
                        "--spring.datasource.hikari.maximum-pool-size=" + CONNECTIONS,
                        // Whoever waits for one of so few on a slow machine is not told that the database is away.
                        "--spring.datasource.hikari.connection-timeout=30000");
    }

    /** Somebody at a browser, not signed in. */
    static Visitor stranger() {
        return new Visitor(
                ((ServletWebServerApplicationContext) server).getWebServer().getPort());
    }

    static Visitor visitor(String username) throws Exception {
        Visitor visitor = stranger();
        visitor.signIn(username, "brackwater");
        return visitor;
    }

    /** The answers to requests that are all sent at the same moment. */
    static <T> List<T> together(List<Callable<T>> requests) throws Exception {
        ExecutorService threads = Executors.newFixedThreadPool(requests.size());
        try {
            CyclicBarrier start = new CyclicBarrier(requests.size());
            List<Future<T>> answers = new ArrayList<>();
            for (Callable<T> request : requests) {
                answers.add(threads.submit(() -> {
                    start.await();
                    return request.call();
                }));
            }
            List<T> all = new ArrayList<>();
            for (Future<T> answer : answers) {
                all.add(answer.get(PATIENCE_SECONDS, TimeUnit.SECONDS));
            }
            return all;
        } finally {
            threads.shutdownNow();
        }
    }

    /** The same request by so many at once; their status codes. */
    static List<Integer> together(List<Visitor> visitors, String path, Object body) throws Exception {
        List<Callable<Integer>> requests = new ArrayList<>();
        for (Visitor visitor : visitors) {
            requests.add(() -> visitor.send("POST", path, body).statusCode());
        }
        return together(requests);
    }

    /** Changes the record by hand, as part of a line that is in the journal already. */
    void amend(String sql) {
        new TransactionTemplate(transactions).executeWithoutResult(status -> {
            db.sql("select set_config('galecrest.change', (select max(id) from change)::text, true)")
                    .query(String.class)
                    .single();
            db.sql(sql).update();
        });
    }

    long count(String sql) {
        return db.sql(sql).query(Long.class).single();
    }
}
