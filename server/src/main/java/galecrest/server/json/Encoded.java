package galecrest.server.json;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Locale;
import java.util.zip.GZIPOutputStream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.context.request.WebRequest;

/** An answer in JSON that is written and packed once for all who are given it. */
public final class Encoded {
    private final byte[] plain;
    private byte @Nullable [] packed;

    private Encoded(byte[] plain) {
        this.plain = plain;
    }

    /** The value as the interface writes it. */
    public static Encoded of(ObjectMapper json, Object value) {
        try {
            return new Encoded(json.writeValueAsBytes(value));
        } catch (JsonProcessingException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The answer to whoever asks: packed where they take it so. */
    public ResponseEntity<byte[]> answer(WebRequest asked) {
        String takes = asked.getHeader(HttpHeaders.ACCEPT_ENCODING);
        boolean packs = takes != null && takes.toLowerCase(Locale.ROOT).contains("gzip");
        ResponseEntity.BodyBuilder answer = ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_JSON)
                .header(HttpHeaders.VARY, HttpHeaders.ACCEPT_ENCODING);
        return packs ? answer.header(HttpHeaders.CONTENT_ENCODING, "gzip").body(packed()) : answer.body(plain);
    }

    private synchronized byte[] packed() {
        byte[] known = packed;
        if (known == null) {
            ByteArrayOutputStream out = new ByteArrayOutputStream(plain.length / 4);
            try (GZIPOutputStream zip = new GZIPOutputStream(out)) {
                zip.write(plain);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
            known = out.toByteArray();
            packed = known;
        }
        return known;
    }
}
