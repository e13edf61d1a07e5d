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
import java.util.concurrent.TimeUnit;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Waits for a body for a time that its size needs on a slow connection, and no longer: a byte every few seconds keeps a
 * connection alive, but no request. How long a connection may say nothing at all is the server's own setting.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class BodyPatience extends OncePerRequestFilter {
    /** So much a second is what the slowest connection brings that somebody works with. */
    private static final long BYTES_A_SECOND = 20_000;

    private final long patienceNanos;

    BodyPatience(@Value("${galecrest.body-seconds:10}") int seconds) {
        this.patienceNanos = TimeUnit.SECONDS.toNanos(seconds);
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return request.getContentLengthLong() <= 0 && request.getHeader("Transfer-Encoding") == null;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        chain.doFilter(new Waited(request, patienceNanos + nanosFor(request.getContentLengthLong())), response);
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
