package galecrest.server.patience;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.HashSet;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;

/** Who may ask for how many links: guesses end, who has a link goes on. */
class LinkLimitTest {
    private static final String HERE = "192.0.2.7";
    private static final String ELSEWHERE = "192.0.2.8";

    private final Set<String> there = new HashSet<>(Set.of("/api/customer/good", "/feeds/week.ics", "/api/board"));
    private long seconds = 1_000_000;
    private final LinkLimit limit = new LinkLimit(new ObjectMapper(), 30, () -> TimeUnit.SECONDS.toNanos(seconds));

    private MockHttpServletResponse ask(String from, String path) throws Exception {
        MockHttpServletRequest request = new MockHttpServletRequest("GET", path);
        request.setRemoteAddr(from);
        MockHttpServletResponse response = new MockHttpServletResponse();
        limit.doFilter(request, response, (r, answer) -> ((MockHttpServletResponse) answer)
                .setStatus(there.contains(path) ? 200 : 404));
        return response;
    }

    private int guess(int times) throws Exception {
        int status = 0;
        for (int i = 0; i < times; i++) {
            status = ask(HERE, "/api/wall/guess" + i).getStatus();
        }
        return status;
    }

    @Test
    void guessesEndAndGoOnAfterAWhile() throws Exception {
        assertThat(guess(30)).isEqualTo(404);
        MockHttpServletResponse refused = ask(HERE, "/api/invitations/another");
        assertThat(refused.getStatus()).isEqualTo(429);
        assertThat(refused.getHeader("Retry-After")).isEqualTo("301");
        assertThat(refused.getContentAsString()).contains("links that are not there");
        assertThat(ask(ELSEWHERE, "/api/wall/guess").getStatus()).isEqualTo(404);
        seconds += 301;
        assertThat(guess(1)).isEqualTo(404);
    }

    @Test
    void whoHasALinkIsNotShutOutByHisNeighbour() throws Exception {
        assertThat(ask(ELSEWHERE, "/api/customer/good").getStatus()).isEqualTo(200);
        guess(40);
        assertThat(ask(HERE, "/api/customer/good").getStatus()).isEqualTo(200);
        // One that nobody has opened yet waits; so does an old one.
        assertThat(ask(HERE, "/feeds/week.ics").getStatus()).isEqualTo(429);
        assertThat(ask(HERE, "/api/board").getStatus()).isEqualTo(200);
    }

    @Test
    void goodLinksAreNoGuesses() throws Exception {
        for (int i = 0; i < 100; i++) {
            there.add("/api/customer/page" + i);
            assertThat(ask(HERE, "/api/customer/page" + i).getStatus()).isEqualTo(200);
        }
        assertThat(guess(30)).isEqualTo(404);
    }

    @Test
    void aLinkThatHasEndedIsAGuessAgain() throws Exception {
        ask(HERE, "/api/customer/good");
        there.remove("/api/customer/good");
        for (int i = 0; i < 31; i++) {
            assertThat(ask(HERE, "/api/customer/good").getStatus()).isEqualTo(404);
        }
        assertThat(ask(HERE, "/api/customer/good").getStatus()).isEqualTo(429);
    }

    @Test
    void oneLinkIsAskedForSoOften() throws Exception {
        for (int i = 0; i <= 1_500; i++) {
            assertThat(ask(HERE, "/api/customer/good").getStatus()).isEqualTo(200);
        }
        assertThat(ask(ELSEWHERE, "/api/customer/good").getStatus()).isEqualTo(429);
        assertThat(ask(ELSEWHERE, "/feeds/week.ics").getStatus()).isEqualTo(200);
        seconds += 301;
        assertThat(ask(ELSEWHERE, "/api/customer/good").getStatus()).isEqualTo(200);
    }

    @Test
    void manyMakeItNoLarger() {
        Allowance one = new Allowance(1, 300, () -> TimeUnit.SECONDS.toNanos(seconds));
        assertThat(one.take("first")).isZero();
        assertThat(one.take("first")).isPositive();
        for (int i = 0; i < 20_000; i++) {
            one.take("other" + i);
        }
        assertThat(one.take("first")).as("forgotten for those who came later").isZero();
    }
}
