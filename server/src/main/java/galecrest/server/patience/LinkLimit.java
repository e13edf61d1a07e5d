package galecrest.server.patience;

import com.fasterxml.jackson.databind.ObjectMapper;
import galecrest.server.NewId;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.function.LongSupplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Links are out in the world. An address that asks for many that are not there is not answered for a while; a link that
 * was good lately still is, whoever else tries from the same address. Nobody gets more of one link than its pages ask for.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 3)
class LinkLimit extends OncePerRequestFilter {
    private static final Pattern LINK =
            Pattern.compile("/api/(?:customer|wall|invitations)/([^/]+)(?:/.*)?|/feeds/([^/]+)\\.ics");
    private static final int SECONDS = 300;

    /** Five a second: a wall asks once a second, and a shop may have several on one link. */
    private static final int ASKED = 1_500;

    /** Until a link that was good counts as one that may have ended. */
    private static final int GOOD_SECONDS = 24 * 3600;

    private final Allowance misses;
    private final Allowance asked;
    private final Allowance good;
    private final ObjectMapper json;

    @Autowired
    LinkLimit(ObjectMapper json, @Value("${galecrest.link-misses:30}") int misses) {
        this(json, misses, System::nanoTime);
    }

    /** @param misses of an address: a link of an old mail is tried a few times by a few people */
    LinkLimit(ObjectMapper json, int misses, LongSupplier time) {
        this.json = json;
        this.misses = new Allowance(misses, SECONDS, time);
        asked = new Allowance(ASKED, SECONDS, time);
        good = new Allowance(1, GOOD_SECONDS, time);
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Matcher link = LINK.matcher(request.getRequestURI());
        if (!link.matches()) {
            chain.doFilter(request, response);
            return;
        }
        String key = NewId.hash(link.group(1) == null ? link.group(2) : link.group(1));
        boolean known = good.has(key);
        long wait = known ? asked.take(key) : misses.take(request.getRemoteAddr());
        if (wait > 0) {
            refuse(response, wait, known);
            return;
        }
        chain.doFilter(request, response);
        boolean missed = response.getStatus() == HttpServletResponse.SC_NOT_FOUND;
        if (known && missed) {
            good.giveBack(key);
        } else if (!known && !missed) {
            misses.giveBack(request.getRemoteAddr());
            if (response.getStatus() < HttpServletResponse.SC_BAD_REQUEST) {
                good.take(key);
            }
        }
    }

    private void refuse(HttpServletResponse response, long wait, boolean known) throws IOException {
        ProblemDetail detail = ProblemDetail.forStatusAndDetail(
                HttpStatus.TOO_MANY_REQUESTS,
                (known
                                ? "This link is asked for too often."
                                : "Too many links that are not there were asked for from where you are.")
                        + " It goes on in " + wait + " s.");
        detail.setTitle("Too often");
        response.setStatus(HttpStatus.TOO_MANY_REQUESTS.value());
        response.setHeader(HttpHeaders.RETRY_AFTER, Long.toString(wait));
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        json.writeValue(response.getOutputStream(), detail);
    }
}
