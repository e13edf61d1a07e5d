package galecrest.server.load;

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

/** Load lists over HTTP. */
@RestController
@RequestMapping("/api")
class LoadController {
    private final LoadService loads;

    LoadController(LoadService loads) {
        this.loads = loads;
    }

    @GetMapping("/events/{id}/load")
    LoadResponse of(@PathVariable String id) {
        return loads.of(id);
    }

    @PostMapping("/events/{id}/load")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void add(@PathVariable String id, @RequestBody LoadItemRequest form) {
        loads.add(id, form);
    }

    @PostMapping("/events/{id}/load/usual")
    TakenLoadResponse usual(@PathVariable String id) {
        return new TakenLoadResponse(loads.usual(id));
    }

    @PutMapping("/events/{id}/payload")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void payload(@PathVariable String id, @RequestBody PayloadRequest form) {
        loads.payload(id, form);
    }

    @PostMapping("/events/{id}/leave")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void leave(@PathVariable String id, @RequestBody LeaveRequest form) {
        loads.leave(id, form);
    }

    @PutMapping("/load-items/{item}/tick")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void tick(@PathVariable String item, @RequestBody LoadTickRequest form) {
        loads.tick(item, form);
    }

    @PutMapping("/load-items/{item}/back")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void back(@PathVariable String item, @RequestBody LoadBackRequest form) {
        loads.back(item, form);
    }

    @PostMapping("/events/{id}/load/used")
    UsedResponse used(@PathVariable String id) {
        return new UsedResponse(loads.used(id));
    }

    @GetMapping(path = "/events/{id}/load.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> paper(@PathVariable String id) {
        return Download.pdf("load.pdf", loads.paper(id));
    }

    @DeleteMapping("/load-items/{item}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable String item) {
        loads.remove(item);
    }

    @GetMapping(path = "/events/{id}/load.csv", produces = "text/csv")
    ResponseEntity<byte[]> export(@PathVariable String id) {
        return Download.csv("load.csv", loads.export(id));
    }

    @PostMapping(path = "/events/{id}/load/import", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    TakenLoadResponse takeIn(@PathVariable String id, @RequestParam MultipartFile file) throws IOException {
        return new TakenLoadResponse(loads.takeIn(id, file.getBytes()));
    }
}
