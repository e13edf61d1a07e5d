package galecrest.server.background;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;

/** Thinking waits for whoever is being answered, but not for ever; a screen that only listens does not hold it up. */
@Timeout(30)
class BackgroundThrottleTest {
    private final BackgroundThrottle courtesy = new BackgroundThrottle();
    private final CountDownLatch asked = new CountDownLatch(1);
    private final CountDownLatch answered = new CountDownLatch(1);

    private Thread asks(String path) throws InterruptedException {
        Thread somebody = new Thread(() -> {
            try {
                courtesy.doFilter(
                        new MockHttpServletRequest("GET", path), new MockHttpServletResponse(), (request, response) -> {
                            asked.countDown();
                            await(answered);
                        });
            } catch (Exception e) {
                throw new IllegalStateException(e);
            }
        });
        somebody.start();
        await(asked);
        return somebody;
    }

    private static void await(CountDownLatch latch) {
        try {
            assertThat(latch.await(20, TimeUnit.SECONDS)).isTrue();
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    private Thread thinks() {
        Thread thinking = new Thread(courtesy::letPass);
        thinking.start();
        return thinking;
    }

    @Test
    void waitsWhileSomebodyIsAnswered() throws InterruptedException {
        asks("/api/board");
        Thread thinking = thinks();
        while (thinking.isAlive() && thinking.getState() != Thread.State.TIMED_WAITING) {
            Thread.sleep(2);
        }
        assertThat(thinking.isAlive()).isTrue();
        answered.countDown();
        thinking.join();
    }

    @Test
    void comesToAnEndThoughTheAnswerDoesNot() throws InterruptedException {
        Thread somebody = asks("/api/board");
        thinks().join();
        assertThat(somebody.isAlive()).isTrue();
        answered.countDown();
    }

    @Test
    void whoOnlyListensDoesNotHoldItUp() throws InterruptedException {
        asks("/api/live");
        Thread thinking = new Thread(() -> {
            courtesy.letPass();
            answered.countDown();
        });
        thinking.start();
        thinking.join();
        assertThat(answered.getCount()).isZero();
    }

    @Test
    void whatNobodyWaitsForRestsAsLongAsItWorks() {
        courtesy.rest();
        for (int i = 0; i < 5; i++) {
            long begun = System.nanoTime();
            while (System.nanoTime() - begun < 12_000_000) {
                Thread.onSpinWait();
            }
            long worked = System.nanoTime();
            courtesy.rest();
            assertThat(System.nanoTime() - worked).isGreaterThanOrEqualTo(12_000_000);
        }
    }
}
