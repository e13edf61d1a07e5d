package galecrest.server.photo;

import galecrest.server.access.AnyHand;
import galecrest.server.access.CurrentUser;
import galecrest.server.access.LeadOrManager;
import galecrest.server.access.ManagerOnly;
import galecrest.server.journal.Journal;
import galecrest.server.problem.NotFoundException;
import java.time.Clock;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Photos: taken by anybody, shown to the customer one by one, only by the manager. */
@Service
public class PhotoService {
    private final PhotoRepository photos;
    private final Journal journal;
    private final Clock clock;
    private final CurrentUser who;

    PhotoService(PhotoRepository photos, Journal journal, Clock clock, CurrentUser who) {
        this.photos = photos;
        this.journal = journal;
        this.clock = clock;
        this.who = who;
    }

    /** A picture as it is sent. */
    public record Picture(String type, byte[] content) {}

    /** What else a photo is of, besides its car. */
    record Of(@Nullable String partId, @Nullable String measurementId) {}

    @AnyHand
    List<PhotoResponse> of(String build) {
        return photos.of(build);
    }

    @AnyHand
    String take(String build, Of of, String caption, byte[] file) {
        Pictures.Ready picture = Pictures.read(file);
        String name = photos.build(build).orElseThrow(() -> new NotFoundException("build"));
        return journal.change(
                "took a photo of the " + name,
                () -> photos.insert(build, of, caption, picture, who.name(), clock.instant()));
    }

    @ManagerOnly
    void release(String id, boolean released) {
        journal.judge(() -> {
            String caption = photos.caption(id).orElseThrow(() -> new NotFoundException("photo"));
            photos.release(id, released);
            return (released ? "released the photo " : "took back the photo ") + caption;
        });
    }

    @LeadOrManager
    void remove(String id) {
        journal.judge(() -> {
            String caption = photos.caption(id).orElseThrow(() -> new NotFoundException("photo"));
            photos.delete(id);
            return "removed the photo " + caption;
        });
    }

    @AnyHand
    Picture content(String id, boolean small) {
        return photos.content(id, small).orElseThrow(() -> new NotFoundException("photo"));
    }

    /** A photo that was released of this build; asked by who has its link. */
    public Picture released(String build, String id, boolean small) {
        return photos.releasedContent(build, id, small).orElseThrow(() -> new NotFoundException("photo"));
    }
}
