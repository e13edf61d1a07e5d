package galecrest.server.patience;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Nothing has a name that long: an address with a part of more than 200 characters is not there. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class LongPaths extends OncePerRequestFilter {
    private static final int MOST = 200;

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        int since = 0;
        String path = request.getRequestURI();
        for (int i = 0; i <= path.length(); i++) {
            if (i == path.length() || path.charAt(i) == '/') {
                if (i - since > MOST) {
                    response.setStatus(HttpServletResponse.SC_NOT_FOUND);
                    return;
                }
                since = i + 1;
            }
        }
        chain.doFilter(request, response);
    }
}
