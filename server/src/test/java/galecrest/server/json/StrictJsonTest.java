package galecrest.server.json;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.request;

import galecrest.server.ServerTest;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.mock.web.MockHttpServletResponse;

/** Requests that nobody's browser sends: each is refused with a reason, none is a fault of ours, nothing is kept. */
class StrictJsonTest extends ServerTest {
    @Autowired
    private JdbcClient db;

    private MockHttpServletResponse send(String method, String path, String body) throws Exception {
        return mvc.perform(request(HttpMethod.valueOf(method), path)
                        .cookie(session(MARA))
                        .with(csrf())
                        .contentType(MediaType.APPLICATION_JSON)
                        .content(body.getBytes(StandardCharsets.UTF_8)))
                .andReturn()
                .getResponse();
    }

    private void refused(int status, String method, String path, String body, String says) throws Exception {
        String before = record();
        MockHttpServletResponse answer = send(method, path, body);
        assertThat(answer.getStatus()).as(answer.getContentAsString()).isEqualTo(status);
        assertThat(answer.getContentAsString(StandardCharsets.UTF_8)).contains(says);
        assertThat(record()).isEqualTo(before);
    }

    private static final String SUPPLY = "{\"name\":\"%s\",\"quantity\":\"\",\"boughtFrom\":\"\"}";

    @Test
    void aKeyTwiceIsNoRequest() throws Exception {
        refused(
                400,
                "POST",
                "/api/supplies",
                "{\"name\":\"a\",\"name\":\"b\",\"quantity\":\"\",\"boughtFrom\":\"\"}",
                "read");
    }

    @Test
    void aTextEndsAndIsText() throws Exception {
        refused(422, "POST", "/api/supplies", SUPPLY.formatted("x".repeat(4001)), "up to 4000 characters");
        refused(422, "POST", "/api/supplies", SUPPLY.formatted("\\ud83d half a pair"), "cannot be kept");
        refused(422, "POST", "/api/supplies", SUPPLY.formatted("zero \\u0000"), "cannot be kept");
        refused(422, "POST", "/api/supplies", SUPPLY.formatted("x".repeat(300)), "Too long");
        refused(400, "POST", "/api/supplies", SUPPLY.formatted("x".repeat(3_000_000)), "read");
    }

    @Test
    void anIdIsShort() throws Exception {
        refused(
                422,
                "POST",
                "/api/pins",
                "{\"workId\":\"" + "1".repeat(1_000_000) + "\",\"kind\":\"NOT_BEFORE\"}",
                "up to 64 characters");
        assertThat(mvc.perform(request(HttpMethod.GET, "/api/parts/" + "p".repeat(5000))
                                .cookie(session(MARA)))
                        .andReturn()
                        .getResponse()
                        .getStatus())
                .isEqualTo(404);
    }

    @Test
    void aNumberIsWhatItSays() throws Exception {
        String work = board().get("works").get(0).get("id").asText();
        refused(400, "POST", "/api/works/" + work + "/more", "{\"minutes\":1.5}", "minutes");
        refused(400, "POST", "/api/works/" + work + "/more", "{\"minutes\":1e400}", "read");
        String rates = "{\"currency\":\"EUR\",\"hourRate\":%s,\"taxPercent\":0}";
        refused(422, "PUT", "/api/ledger", rates.formatted("1E-1000000000"), "no amount");
        refused(422, "PUT", "/api/ledger", rates.formatted("1E1000000000"), "no amount");
        refused(400, "PUT", "/api/ledger", rates.formatted("1".repeat(100)), "read");
    }

    @Test
    void whatIsDeepOrManyIsNoRequest() throws Exception {
        refused(400, "POST", "/api/supplies", "{\"name\":" + "[".repeat(2000) + "]".repeat(2000) + "}", "read");
        refused(400, "POST", "/api/works/done-before", "{\"workIds\":[" + "\"a\",".repeat(150_000) + "\"a\"]}", "read");
    }

    /** A reference without an index makes every delete of what it refers to read the whole table. */
    @Test
    void everyReferenceHasAnIndex() {
        assertThat(db.sql("""
                        select c.conrelid::regclass || '.' || a.attname
                        from pg_constraint c join pg_attribute a on a.attrelid = c.conrelid and a.attnum = c.conkey[1]
                        where c.contype = 'f' and c.connamespace = current_schema()::regnamespace
                            and not exists (select 1 from pg_index i
                                where i.indrelid = c.conrelid and i.indkey[0] = c.conkey[1])""").query(String.class).list()).isEmpty();
    }
}
