package galecrest.server.component;

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

/** Components and the uses of cars over HTTP. */
@RestController
@RequestMapping("/api")
class ComponentController {
    private final ComponentService components;
    private final ComponentTableService table;
    private final CarUseService uses;

    ComponentController(ComponentService components, ComponentTableService table, CarUseService uses) {
        this.components = components;
        this.table = table;
        this.uses = uses;
    }

    @GetMapping("/components")
    List<ComponentResponse> all() {
        return components.all();
    }

    @PostMapping("/components")
    AddedResponse add(@RequestBody ComponentRequest form) {
        return new AddedResponse(components.add(form));
    }

    @PutMapping("/components/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void change(@PathVariable String id, @RequestBody ComponentRequest form) {
        components.change(id, form);
    }

    @DeleteMapping("/components/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable String id) {
        components.remove(id);
    }

    @PostMapping("/components/{id}/fit")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void fit(@PathVariable String id, @RequestBody FitComponentRequest form) {
        components.fit(id, form);
    }

    @PostMapping("/components/{id}/take-off")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void takeOff(@PathVariable String id) {
        components.takeOff(id);
    }

    @PostMapping("/components/{id}/history")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void note(@PathVariable String id, @RequestBody HistoryRequest form) {
        components.note(id, form);
    }

    @GetMapping(path = "/components.csv", produces = "text/csv")
    ResponseEntity<byte[]> export() {
        return Download.csv("components.csv", table.export());
    }

    @PostMapping(path = "/components/import", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    TakenComponentsResponse takeIn(@RequestParam MultipartFile file) throws IOException {
        return new TakenComponentsResponse(table.takeIn(file.getBytes()));
    }

    @GetMapping("/builds/{id}/uses")
    List<UseResponse> log(@PathVariable String id) {
        return uses.log(id);
    }

    @PostMapping("/builds/{id}/uses")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void book(@PathVariable String id, @RequestBody UseRequest form) {
        uses.bookByHand(id, form);
    }
}
