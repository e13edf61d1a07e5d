package galecrest.server.together;

import static org.assertj.core.api.Assertions.assertThat;

import galecrest.server.Visitor;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** Who may come in, when many knock at once, and who must leave. */
class SignInTogetherTest extends TogetherTest {
    private static final String WRONG = "do not go together";

    @AfterEach
    void forget() {
        db.sql("delete from sign_in_failure").update();
    }

    private static List<String> guesses(String username, int many) throws Exception {
        List<Callable<String>> requests = new ArrayList<>();
        for (int i = 0; i < many; i++) {
            Visitor stranger = stranger();
            stranger.send("GET", "/api/me", null);
            String password = "guess " + i;
            requests.add(() -> stranger.send("POST", "/api/login", Map.of("username", username, "password", password))
                    .body());
        }
        return together(requests);
    }

    @Test
    void guessesAtOnceAreAsManyAsOneAfterAnother() throws Exception {
        List<String> answers = guesses("kit", 24);
        assertThat(answers.stream().filter(a -> a.contains(WRONG)).count())
                .as("passwords that were looked at and not the last")
                .isEqualTo(4);
        assertThat(answers.stream().filter(a -> a.contains("locked")).count()).isEqualTo(20);
        assertThat(count("select failures from sign_in_failure where username = 'kit'"))
                .isEqualTo(24);
    }

    /** The same answers, one for one, whether there is such an account or not. */
    @Test
    void answersDoNotTellWhichNamesExist() throws Exception {
        List<String> there = new ArrayList<>();
        List<String> nobody = new ArrayList<>();
        for (int i = 0; i < 7; i++) {
            there.add(guesses("ruth", 1).get(0));
            nobody.add(guesses("somebody", 1).get(0));
        }
        assertThat(there).isEqualTo(nobody);
        assertThat(there.get(6)).contains("locked");
    }

    @Test
    void anAddressThatTriesManyNamesIsHeldOffButNotWhoAlwaysComesFromThere() throws Exception {
        assertThat(stranger().signIn("mara", "brackwater").statusCode()).isEqualTo(200);
        for (int i = 0; i < 31; i++) {
            guesses("name" + i, 1);
        }
        assertThat(guesses("name40", 1).get(0)).contains("locked");
        assertThat(stranger().signIn("mara", "brackwater").statusCode())
                .as("she has signed in from here before")
                .isEqualTo(200);
    }

    private static Map<String, Object> account(String role) {
        return new HashMap<>(Map.of("username", "guest", "name", "Guest", "role", role));
    }

    /** Asked in by Mara, with a password of the guest's own. */
    private void invited(Visitor mara, Map<String, Object> account) throws Exception {
        db.sql("delete from account where username = 'guest'").update();
        var answer = mara.send("POST", "/api/accounts", account);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        String token = answer.body().replaceAll(".*/welcome/([^\"]+)\".*", "$1");
        Visitor invited = stranger();
        invited.send("GET", "/api/me", null);
        assertThat(invited.send("POST", "/api/invitations/" + token, Map.of("password", "for a week only"))
                        .statusCode())
                .isEqualTo(204);
    }

    @Test
    void aRoleThatIsTakenAwayEndsWhatWasOpenWithIt() throws Exception {
        Visitor mara = visitor("mara");
        invited(mara, account("MANAGER"));
        Visitor guest = stranger();
        assertThat(guest.signIn("guest", "for a week only").statusCode()).isEqualTo(200);
        assertThat(guest.send("GET", "/api/accounts", null).statusCode()).isEqualTo(200);
        mara.send("PUT", "/api/accounts/guest", Map.of("name", "Guest", "role", "HAND"));
        assertThat(guest.send("POST", "/api/plan/publish", null).statusCode()).isIn(401, 403);
        assertThat(guest.send("POST", "/api/accounts", account("MANAGER")).statusCode())
                .isIn(401, 403);
        assertThat(count("select count(*) from account where username = 'guest' and role = 'HAND'"))
                .isEqualTo(1);
    }

    @Test
    void aChangedPasswordEndsTheOtherSessions() throws Exception {
        Visitor mara = visitor("mara");
        invited(mara, account("HAND"));
        Visitor phone = stranger();
        phone.signIn("guest", "for a week only");
        Visitor desk = stranger();
        desk.signIn("guest", "for a week only");
        assertThat(desk.send("POST", "/api/password", Map.of("old", "for a week only", "next", "for another week"))
                        .statusCode())
                .isEqualTo(204);
        assertThat(phone.send("GET", "/api/board", null).statusCode()).isEqualTo(401);
        assertThat(desk.send("GET", "/api/board", null).statusCode()).isEqualTo(200);
    }

    /** As long as names may be: the session is found by the user name alone. */
    @Test
    void anAccountWithLongNamesCanSignIn() throws Exception {
        Map<String, Object> account = account("MANAGER");
        account.put("username", "a".repeat(40));
        account.put("name", "Wilhelmina Featherstonehaugh of Upper Brackwater and Crane");
        account.put("personId", "mara");
        invited(visitor("mara"), account);
        Visitor guest = stranger();
        assertThat(guest.signIn("a".repeat(40), "for a week only").statusCode()).isEqualTo(200);
        assertThat(guest.send("GET", "/api/board", null).statusCode()).isEqualTo(200);
    }
}
