package galecrest.server.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import com.fasterxml.jackson.databind.JsonNode;
import galecrest.server.ServerTest;
import java.util.HashMap;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/** Who may come in: invited, with a password that nobody else knows; reset, changed, shown out, removed. */
class InvitationTest extends ServerTest {
    private static Map<String, Object> guest() {
        return new HashMap<>(Map.of("username", "guest", "name", "Guest", "role", "HAND"));
    }

    private static String token(Answer invited) {
        assertThat(invited.status()).as(invited.body().toString()).isEqualTo(200);
        return invited.body().path("path").asText().substring("/welcome/".length());
    }

    private int accept(String token, String password) throws Exception {
        return mvc.perform(post("/api/invitations/" + token)
                        .with(csrf())
                        .contentType(MediaType.APPLICATION_JSON)
                        .content(json.writeValueAsString(Map.of("password", password))))
                .andReturn()
                .getResponse()
                .getStatus();
    }

    private String signIn(String password) throws Exception {
        return mvc.perform(post("/api/login")
                        .with(csrf())
                        .contentType(MediaType.APPLICATION_JSON)
                        .content(json.writeValueAsString(Map.of("username", "guest", "password", password))))
                .andReturn()
                .getResponse()
                .getContentAsString();
    }

    private JsonNode account(String username) throws Exception {
        return StreamSupport.stream(
                        call(MARA, "GET", "/api/accounts", null).body().spliterator(), false)
                .filter(a -> a.get("username").asText().equals(username))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void anInvitationSetsAPasswordOnce() throws Exception {
        Map<String, Object> form = guest();
        form.put("username", "Guest Hand");
        assertThat(call(MARA, "POST", "/api/accounts", form).at("username")).contains("2 to 40");
        assertThat(call(SEF, "POST", "/api/accounts", guest()).status()).isEqualTo(403);
        String token = token(call(MARA, "POST", "/api/accounts", guest()));
        assertThat(call(MARA, "POST", "/api/accounts", guest()).at("username")).contains("already");
        assertThat(account("guest").path("invitedUntil").asText()).isNotEmpty();
        assertThat(mvc.perform(MockMvcRequestBuilders.get("/api/invitations/" + token))
                        .andReturn()
                        .getResponse()
                        .getContentAsString())
                .contains("\"name\":\"Guest\"");
        assertThat(accept(token, "short")).isEqualTo(422);
        assertThat(accept(token, "for a week only")).isEqualTo(204);
        assertThat(accept(token, "for somebody else")).as("a second time").isEqualTo(404);
        assertThat(accept("guessed", "for somebody else")).isEqualTo(404);
        assertThat(signIn("for a week only")).contains("\"role\":\"HAND\"");
        assertThat(call(MARA, "GET", "/api/accounts", null).body().toString()).doesNotContain("password");

        String reset = token(call(MARA, "POST", "/api/accounts/guest/reset", null));
        assertThat(signIn("for a week only")).as("the lost one").contains("do not go together");
        String later = token(call(MARA, "POST", "/api/accounts/guest/reset", null));
        assertThat(accept(reset, "of the older link")).isEqualTo(404);
        assertThat(accept(later, "for another week")).isEqualTo(204);
        assertThat(signIn("for another week")).contains("\"role\"");

        assertThat(call(MARA, "DELETE", "/api/accounts/guest", null).status()).isEqualTo(204);
        assertThat(signIn("for another week")).contains("do not go together");
    }

    @Test
    void somebodyMustStayManager() throws Exception {
        assertThat(call(MARA, "PUT", "/api/accounts/mara", Map.of("name", "Mara", "role", "LEAD"))
                        .at("role"))
                .contains("must stay manager");
        assertThat(call(MARA, "DELETE", "/api/accounts/mara", null).at("username"))
                .contains("signed in with");
        assertThat(call(MARA, "POST", "/api/accounts/mara/reset", null).at("username"))
                .contains("your own password");
    }
}
