package galecrest.server.problem;

import com.fasterxml.jackson.databind.ObjectMapper;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Says that the database is away where it is missed before any controller is asked: sessions are in it, too. For a moment
 * after that nobody else is kept waiting to hear the same.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 2)
class AwayFilter extends OncePerRequestFilter {
    private static final long MOMENT_NANOS = TimeUnit.SECONDS.toNanos(1);

    private final ObjectMapper json;
    /** When it was last found to be away; null while it is there. */
    private final AtomicReference<Long> foundAway = new AtomicReference<>();

    AwayFilter(ObjectMapper json) {
        this.json = json;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Long found = foundAway.get();
        if (found != null && System.nanoTime() - found < MOMENT_NANOS) {
            say(DatabaseAway.gone(), response);
            return;
        }
        try {
            chain.doFilter(request, response);
            foundAway.set(request.getAttribute(DatabaseAway.FOUND) == null ? null : Long.valueOf(System.nanoTime()));
        } catch (RuntimeException | ServletException failure) {
            Optional<ProblemDetail> away = DatabaseAway.of(failure);
            if (away.isEmpty() || response.isCommitted()) {
                throw failure;
            }
            foundAway.set(System.nanoTime());
            response.reset();
            say(away.get(), response);
        }
    }

    private void say(ProblemDetail away, HttpServletResponse response) throws IOException {
        response.setStatus(HttpServletResponse.SC_SERVICE_UNAVAILABLE);
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setHeader(HttpHeaders.RETRY_AFTER, Integer.toString(DatabaseAway.AGAIN_SECONDS));
        json.writeValue(response.getOutputStream(), away);
    }

    /** Pages and scripts are not in the database. */
    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getRequestURI().startsWith("/api/")
                && !request.getRequestURI().startsWith("/feeds/");
    }
}
