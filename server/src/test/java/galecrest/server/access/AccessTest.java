package galecrest.server.access;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import galecrest.server.ServerTest;
import jakarta.servlet.http.Cookie;
import java.util.Map;
import org.hamcrest.Matchers;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.http.MediaType;

class AccessTest extends ServerTest {
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

    /** Not Base64, a zero character, more than a key, half a character, nothing: whoever has such a cookie is nobody. */
    @ParameterizedTest
    @ValueSource(
            strings = {"%%%", "AA==", "AAAA", "\u00e4", "7aCA", "JzsgZHJvcCB0YWJsZSB3b3JrOyAtLQ==", "", "====", "LONG"})
    void aSpoiltSessionCookieIsNobodys(String value) throws Exception {
        Cookie spoilt = new Cookie("SESSION", value.equals("LONG") ? "QUFB".repeat(2_000) : value);
        mvc.perform(get("/api/board").cookie(spoilt)).andExpect(status().isUnauthorized());
        mvc.perform(get("/api/me").cookie(spoilt)).andExpect(status().isOk());
    }

    /** The usual ones, those of the keyboard, and the own name with little beside it (NIST SP 800-63B, 3.1.1.2). */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "password123",
                "qwertyuiop",
                "1234567890",
                "aaaaaaaaaaaa",
                "iloveyou12",
                "maramaramara",
                "mara123456"
            })
    void aPasswordThatIsGuessedFirstIsRefused(String next) throws Exception {
        Answer answer = call(MARA, "POST", "/api/password", Map.of("old", "brackwater", "next", next));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.at("next")).contains("first that are tried");
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
    void someFailuresAreForgottenOnceItIsRight() throws Exception {
        for (int round = 0; round < 3; round++) {
            for (int i = 0; i < 4; i++) {
                assertThat(signIn("bo", "wrong")).contains("do not go together");
            }
            assertThat(signIn("bo", "brackwater")).contains("\"role\"");
        }
    }
}
