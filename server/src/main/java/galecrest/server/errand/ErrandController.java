package galecrest.server.errand;

import galecrest.server.AddedResponse;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/errands")
class ErrandController {
    private final ErrandService errands;

    ErrandController(ErrandService errands) {
        this.errands = errands;
    }

    @GetMapping
    List<ErrandResponse> open() {
        return errands.open();
    }

    @PostMapping
    AddedResponse add(@RequestBody ErrandRequest form) {
        return new AddedResponse(errands.add(form));
    }

    @PutMapping("/{id}/time")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void move(@PathVariable String id, @RequestBody ErrandTimeRequest form) {
        errands.move(id, form.from(), form.by());
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable String id) {
        errands.remove(id);
    }
}
