package galecrest.server.wall;

import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The wall and its links over HTTP. */
@RestController
@RequestMapping("/api")
class WallController {
    private final WallService wall;

    WallController(WallService wall) {
        this.wall = wall;
    }

    @GetMapping("/wall/{token}")
    WallResponse look(@PathVariable String token) {
        return wall.look(token);
    }

    /** The number of the last change; the screen asks for the rest once it is another. */
    @GetMapping("/wall/{token}/change")
    long change(@PathVariable String token) {
        return wall.change(token);
    }

    @GetMapping("/wall-links")
    List<WallLinkResponse> links() {
        return wall.links();
    }

    @PostMapping("/wall-links")
    MadeWallLinkResponse make() {
        return wall.make();
    }

    @DeleteMapping("/wall-links/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void revoke(@PathVariable String id) {
        wall.revoke(id);
    }
}
