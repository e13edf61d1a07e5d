package galecrest.server.work;

import galecrest.server.AddedResponse;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Jobs, outwork and running-in as entered at a desk. */
@RestController
@RequestMapping("/api")
class WorkController {
    private final WorkService works;

    WorkController(WorkService works) {
        this.works = works;
    }

    @PostMapping("/jobs")
    AddedResponse addJob(@RequestBody JobRequest form) {
        return new AddedResponse(works.addJob(form));
    }

    @PutMapping("/jobs/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void changeJob(@PathVariable String id, @RequestBody JobRequest form) {
        works.changeJob(id, form);
    }

    @PostMapping("/outwork")
    AddedResponse addOutwork(@RequestBody OutworkRequest form) {
        return new AddedResponse(works.addOutwork(form));
    }

    @PutMapping("/outwork/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void changeOutwork(@PathVariable String id, @RequestBody OutworkRequest form) {
        works.changeOutwork(id, form);
    }

    @PostMapping("/running-in")
    AddedResponse addRunningIn(@RequestBody RunningInRequest form) {
        return new AddedResponse(works.addRunningIn(form));
    }

    @PutMapping("/running-in/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void changeRunningIn(@PathVariable String id, @RequestBody RunningInRequest form) {
        works.changeRunningIn(id, form);
    }

    @PutMapping("/works/{id}/date")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void belongTo(@PathVariable String id, @RequestBody WorkDateRequest form) {
        works.belongTo(id, form);
    }

    @PutMapping("/works/{id}/customer-name")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void nameForCustomer(@PathVariable String id, @RequestBody CustomerNameRequest form) {
        works.nameForCustomer(id, form);
    }

    @DeleteMapping("/works/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeWork(@PathVariable String id) {
        works.remove(id);
    }
}
