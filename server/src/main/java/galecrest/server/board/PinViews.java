package galecrest.server.board;

import galecrest.core.work.Pin;
import org.jspecify.annotations.Nullable;

/** Shows pins. */
final class PinViews {
    private PinViews() {}

    static Board.PinView of(Pin pin, @Nullable String broken) {
        String id = pin.id().value();
        String work = pin.work().value();
        if (pin instanceof Pin.ToPerson p) {
            return new Board.PinView(id, work, Board.PinKind.PERSON, p.person().value(), null, null, null, broken);
        } else if (pin instanceof Pin.ToStation p) {
            return new Board.PinView(
                    id, work, Board.PinKind.STATION, null, p.station().value(), null, null, broken);
        } else if (pin instanceof Pin.After p) {
            return new Board.PinView(
                    id, work, Board.PinKind.AFTER, null, null, p.first().value(), null, broken);
        } else if (pin instanceof Pin.NotBefore p) {
            return new Board.PinView(id, work, Board.PinKind.NOT_BEFORE, null, null, null, p.at(), broken);
        }
        return new Board.PinView(id, work, Board.PinKind.EXACTLY, null, null, null, ((Pin.Exactly) pin).at(), broken);
    }
}
