package galecrest.server.trace;

import java.io.IOException;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** Logged traces over HTTP; nothing is kept. */
@RestController
@RequestMapping("/api/traces")
class TraceController {
    private final TraceService traces;

    TraceController(TraceService traces) {
        this.traces = traces;
    }

    @PostMapping(path = "/read", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    TraceTableResponse read(@RequestParam MultipartFile file) throws IOException {
        return traces.read(file.getBytes());
    }
}
