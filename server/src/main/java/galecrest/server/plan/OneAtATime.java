package galecrest.server.plan;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.function.Predicate;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/**
 * Something that is long in the making and that many want at once: one of them makes it, the others wait for what that one
 * makes, and none of them waits for another that waits. Who finds that it is not what he wants, makes it anew.
 *
 * @param <T> what is made
 */
public final class OneAtATime<T> {
    private @Nullable CompletableFuture<T> going;

    /**
     * What is made now, by this caller or by another.
     *
     * @param fits whether what another made is what this caller wants
     */
    public T make(Predicate<T> fits, Supplier<T> maker) {
        while (true) {
            CompletableFuture<T> mine = new CompletableFuture<>();
            CompletableFuture<T> theirs = goesOr(mine);
            if (theirs == null) {
                return made(mine, maker);
            }
            T made = waitFor(theirs);
            if (fits.test(made)) {
                return made;
            }
        }
    }

    private synchronized @Nullable CompletableFuture<T> goesOr(CompletableFuture<T> mine) {
        if (going == null) {
            going = mine;
            return null;
        }
        return going;
    }

    private synchronized void ends() {
        going = null;
    }

    private T made(CompletableFuture<T> mine, Supplier<T> maker) {
        try {
            T made = maker.get();
            ends();
            mine.complete(made);
            return made;
        } catch (RuntimeException | Error failure) {
            ends();
            mine.completeExceptionally(failure);
            throw failure;
        }
    }

    /** What went wrong for who makes it goes wrong for who waits. */
    private static <T> T waitFor(CompletableFuture<T> theirs) {
        try {
            return theirs.join();
        } catch (CompletionException failed) {
            if (failed.getCause() instanceof RuntimeException same) {
                throw same;
            }
            throw failed;
        }
    }
}
