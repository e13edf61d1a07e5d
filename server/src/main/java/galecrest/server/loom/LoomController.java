package galecrest.server.loom;

import galecrest.server.AddedResponse;
import galecrest.server.Download;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Looms over HTTP. */
@RestController
@RequestMapping("/api")
class LoomController {
    private final LoomService loom;
    private final WirePaperService paper;

    LoomController(LoomService loom, WirePaperService paper) {
        this.loom = loom;
        this.paper = paper;
    }

    @GetMapping("/builds/{id}/loom")
    LoomResponse of(@PathVariable String id) {
        return loom.of(id);
    }

    @PostMapping("/builds/{id}/modules")
    AddedResponse add(@PathVariable String id, @RequestBody ModuleRequest form) {
        return new AddedResponse(loom.add(id, form));
    }

    @PutMapping("/modules/{module}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void change(@PathVariable String module, @RequestBody ModuleRequest form) {
        loom.change(module, form);
    }

    @DeleteMapping("/modules/{module}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable String module) {
        loom.remove(module);
    }

    @PutMapping("/builds/{id}/loom-job")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void waits(@PathVariable String id, @RequestBody LoomJobRequest form) {
        loom.waits(id, form);
    }

    @PutMapping("/builds/{id}/loom-tree")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void setTree(@PathVariable String id, @RequestBody LoomTreeRequest form) {
        loom.setTree(id, form);
    }

    @GetMapping("/builds/{id}/wires.csv")
    ResponseEntity<byte[]> csv(@PathVariable String id) {
        return Download.csv("wires.csv", paper.csv(id));
    }

    @GetMapping("/builds/{id}/wire-labels.csv")
    ResponseEntity<byte[]> labels(@PathVariable String id) {
        return Download.csv("wire-labels.csv", paper.labels(id));
    }

    @GetMapping("/builds/{id}/wires.pdf")
    ResponseEntity<byte[]> pdf(@PathVariable String id) {
        return Download.pdf("wires.pdf", paper.pdf(id));
    }
}
