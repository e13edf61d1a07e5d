package galecrest.server.board;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * What a screen is told instead of the whole board, if it has one already.
 *
 * @param whole the whole board, where the one the screen has is no longer remembered; there is nothing else then
 * @param changed the board, its lists with no more than the things that are different
 * @param complete the names of the lists that are whole nevertheless, as things came, went or changed places in them
 */
public record BoardNews(@Nullable Board whole, @Nullable Board changed, Set<String> complete) {
    static BoardNews all(Board board) {
        return new BoardNews(board, null, Set.of());
    }

    /** What makes one board of another. */
    static BoardNews between(Board before, Board after) {
        Set<String> complete = new TreeSet<>();
        Board changed = new Board(
                after.edition(),
                after.change(),
                after.now(),
                after.zone(),
                after.says(),
                after.shop(),
                after.draft(),
                after.brief(),
                changed("cars", before.cars(), after.cars(), Board.Car::id, complete),
                changed("works", before.works(), after.works(), Board.WorkView::id, complete),
                changed("links", before.links(), after.links(), Board.LinkView::id, complete),
                changed("parts", before.parts(), after.parts(), Board.PartView::id, complete),
                changed("commitments", before.commitments(), after.commitments(), Board.CommitmentView::id, complete),
                changed("people", before.people(), after.people(), Board.PersonView::id, complete),
                changed("stations", before.stations(), after.stations(), Board.StationView::id, complete),
                changed("vendors", before.vendors(), after.vendors(), Board.VendorView::id, complete),
                changed("pins", before.pins(), after.pins(), Board.PinView::id, complete),
                changed("loads", before.loads(), after.loads(), BoardNews::load, complete),
                after.score());
        return new BoardNews(null, changed, complete);
    }

    private static String load(Board.LoadView load) {
        return load.personId() + " " + load.stationId() + " " + load.day();
    }

    /** The things of a list that are different; all of it where its order is another. */
    private static <T> List<T> changed(
            String name, List<T> before, List<T> after, Function<T, String> id, Set<String> complete) {
        boolean inPlace = before.size() == after.size();
        List<T> different = new ArrayList<>();
        for (int i = 0; inPlace && i < after.size(); i++) {
            inPlace = id.apply(before.get(i)).equals(id.apply(after.get(i)));
            if (!before.get(i).equals(after.get(i))) {
                different.add(after.get(i));
            }
        }
        if (!inPlace) {
            complete.add(name);
            return after;
        }
        return different;
    }
}
