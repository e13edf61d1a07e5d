package galecrest.server.capture;

import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The line said on the walk. */
@RestController
@RequestMapping("/api")
class CaptureController {
    private final CaptureService capture;

    CaptureController(CaptureService capture) {
        this.capture = capture;
    }

    @PostMapping("/builds/{id}/capture")
    CapturedResponse capture(@PathVariable String id, @RequestBody CaptureRequest form) {
        return capture.capture(id, form);
    }

    @PostMapping("/builds/{id}/capture/understand")
    UnderstoodResponse understand(@PathVariable String id, @RequestBody CaptureRequest form) {
        return capture.understand(id, form);
    }
}
