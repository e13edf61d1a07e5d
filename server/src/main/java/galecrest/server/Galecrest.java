package galecrest.server;

import galecrest.server.gauge.GaugeShell;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;

/** The Galecrest server. */
@SpringBootApplication
public class Galecrest {
    public static void main(String[] args) {
        if (args.length > 0 && args[0].equals("gauge")) {
            List<String> asked = List.of(args).subList(1, args.length);
            System.exit(GaugeShell.run(asked, System.in, System.out, System.err));
        }
        SpringApplication.run(Galecrest.class, args);
    }

    /**
     * The present moment; {@code galecrest.start} lets it begin at another one, {@code galecrest.slower} go slower. Only the
     * demo moves it on.
     */
    @Bean
    ShopClock clock(@Value("${galecrest.start:}") String start, @Value("${galecrest.slower:1}") int slower) {
        Clock real = Clock.systemUTC();
        return new ShopClock(start.isBlank() ? real : new TestDay(real, Instant.parse(start), slower));
    }
}
