package galecrest.server.carsheet;

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

/** The car's sheet on paper, and its log as a table. */
@RestController
@RequestMapping("/api/builds/{id}")
class PaperController {
    private final PaperService paper;
    private final MeasurementTableService table;

    PaperController(PaperService paper, MeasurementTableService table) {
        this.paper = paper;
        this.table = table;
    }

    /** The set-up sheet: all that is true of the car, and what is stale. */
    @GetMapping(path = "/set-up.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> setUp(@PathVariable String id) {
        return Download.pdf("set-up.pdf", paper.setUp(id));
    }

    /** The string sheet: the last readings, and room for the next. */
    @GetMapping(path = "/strings.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> strings(@PathVariable String id) {
        return Download.pdf("strings.pdf", paper.strings(id));
    }

    /** The torque sheet: fasteners with the maker's figures, and room for mark and names. */
    @GetMapping(path = "/torque.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> torque(@PathVariable String id) {
        return Download.pdf("torque.pdf", paper.torque(id));
    }

    @GetMapping(path = "/measurements.csv", produces = "text/csv")
    ResponseEntity<byte[]> export(@PathVariable String id) {
        return Download.csv("measurements.csv", table.export(id));
    }

    @PostMapping(path = "/measurements/import", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    TakenInResponse takeIn(@PathVariable String id, @RequestParam MultipartFile file) throws IOException {
        return new TakenInResponse(table.takeIn(id, file.getBytes()));
    }
}
