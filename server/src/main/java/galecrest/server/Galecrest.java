package galecrest.server;

import java.time.Clock;
import java.time.Instant;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;

/** The Galecrest server. */
@SpringBootApplication
public class Galecrest {
    public static void main(String[] args) {
        SpringApplication.run(Galecrest.class, args);
    }

    /** The present moment; {@code galecrest.start} lets it begin at another one, {@code galecrest.slower} go slower. */
    @Bean
    Clock clock(@Value("${galecrest.start:}") String start, @Value("${galecrest.slower:1}") int slower) {
        Clock real = Clock.systemUTC();
        return start.isBlank() ? real : new TestDay(real, Instant.parse(start), slower);
    }
}
