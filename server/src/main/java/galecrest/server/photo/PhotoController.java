package galecrest.server.photo;

import galecrest.server.AddedResponse;
import java.io.IOException;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

@RestController
@RequestMapping("/api")
class PhotoController {
    private final PhotoService photos;

    PhotoController(PhotoService photos) {
        this.photos = photos;
    }

    @GetMapping("/builds/{build}/photos")
    List<PhotoResponse> photos(@PathVariable String build) {
        return photos.of(build);
    }

    @PostMapping(path = "/builds/{build}/photos", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    AddedResponse take(
            @PathVariable String build,
            @RequestParam("file") MultipartFile file,
            @RequestParam(defaultValue = "") String caption,
            @RequestParam(required = false) @Nullable String partId,
            @RequestParam(required = false) @Nullable String measurementId)
            throws IOException {
        return new AddedResponse(
                photos.take(build, new PhotoService.Of(partId, measurementId), caption, file.getBytes()));
    }

    /** Shows a photo to the customer, or takes it back. */
    @PostMapping("/photos/{id}/release")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void release(@PathVariable String id, @RequestBody ReleaseRequest form) {
        photos.release(id, form.released());
    }

    @DeleteMapping("/photos/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable String id) {
        photos.remove(id);
    }

    @GetMapping("/photos/{id}")
    ResponseEntity<byte[]> content(@PathVariable String id) {
        return picture(photos.content(id, false));
    }

    @GetMapping("/photos/{id}/small")
    ResponseEntity<byte[]> small(@PathVariable String id) {
        return picture(photos.content(id, true));
    }

    private static ResponseEntity<byte[]> picture(PhotoService.Picture picture) {
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(picture.type()))
                .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=photo")
                .header(HttpHeaders.CACHE_CONTROL, "private, max-age=86400")
                .body(picture.content());
    }
}
