package galecrest.server.cope;

import galecrest.server.Download;
import java.nio.charset.StandardCharsets;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Cope templates over HTTP; {@code asked} is what the gauge {@code cope} is asked, as JSON. */
@RestController
@RequestMapping("/api")
class CopeController {
    private static final MediaType SVG = new MediaType("image", "svg+xml", StandardCharsets.UTF_8);

    private final CopeService copes;

    CopeController(CopeService copes) {
        this.copes = copes;
    }

    @GetMapping("/cope.pdf")
    ResponseEntity<byte[]> pdf(@RequestParam String asked, @RequestParam(defaultValue = "A4") String paper) {
        return Download.pdf("cope.pdf", copes.pdf(asked, paper));
    }

    @GetMapping("/cope.svg")
    ResponseEntity<byte[]> svg(
            @RequestParam String asked,
            @RequestParam(defaultValue = "A4") String paper,
            @RequestParam(required = false) @Nullable Integer sheet) {
        return ResponseEntity.ok()
                .contentType(SVG)
                .body(copes.svg(asked, paper, sheet).getBytes(StandardCharsets.UTF_8));
    }
}
