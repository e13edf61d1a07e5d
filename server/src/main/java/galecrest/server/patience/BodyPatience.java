package galecrest.server.patience;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.SocketTimeoutException;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Waits for bodies that are still on their way, but for few at a time and none for long: whoever sends half of a request
 * and stops, or a byte every few seconds, keeps nobody out. A body that is here when its request is takes no place.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class BodyPatience extends OncePerRequestFilter {
    /** So much a second is what the slowest connection brings that somebody works with. */
    private static final long BYTES_A_SECOND = 20_000;

    private static final String BUSY =
            "{\"title\":\"Too many at once\",\"detail\":\"Too much is being sent at once. Nothing was changed; try again.\",\"problems\":[]}";

    private final Semaphore places;
    private final int placesOfAddress;
    private final long patienceNanos;
    private final ConcurrentHashMap<String, AtomicInteger> addresses = new ConcurrentHashMap<>();

    BodyPatience(
            @Value("${galecrest.slow-bodies:64}") int places,
            @Value("${galecrest.slow-bodies-of-address:16}") int placesOfAddress,
            @Value("${galecrest.body-seconds:10}") int seconds) {
        this.places = new Semaphore(places);
        this.placesOfAddress = placesOfAddress;
        this.patienceNanos = TimeUnit.SECONDS.toNanos(seconds);
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return request.getContentLengthLong() <= 0 && request.getHeader("Transfer-Encoding") == null;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        long length = request.getContentLengthLong();
        if (length > 0 && request.getInputStream().available() >= length) {
            chain.doFilter(request, response);
            return;
        }
        String address = request.getRemoteAddr();
        AtomicInteger ofAddress = addresses.computeIfAbsent(address, a -> new AtomicInteger());
        boolean first = ofAddress.incrementAndGet() <= placesOfAddress;
        boolean place = first && places.tryAcquire();
        try {
            if (!place) {
                response.setStatus(HttpServletResponse.SC_SERVICE_UNAVAILABLE);
                response.setHeader("Connection", "close");
                response.setHeader("Retry-After", "2");
                response.setContentType("application/problem+json");
                response.getOutputStream().write(BUSY.getBytes(StandardCharsets.UTF_8));
                return;
            }
            chain.doFilter(new Waited(request, patienceNanos + nanosFor(length)), response);
        } finally {
            if (place) {
                places.release();
            }
            addresses.computeIfPresent(address, (a, count) -> count.decrementAndGet() <= 0 ? null : count);
        }
    }

    private static long nanosFor(long length) {
        return TimeUnit.SECONDS.toNanos(Math.max(0, length) / BYTES_A_SECOND);
    }

    /** A request whose body is read up to a time. */
    private static final class Waited extends HttpServletRequestWrapper {
        private final long patience;
        private ServletInputStream body;

        Waited(HttpServletRequest request, long patience) {
            super(request);
            this.patience = patience;
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            if (body == null) {
                body = new TimedStream(super.getInputStream(), System.nanoTime() + patience);
            }
            return body;
        }
    }

    private static final class TimedStream extends ServletInputStream {
        private final ServletInputStream in;
        private final long until;

        TimedStream(ServletInputStream in, long until) {
            this.in = in;
            this.until = until;
        }

        private void stillTime() throws IOException {
            if (System.nanoTime() - until > 0) {
                throw new SocketTimeoutException("The request came too slowly.");
            }
        }

        @Override
        public int read() throws IOException {
            stillTime();
            return in.read();
        }

        @Override
        public int read(byte[] into, int from, int most) throws IOException {
            stillTime();
            return in.read(into, from, most);
        }

        @Override
        public boolean isFinished() {
            return in.isFinished();
        }

        @Override
        public boolean isReady() {
            return in.isReady();
        }

        @Override
        public void setReadListener(ReadListener listener) {
            in.setReadListener(listener);
        }
    }
}
