package galecrest.server.snapshot;

import java.io.IOException;
import org.springframework.core.io.ClassPathResource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

@RestController
@RequestMapping("/api")
class SnapshotController {
    private final SnapshotService snapshots;

    SnapshotController(SnapshotService snapshots) {
        this.snapshots = snapshots;
    }

    @GetMapping("/snapshot")
    ResponseEntity<byte[]> export() {
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("shop-snapshot.json")
                                .build()
                                .toString())
                .contentType(MediaType.APPLICATION_JSON)
                .body(snapshots.export());
    }

    @GetMapping("/snapshot.schema.json")
    ResponseEntity<byte[]> schema() throws IOException {
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_JSON)
                .body(new ClassPathResource("shop-snapshot.schema.json").getContentAsByteArray());
    }

    @PostMapping(path = "/snapshot", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void importSnapshot(@RequestParam MultipartFile file) throws IOException {
        snapshots.importInto(file.getBytes());
    }
}
