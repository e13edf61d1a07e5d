package galecrest.server.access;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import galecrest.server.ServerTest;
import java.util.HashMap;
import java.util.Map;
import org.hamcrest.Matchers;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.http.MediaType;

class AccessTest extends ServerTest {
    private static final int FORBIDDEN = 403;

    /** Who may do what. An empty body is refused later, as bad input, where the role may. */
    @ParameterizedTest(name = "{0} {1}")
    @CsvSource({
        // method, path, manager, lead, hand
        "GET,    /api/board,                        yes, yes, yes",
        "GET,    /api/my-day,                       yes, yes, yes",
        "GET,    /api/templates,                    yes, yes, yes",
        "POST,   /api/works/none/start,             yes, yes, yes",
        "POST,   /api/works/none/pause,             yes, yes, yes",
        "POST,   /api/works/none/done,              yes, yes, yes",
        "POST,   /api/works/none/release,           yes, yes, yes",
        "DELETE, /api/works/none,                   yes, yes, no",
        "DELETE, /api/links/none,                   yes, yes, no",
        "DELETE, /api/commitments/none,             yes, yes, no",
        "DELETE, /api/parts/none,                   yes, yes, no",
        "POST,   /api/calls/none/done,              yes, yes, no",
        "POST,   /api/fitted-for-now/none/made-good, yes, yes, no",
        "DELETE, /api/pins/none,                    yes, no,  no",
        "DELETE, /api/builds/none,                  yes, no,  no",
        "DELETE, /api/people/none,                  yes, no,  no",
        "DELETE, /api/people/none/shift-changes/x,  yes, no,  no",
        "DELETE, /api/stations/none,                yes, no,  no",
        "DELETE, /api/vendors/none,                 yes, no,  no",
        "GET,    /api/desk,                         yes, yes, no",
        "GET,    /api/arrivals,                     yes, yes, yes",
        "GET,    /api/supplies,                     yes, yes, yes",
        "GET,    /api/mail,                         yes, yes, no",
        "GET,    /api/parts/none,                   yes, yes, yes",
        "POST,   /api/parts/none/question,          yes, yes, no",
        "POST,   /api/supplies/none/bought,         yes, yes, yes",
        "DELETE, /api/supplies/none,                yes, yes, no",
        "GET,    /api/parts/none/specification.pdf, yes, yes, no",
        "GET,    /api/vendors/none/purchase-order.pdf, yes, yes, no",
        "GET,    /api/outworks/none,                yes, yes, yes",
        "GET,    /api/outworks/none/slots,          yes, yes, no",
        "GET,    /api/builds/none/outwork.csv,      yes, yes, no",
        "GET,    /api/builds/none/customer-report.pdf, yes, no, no",
        "GET,    /api/builds/none/photos,           yes, yes, yes",
        "DELETE, /api/photos/none,                  yes, yes, no",
        "GET,    /api/ledger,                       yes, no,  no",
        "GET,    /api/ledger/none,                  yes, no,  no",
        "GET,    /api/ledger/none/invoice.csv,      yes, no,  no",
        "DELETE, /api/payments/none,                yes, no,  no",
        "GET,    /api/builds/none/customer-links,   yes, no,  no",
        "POST,   /api/customer-links/none/revoke,   yes, no,  no",
        "GET,    /api/snapshot,                     yes, no,  no",
        "GET,    /api/accounts,                     yes, no,  no"
    })
    void roleByAction(String method, String path, String manager, String lead, String hand) throws Exception {
        check(MARA, method, path, manager);
        check(SEF, method, path, lead);
        check(BO, method, path, hand);
        assertThat(mvc.perform(org.springframework.test.web.servlet.request.MockMvcRequestBuilders.request(
                                        org.springframework.http.HttpMethod.valueOf(method), path)
                                .with(csrf()))
                        .andReturn()
                        .getResponse()
                        .getStatus())
                .as("nobody %s %s", method, path)
                .isEqualTo(401);
    }

    private void check(Account account, String method, String path, String may) throws Exception {
        int status = call(account, method, path, null).status();
        if (may.equals("yes")) {
            assertThat(status).as("%s %s %s", account.role(), method, path).isNotEqualTo(FORBIDDEN);
        } else {
            assertThat(status).as("%s %s %s", account.role(), method, path).isEqualTo(FORBIDDEN);
        }
    }

