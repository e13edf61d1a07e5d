package galecrest.server.shop;

import galecrest.server.journal.Journal;
import galecrest.server.problem.ConflictException;
import galecrest.server.problem.NotFoundException;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A list that a house works by. What holds for a car is its own list, else that of its discipline, else that of the house,
 * else the usual one.
 *
 * @param <T> what stands in it; the same items give the same text on every instance
 */
public final class HouseList<T> {
    /** Where the lists are kept: of a car, or where that is null of a discipline, or of the house where it is blank. */
    public interface Store<T> {
        /** None where there is no such list. */
        List<T> read(@Nullable String build, String discipline);

        void write(@Nullable String build, String discipline, List<T> items);

        void forget(@Nullable String build, String discipline);
    }

    /**
     * A list as it holds.
     *
     * @param edition changes with anything in it
     * @param own whether it is that car's or discipline's own
     */
    public record Shown<T>(String edition, boolean own, List<T> items) {}

    private final Store<T> store;
    private final List<T> usual;
    private final String what;
    private final NameRepository names;
    private final Journal journal;

    /**
     * A list.
     *
     * @param usual what a house begins with
     * @param what is kept, in the words of "changed …"
     */
    public HouseList(Store<T> store, List<T> usual, String what, NameRepository names, Journal journal) {
        this.store = store;
        this.usual = usual;
        this.what = what;
        this.names = names;
        this.journal = journal;
    }

    /** What holds for a car. */
    public List<T> of(String build) {
        return holding(build, "");
    }

    private List<T> holding(@Nullable String build, String discipline) {
        if (build != null) {
            List<T> own = store.read(build, "");
            return own.isEmpty()
                    ? holding(null, names.discipline(build).orElseThrow(() -> new NotFoundException("build")))
                    : own;
        }
        List<T> kind = store.read(null, discipline);
        if (kind.isEmpty() && !discipline.isEmpty()) {
            return holding(null, "");
        }
        return kind.isEmpty() ? usual : kind;
    }

    public Shown<T> shown(@Nullable String build, String discipline) {
        List<T> items = holding(build, discipline);
        return new Shown<>(edition(items), !store.read(build, discipline).isEmpty(), items);
    }

    private static String edition(List<?> items) {
        return Integer.toHexString(items.toString().hashCode());
    }

    /**
     * Puts another list in its place.
     *
     * @param edition of the list that was looked at
     * @throws ConflictException where somebody else has changed it since
     */
    public void change(@Nullable String build, String discipline, String edition, List<T> items) {
        journal.judge(() -> {
            String whose = whose(build, discipline);
            if (!edition(holding(build, discipline)).equals(edition)) {
                throw new ConflictException("Somebody else has changed " + what + ".", 0, List.of());
            }
            store.write(build, discipline, items);
            return "changed " + what + whose;
        });
    }

    /** Lets what is above it hold again. */
    public void forget(@Nullable String build, String discipline) {
        journal.judge(() -> {
            String whose = whose(build, discipline);
            if (store.read(build, discipline).isEmpty()) {
                return null;
            }
            store.forget(build, discipline);
            return "left " + what + whose + " as it usually is";
        });
    }

    private String whose(@Nullable String build, String discipline) {
        if (build != null) {
            return " for " + names.build(build).orElseThrow(() -> new NotFoundException("build"));
        }
        return discipline.isEmpty() ? "" : " in " + discipline;
    }
}
