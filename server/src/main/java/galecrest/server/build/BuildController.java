package galecrest.server.build;

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

/** Builds and their dates. */
@RestController
@RequestMapping("/api")
class BuildController {
    private final BuildService builds;

    BuildController(BuildService builds) {
        this.builds = builds;
    }

    @PutMapping("/builds/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void change(@PathVariable String id, @RequestBody BuildRequest form) {
        builds.change(id, form);
    }

    @PostMapping("/builds/{id}/park")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void park(@PathVariable String id, @RequestBody ParkRequest form) {
        builds.park(id, form);
    }

    @PostMapping("/builds/{id}/take-back")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void takeBack(@PathVariable String id) {
        builds.takeBack(id);
    }

    @DeleteMapping("/builds/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeBuild(@PathVariable String id) {
        builds.remove(id);
    }

    @PostMapping("/commitments")
    AddedResponse addCommitment(@RequestBody CommitmentRequest form) {
        return new AddedResponse(builds.addCommitment(form));
    }

    @PutMapping("/commitments/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void changeCommitment(@PathVariable String id, @RequestBody CommitmentRequest form) {
        builds.changeCommitment(id, form);
    }

    @DeleteMapping("/commitments/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeCommitment(@PathVariable String id) {
        builds.removeCommitment(id);
    }

    @PostMapping("/fitted-for-now/{id}/made-good")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void madeGood(@PathVariable String id) {
        builds.madeGood(id);
    }
}