    @Test
    void aForgedRequestWithoutTheTokenIsRefused() throws Exception {
        mvc.perform(post("/api/undo").cookie(session(MARA))).andExpect(status().isForbidden());
    }

    @Test
    void repeatedFailuresLockTheAccountForAWhile() throws Exception {
        for (int i = 0; i < 4; i++) {
            assertThat(signIn("kit", "wrong")).contains("do not go together");
        }
        assertThat(signIn("kit", "wrong")).contains("locked");
        assertThat(signIn("kit", "brackwater")).contains("locked");
        assertThat(signIn("nobody", "wrong")).contains("do not go together");
        assertThat(signIn("bo", "brackwater")).contains("\"role\":\"HAND\"");
    }

    private String signIn(String username, String password) throws Exception {
        return mvc.perform(post("/api/login")
                        .with(csrf())
                        .contentType(MediaType.APPLICATION_JSON)
                        .content(json.writeValueAsString(Map.of("username", username, "password", password))))
                .andReturn()
                .getResponse()
                .getContentAsString();
    }

    @Test
    void pagesMayLoadNothingFromElsewhere() throws Exception {
        mvc.perform(get("/api/me"))
                .andExpect(header().string("Content-Security-Policy", Matchers.containsString("default-src 'self'")))
                .andExpect(header().string("X-Content-Type-Options", "nosniff"));
    }

    @Test
    void aShortPasswordIsRefused() throws Exception {
        Answer answer = call(MARA, "POST", "/api/password", Map.of("old", "brackwater", "next", "short"));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.at("next")).contains("10 to 70");
    }

    @Test
    void aPasswordIsChangedByWhoKnowsTheOldOne() throws Exception {
        assertThat(call(BO, "POST", "/api/password", Map.of("old", "guessed", "next", "long enough now"))
                        .at("old"))
                .contains("not the password you have");
        assertThat(call(BO, "POST", "/api/password", Map.of("old", "brackwater", "next", "long enough now"))
                        .status())
                .isEqualTo(204);
        assertThat(signIn("bo", "brackwater")).contains("do not go together");
        assertThat(signIn(" BO ", "long enough now")).contains("\"role\":\"HAND\"");
        assertThat(call(BO, "POST", "/api/password", Map.of("old", "long enough now", "next", "brackwater"))
                        .status())
                .isEqualTo(204);
    }

    /** Seventy letters that take two bytes each are more than the way passwords are kept can tell apart. */
    @Test
    void aPasswordLongerThanCanBeKeptIsRefused() throws Exception {
        for (String next : new String[] {"ü".repeat(40), "x".repeat(71)}) {
            Answer answer = call(BO, "POST", "/api/password", Map.of("old", "brackwater", "next", next));
            assertThat(answer.status()).isEqualTo(422);
            assertThat(answer.at("next")).contains("10 to 70");
        }
    }

    @Test
    void theManagerMakesAnAccountThatCanSignIn() throws Exception {
        Map<String, Object> account = new HashMap<>(
                Map.of("username", "Guest Hand", "name", "Guest", "role", "HAND", "password", "for a week only"));
        assertThat(call(MARA, "POST", "/api/accounts", account).at("username")).contains("2 to 40");
        account.put("username", "guest");
        assertThat(call(SEF, "POST", "/api/accounts", account).status()).isEqualTo(403);
        assertThat(call(MARA, "POST", "/api/accounts", account).status()).isEqualTo(204);
        assertThat(signIn("guest", "for a week only")).contains("\"role\":\"HAND\"");
        assertThat(call(MARA, "GET", "/api/accounts", null).body().toString())
                .contains("\"guest\"")
                .doesNotContain("password");
    }

    @Test
    void someFailuresAreForgottenOnceItIsRight() throws Exception {
        for (int round = 0; round < 3; round++) {
            for (int i = 0; i < 4; i++) {
                assertThat(signIn("bo", "wrong")).contains("do not go together");
            }
            assertThat(signIn("bo", "brackwater")).contains("\"role\"");
        }
    }
}
