package galecrest.server.carsheet;

import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What classes limit, over HTTP. */
@RestController
@RequestMapping("/api/classes")
class ClassController {
    private final ClassService classes;

    ClassController(ClassService classes) {
        this.classes = classes;
    }

    @GetMapping
    List<ClassResponse> all() {
        return classes.all();
    }

    @PutMapping
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void write(@RequestBody ClassRequest form) {
        classes.write(form);
    }
}
