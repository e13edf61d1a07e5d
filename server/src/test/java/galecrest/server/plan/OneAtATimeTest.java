package galecrest.server.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.LockSupport;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;

/** Many want what one makes. */
@Timeout(30)
class OneAtATimeTest {
    private static final int MANY = 40;

    private final OneAtATime<Integer> one = new OneAtATime<>();
    private final ExecutorService threads = Executors.newFixedThreadPool(MANY);
    private final AtomicInteger made = new AtomicInteger();

    @AfterEach
    void end() {
        threads.shutdownNow();
    }

    private List<Future<Integer>> all(CountDownLatch until) {
        List<Future<Integer>> answers = new ArrayList<>();
        for (int i = 0; i < MANY; i++) {
            answers.add(threads.submit(() -> one.make(x -> true, () -> {
                int number = made.incrementAndGet();
                await(until);
                return number;
            })));
        }
        return answers;
    }

    private static void await(CountDownLatch until) {
        try {
            until.await(10, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    @Test
    void manyWaitForTheOneWhoMakesIt() throws Exception {
        CountDownLatch go = new CountDownLatch(1);
        List<Future<Integer>> answers = all(go);
        Thread.sleep(200);
        go.countDown();
        for (Future<Integer> answer : answers) {
            assertThat(answer.get()).isEqualTo(1);
        }
        assertThat(made.get()).isEqualTo(1);
    }

    /** What was begun too early does not do: one of those who waited makes it anew, for all of them. */
    @Test
    void whoWantsAnotherMakesItAnew() throws Exception {
        CountDownLatch go = new CountDownLatch(1);
        CountDownLatch refused = new CountDownLatch(MANY - 1);
        List<Future<Integer>> answers = new ArrayList<>();
        for (int i = 0; i < MANY; i++) {
            answers.add(threads.submit(() -> one.make(x -> suits(x, refused), () -> made(go, refused))));
        }
        Thread.sleep(200);
        go.countDown();
        int first = 0;
        for (Future<Integer> answer : answers) {
            first += answer.get() == 1 ? 1 : 0;
        }
        assertThat(first).as("only who made it himself takes it as it is").isEqualTo(1);
        assertThat(made.get()).isLessThan(MANY);
    }

    private static boolean suits(int number, CountDownLatch refused) {
        if (number == 1) {
            refused.countDown();
        }
        return number > 1;
    }

    /** The second is in the making until all have refused the first, and then a little. */
    private int made(CountDownLatch go, CountDownLatch refused) {
        int number = made.incrementAndGet();
        await(number == 1 ? go : refused);
        LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(50));
        return number;
    }

    @Test
    void whatGoesWrongGoesWrongForAllWhoWait() throws Exception {
        CountDownLatch go = new CountDownLatch(1);
        Future<Integer> maker = threads.submit(() -> one.make(x -> true, () -> {
            await(go);
            throw new IllegalStateException("no database");
        }));
        Thread.sleep(100);
        Future<Integer> waiter = threads.submit(() -> one.make(x -> true, () -> 7));
        Thread.sleep(100);
        go.countDown();
        for (Future<Integer> answer : List.of(maker, waiter)) {
            assertThatThrownBy(answer::get).hasRootCauseMessage("no database");
        }
        assertThat(one.make(x -> true, () -> 7)).isEqualTo(7);
    }
}
