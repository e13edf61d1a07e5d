package galecrest.server.session;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Base64;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** A session's cookie that cannot be one of ours is none: the database is not asked for what it cannot even read. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 4)
class SpoiltCookies extends OncePerRequestFilter {
    private static final String NAME = "SESSION";
    private static final Pattern ID = Pattern.compile("[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}");

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Cookie[] sent = request.getCookies();
        if (sent == null || Arrays.stream(sent).allMatch(SpoiltCookies::canBeOurs)) {
            chain.doFilter(request, response);
            return;
        }
        Cookie[] good = Arrays.stream(sent).filter(SpoiltCookies::canBeOurs).toArray(Cookie[]::new);
        chain.doFilter(
                new HttpServletRequestWrapper(request) {
                    @Override
                    public Cookie @Nullable [] getCookies() {
                        return good.clone();
                    }
                },
                response);
    }

    private static boolean canBeOurs(Cookie cookie) {
        if (!cookie.getName().equals(NAME)) {
            return true;
        }
        try {
            byte[] id = Base64.getDecoder().decode(cookie.getValue());
            return ID.matcher(new String(id, StandardCharsets.US_ASCII)).matches();
        } catch (IllegalArgumentException notBase64) {
            return false;
        }
    }
}
