package galecrest.server.sheet;

import galecrest.core.sheet.JobSheet;
import galecrest.server.AddedResponse;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.core.io.ClassPathResource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

@RestController
@RequestMapping("/api")
class JobSheetController {
    private final JobSheetService sheets;

    JobSheetController(JobSheetService sheets) {
        this.sheets = sheets;
    }

    @PostMapping("/builds")
    AddedResponse addBuild(@RequestBody NewBuildRequest form) {
        return new AddedResponse(sheets.newBuild(form));
    }

    @PostMapping(path = "/builds/{id}/jobs/preview", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    JobSheetPreviewResponse preview(@PathVariable String id, @RequestParam MultipartFile file) throws IOException {
        JobSheet.Read read = sheets.preview(file.getBytes());
        List<JobLinePreview> lines = read.lines().stream()
                .map(l -> new JobLinePreview(
                        l.number(), l.stage(), l.spec().name(), l.spec().likelyMinutes()))
                .toList();
        return new JobSheetPreviewResponse(lines, read.problems());
    }

    @PostMapping(path = "/builds/{id}/jobs/import", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    ImportedJobsResponse importSheet(@PathVariable String id, @RequestParam MultipartFile file) throws IOException {
        return new ImportedJobsResponse(sheets.importSheet(id, file.getBytes()));
    }

    @GetMapping(path = "/builds/{id}/jobs.csv", produces = "text/csv")
    ResponseEntity<byte[]> export(@PathVariable String id) {
        return file("job-sheet.csv", sheets.export(id).getBytes(StandardCharsets.UTF_8));
    }

    @GetMapping(path = "/job-sheet-example.csv", produces = "text/csv")
    ResponseEntity<byte[]> example() throws IOException {
        try (InputStream file = new ClassPathResource("templates/rewire.csv").getInputStream()) {
            return file("job-sheet-example.csv", file.readAllBytes());
        }
    }

    private static ResponseEntity<byte[]> file(String name, byte[] content) {
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .body(content);
    }
}
