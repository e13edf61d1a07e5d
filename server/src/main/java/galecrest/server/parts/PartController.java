package galecrest.server.parts;

import galecrest.core.parts.PartState;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/parts")
class PartController {
    private final PartService parts;

    PartController(PartService parts) {
        this.parts = parts;
    }

    /** A part line; without arrival dates the house rule's time is assumed. */
    record PartForm(
            String buildId,
            String name,
            PartState state,
            @Nullable String vendorId,
            @Nullable BigDecimal price,
            @Nullable Instant arrivalLow,
            @Nullable Instant arrivalLikely,
            @Nullable Instant arrivalHigh,
            int inspectionMinutes,
            @Nullable String pairedWith,
            @Nullable String pairOverride,
            List<String> neededBy,
            int quantity,
            boolean own,
            String specification,
            String kit,
            String tracking,
            int version) {}

    record AddedPart(String id) {}

    @PostMapping
    AddedPart add(@RequestBody PartForm form) {
        return new AddedPart(parts.add(form));
    }

    @PutMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void change(@PathVariable String id, @RequestBody PartForm form) {
        parts.change(id, form);
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable String id) {
        parts.remove(id);
    }
}
