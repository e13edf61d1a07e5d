package galecrest.server.parts;

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

/** The parts of a build as a table, both ways. */
@RestController
@RequestMapping("/api/builds/{build}")
class PartSheetController {
    private final PartSheetService sheets;

    PartSheetController(PartSheetService sheets) {
        this.sheets = sheets;
    }

    @PostMapping(path = "/parts/preview", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    PartsPreviewResponse preview(@PathVariable String build, @RequestParam MultipartFile file) throws IOException {
        return sheets.preview(build, file.getBytes());
    }

    @PostMapping(path = "/parts/import", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    ImportedPartsResponse importSheet(@PathVariable String build, @RequestParam MultipartFile file) throws IOException {
        return new ImportedPartsResponse(sheets.importSheet(build, file.getBytes()));
    }

    @GetMapping(path = "/parts.csv", produces = "text/csv")
    ResponseEntity<byte[]> export(@PathVariable String build) {
        return Download.csv("parts.csv", sheets.export(build));
    }
}
