package galecrest.server.trackday;

import galecrest.server.AddedResponse;
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

/** Test days over HTTP. */
@RestController
@RequestMapping("/api")
class TestDayController {
    private final TestDayService days;
    private final LapTableService laps;

    TestDayController(TestDayService days, LapTableService laps) {
        this.days = days;
        this.laps = laps;
    }

    /** Lap times of a table as the lap gauge takes them; nothing is kept. */
    @PostMapping(path = "/laps/read", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    LapTableResponse read(@RequestParam MultipartFile file) throws IOException {
        return laps.read(file.getBytes());
    }

    @PostMapping(path = "/events/{id}/test-laps/import", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    TakenLapsResponse takeIn(@PathVariable String id, @RequestParam String build, @RequestParam MultipartFile file)
            throws IOException {
        return new TakenLapsResponse(laps.takeIn(id, build, file.getBytes()));
    }

    @GetMapping("/events/{id}/test-days")
    List<TestDayResponse> of(@PathVariable String id) {
        return days.of(id);
    }

    @PostMapping("/events/{id}/test-runs")
    AddedResponse add(@PathVariable String id, @RequestBody TestRunRequest form) {
        return new AddedResponse(days.add(id, form));
    }

    @PutMapping("/events/{id}/test-order")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void order(@PathVariable String id, @RequestBody TestOrderRequest form) {
        days.order(id, form);
    }

    @PutMapping("/test-runs/{run}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void change(@PathVariable String run, @RequestBody TestRunRequest form) {
        days.change(run, form);
    }

    @DeleteMapping("/test-runs/{run}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable String run) {
        days.remove(run);
    }

    @PostMapping("/events/{id}/test-findings")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void find(@PathVariable String id, @RequestBody TestFindingRequest form) {
        days.find(id, form);
    }

    @PutMapping("/test-findings/{finding}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void decide(@PathVariable String finding, @RequestBody TestFindingRequest form) {
        days.decide(finding, form);
    }

    @GetMapping(path = "/events/{id}/run-sheets.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> sheets(@PathVariable String id, @RequestParam String build) {
        return Download.pdf("run-sheets.pdf", RunSheets.pdf(days.sheets(id, build)));
    }
}
