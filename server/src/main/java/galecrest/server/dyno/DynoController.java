package galecrest.server.dyno;

import galecrest.server.Download;
import java.io.IOException;
import java.util.List;
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
    private final RunReviewService reviewed;

    DynoController(PowerRunService runs, RunCompareService compared, RunReviewService reviewed) {
        this.runs = runs;
        this.compared = compared;
        this.reviewed = reviewed;
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

    /** The channels of a run for a picture so many columns wide, and its review. */
    @GetMapping("/runs/{run}/trace")
    TraceResponse trace(@PathVariable String run, @RequestParam(defaultValue = "600") int columns) {
        return reviewed.trace(run, columns);
    }

    @GetMapping("/builds/{id}/review-limits")
    List<ReviewLimitResponse> limits(@PathVariable String id) {
        return reviewed.limits(id);
    }

    /** Gives a car its own limits; an empty list goes back to the usual ones. */
    @PutMapping("/builds/{id}/review-limits")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void setLimits(@PathVariable String id, @RequestBody List<ReviewLimitRequest> form) {
        reviewed.setLimits(id, form);
    }
}
