package galecrest.server.call;

import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/calls")
class CallController {
    private final CallService calls;

    CallController(CallService calls) {
        this.calls = calls;
    }

    @GetMapping
    List<CallResponse> all() {
        return calls.all();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void add(@RequestBody CallRequest form) {
        calls.add(form);
    }

    @PostMapping("/{id}/done")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void answered(@PathVariable String id, @RequestBody AnsweredRequest form) {
        calls.answered(id, form);
    }
}
