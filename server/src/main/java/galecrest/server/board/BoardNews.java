package galecrest.server.board;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * What a screen is told instead of the whole board, if it has one already.
 *
 * @param whole the whole board, where the one the screen has is no longer remembered; there is nothing else then
 * @param changed the board, its lists with no more than the things that are different or came
 * @param lists by the name of a list, what came to it and left it; not named where nothing did
 */
public record BoardNews(@Nullable Board whole, @Nullable Board changed, Map<String, ListNews> lists) {
    /**
     * What came to a list and left it. What changed places has left and come.
     *
     * @param gone keys of what is no longer there
     * @param came what comes after what, in the order of the list
     */
    public record ListNews(List<String> gone, List<Came> came) {}

    /** @param after the key of the thing before it; null at the beginning */
    public record Came(String key, @Nullable String after) {}

    static BoardNews all(Board board) {
        return new BoardNews(board, null, Map.of());
    }

    /** What makes one board of another. */
    static BoardNews between(Board before, Board after) {
        Map<String, ListNews> lists = new TreeMap<>();
        Board changed = after.withLists(new Board.Lists() {
            @Override
            public <T> List<T> of(String name, Function<Board, List<T>> list, Function<T, String> key) {
                return changed(name, list.apply(before), list.apply(after), key, lists);
            }
        });
        return new BoardNews(null, changed, lists);
    }

    /** The things of a list that are different or came. */
    private static <T> List<T> changed(
            String name, List<T> before, List<T> after, Function<T, String> key, Map<String, ListNews> lists) {
        Map<String, Integer> places = new HashMap<>();
        for (int i = 0; i < before.size(); i++) {
            places.put(key.apply(before.get(i)), i);
        }
        Set<String> stay = stay(places, after, key);
        List<T> different = new ArrayList<>();
        List<Came> came = new ArrayList<>();
        String last = null;
        for (T thing : after) {
            String its = key.apply(thing);
            if (!stay.contains(its)) {
                came.add(new Came(its, last));
                different.add(thing);
            } else if (!thing.equals(before.get(places.get(its)))) {
                different.add(thing);
            }
            last = its;
        }
        List<String> gone =
                before.stream().map(key).filter(k -> !stay.contains(k)).toList();
        if (!gone.isEmpty() || !came.isEmpty()) {
            lists.put(name, new ListNews(gone, came));
        }
        return different;
    }

    /** As many as can be of what is in both and in the same order: a longest increasing run of the places before. */
    private static <T> Set<String> stay(Map<String, Integer> places, List<T> after, Function<T, String> key) {
        int[] place = new int[after.size()];
        int[] best = new int[after.size()];
        int[] previous = new int[after.size()];
        int length = 0;
        for (int i = 0; i < after.size(); i++) {
            place[i] = places.getOrDefault(key.apply(after.get(i)), -1);
            if (place[i] < 0) {
                continue;
            }
            int low = 0;
            int high = length;
            while (low < high) {
                int middle = (low + high) >>> 1;
                if (place[best[middle]] < place[i]) {
                    low = middle + 1;
                } else {
                    high = middle;
                }
            }
            previous[i] = low == 0 ? -1 : best[low - 1];
            best[low] = i;
            length = Math.max(length, low + 1);
        }
        Set<String> stay = new HashSet<>();
        for (int at = length == 0 ? -1 : best[length - 1]; at >= 0; at = previous[at]) {
            stay.add(key.apply(after.get(at)));
        }
        return stay;
    }
}
