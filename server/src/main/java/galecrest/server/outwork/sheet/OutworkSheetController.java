package galecrest.server.outwork.sheet;

import galecrest.server.Download;
import java.io.IOException;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** The outside work of a build as a table, both ways. */
@RestController
@RequestMapping("/api/builds/{build}")
class OutworkSheetController {
    private final OutworkSheetService sheets;

    OutworkSheetController(OutworkSheetService sheets) {
        this.sheets = sheets;
    }

    @PostMapping(path = "/outwork/preview", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    OutworkPreviewResponse preview(@PathVariable String build, @RequestParam MultipartFile file) throws IOException {
        return sheets.preview(build, file.getBytes());
    }

    @PostMapping(path = "/outwork/import", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    ImportedOutworkResponse importSheet(@PathVariable String build, @RequestParam MultipartFile file)
            throws IOException {
        return new ImportedOutworkResponse(sheets.importSheet(build, file.getBytes()));
    }

    @GetMapping(path = "/outwork.csv", produces = "text/csv")
    ResponseEntity<byte[]> export(@PathVariable String build) {
        return Download.csv("outside-work.csv", sheets.export(build));
    }
}
