package galecrest.server.calendar;

import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
class CalendarController {
    private static final MediaType CALENDAR = new MediaType("text", "calendar", StandardCharsets.UTF_8);

    private final CalendarService told;

    CalendarController(CalendarService told) {
        this.told = told;
    }

    @GetMapping("/api/feeds")
    List<FeedResponse> feeds() {
        return told.feeds().stream()
                .map(f -> new FeedResponse(f.token(), f.kind(), f.subject()))
                .toList();
    }

    @PostMapping("/api/feeds")
    AddedFeedResponse add(@RequestBody FeedRequest form) {
        return new AddedFeedResponse("/feeds/" + told.addFeed(form.kind(), form.subject()) + ".ics");
    }

    @DeleteMapping("/api/feeds/{token}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable String token) {
        told.removeFeed(token);
    }

    /** The calendar of a private link; nothing tells an unknown link from a revoked one. */
    @GetMapping("/feeds/{token}.ics")
    ResponseEntity<String> calendar(@PathVariable String token) {
        return told.calendar(token)
                .map(text -> ResponseEntity.ok()
                        .contentType(CALENDAR)
                        .header(HttpHeaders.CACHE_CONTROL, "private, max-age=300")
                        .body(text))
                .orElse(ResponseEntity.notFound().build());
    }

    @GetMapping(path = "/api/plan.csv", produces = "text/csv")
    ResponseEntity<String> csv() {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"plan.csv\"")
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .body(told.csv());
    }
}
