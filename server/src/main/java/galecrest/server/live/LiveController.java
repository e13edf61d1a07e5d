package galecrest.server.live;

import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** News of changes as server-sent events. */
@RestController
class LiveController {
    private final LiveService live;

    LiveController(LiveService live) {
        this.live = live;
    }

    @GetMapping(path = "/api/live", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter live() {
        return live.open();
    }
}
