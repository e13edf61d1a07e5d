package galecrest.server;

import java.nio.charset.StandardCharsets;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** Files that are handed out. */
public final class Download {
    private static final MediaType CSV = new MediaType("text", "csv", StandardCharsets.UTF_8);

    private Download() {}

    /** A table that is saved under that name. */
    public static ResponseEntity<byte[]> csv(String name, String table) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=" + name)
                .contentType(CSV)
                .body(table.getBytes(StandardCharsets.UTF_8));
    }

    /** A file as it once came, letter by letter. */
    public static ResponseEntity<byte[]> asItCame(String name, byte[] file) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=" + name)
                .contentType(MediaType.APPLICATION_OCTET_STREAM)
                .body(file);
    }

    /** A sheet that is looked at, and saved under that name by whoever wants to. */
    public static ResponseEntity<byte[]> pdf(String name, byte[] sheet) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=" + name)
                .contentType(MediaType.APPLICATION_PDF)
                .body(sheet);
    }
}
