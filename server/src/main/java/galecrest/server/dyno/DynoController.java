package galecrest.server.dyno;

import galecrest.server.Download;
import java.io.IOException;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** Power runs over HTTP. */
@RestController
@RequestMapping("/api")
class DynoController {
    private final PowerRunService runs;
    private final RunCompareService compared;

    DynoController(PowerRunService runs, RunCompareService compared) {
        this.runs = runs;
        this.compared = compared;
    }

    /** Reads a file; it is kept for a day, until somebody takes it as a run. */
    @PostMapping(path = "/run-files", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    RunFileResponse read(@RequestParam MultipartFile file) throws IOException {
        return runs.read(file.getOriginalFilename(), file.getBytes());
    }

    /** A file of the simulated road. */
    @PostMapping("/run-files/stand-in")
    RunFileResponse drive(@RequestBody StandInRunRequest form) {
        return runs.drive(form);
    }

    /** What a file is when its columns are what is said. */
    @PostMapping("/run-files/{file}/look")
    RunLookResponse look(@PathVariable String file, @RequestBody LookRequest form) {
        return runs.look(file, form);
    }

    @GetMapping("/builds/{id}/runs")
    PowerRunsResponse of(@PathVariable String id) {
        return runs.of(id);
    }

    @PostMapping("/builds/{id}/runs")
    TakenRunsResponse take(@PathVariable String id, @RequestBody TakeRunsRequest form) {
        return new TakenRunsResponse(runs.take(id, form));
    }

    @PostMapping("/builds/{id}/runs/compare")
    RunComparisonResponse compare(@PathVariable String id, @RequestBody CompareRequest form) {
        return compared.compare(id, form);
    }

    @PutMapping("/runs/{run}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void change(@PathVariable String run, @RequestBody RunConditionsRequest form) {
        runs.change(run, form);
    }

    @DeleteMapping("/runs/{run}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable String run) {
        runs.remove(run);
    }

    /** The file as it came. */
    @GetMapping("/runs/{run}/file.csv")
    ResponseEntity<byte[]> file(@PathVariable String run) {
        return Download.asItCame("run.csv", runs.file(run));
    }
}
