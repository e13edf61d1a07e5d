package galecrest.server.problem;

import com.fasterxml.jackson.databind.ObjectMapper;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Says that the database is away where it is missed before any controller is asked: sessions are in it, too. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 2)
class AwayFilter extends OncePerRequestFilter {
    private final ObjectMapper json;

    AwayFilter(ObjectMapper json) {
        this.json = json;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        try {
            chain.doFilter(request, response);
        } catch (RuntimeException | ServletException failure) {
            Optional<ProblemDetail> away = DatabaseAway.of(failure);
            if (away.isEmpty() || response.isCommitted()) {
                throw failure;
            }
            response.reset();
            response.setStatus(HttpServletResponse.SC_SERVICE_UNAVAILABLE);
            response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
            response.setHeader(HttpHeaders.RETRY_AFTER, Integer.toString(DatabaseAway.AGAIN_SECONDS));
            json.writeValue(response.getOutputStream(), away.get());
        }
    }
}
