package galecrest.server.progress;

import galecrest.core.time.Minutes;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What a hand says of work: started, paused, done, held. */
@RestController
@RequestMapping("/api")
class ProgressController {
    private final ProgressService progress;

    ProgressController(ProgressService progress) {
        this.progress = progress;
    }

    @PostMapping("/works/{id}/start")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void start(@PathVariable String id, @RequestParam(defaultValue = "false") boolean anyway) {
        progress.start(id, anyway);
    }

    @PostMapping("/works/{id}/pause")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void pause(@PathVariable String id) {
        progress.pause(id);
    }

    @PostMapping("/works/{id}/done")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void done(@PathVariable String id) {
        progress.done(id);
    }

    @PostMapping("/works/{id}/hold")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void hold(@PathVariable String id, @RequestBody HoldRequest form) {
        progress.hold(id, form);
    }

    @PostMapping("/works/{id}/release")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void release(@PathVariable String id) {
        progress.release(id);
    }

    @PostMapping("/works/{id}/more")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void needsMore(@PathVariable String id, @RequestBody MoreRequest form) {
        progress.needsMore(id, Minutes.of(form.minutes()));
    }

    @PostMapping("/works/done-before")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void doneBefore(@RequestBody DoneBeforeRequest form) {
        progress.doneBefore(form.workIds());
    }
}
