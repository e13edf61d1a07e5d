package galecrest.server.problem;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.SQLException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.postgresql.util.PSQLException;
import org.postgresql.util.ServerErrorMessage;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.ProblemDetail;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;

/** What goes wrong by our mistake is not blamed on the user; what the database refuses is known by its name, not its words. */
class ProblemAdviceTest {
    private final ProblemAdvice advice = new ProblemAdvice();

    @Test
    void aMistakeOfOursIsA500WithANumberToQuote() {
        ProblemDetail answer = advice.unexpected(
                new IllegalArgumentException("The estimate must be low ≤ likely."),
                new MockHttpServletRequest(),
                new MockHttpServletResponse());
        assertThat(answer.getStatus()).isEqualTo(500);
        assertThat(answer.getDetail()).doesNotContain("estimate").contains("not your input");
        assertThat(answer.getProperties()).containsKey("number");
        assertThat(answer.getDetail())
                .contains(String.valueOf(answer.getProperties().get("number")));
    }

    /** In German, as a database may be set: fields by PostgreSQL's protocol, S severity, C state, M message, n constraint. */
    @ParameterizedTest
    @CsvSource({
        "23P01, person_shift_person_id_day_int4range_excl, shifts",
        "23P01, shift_change_person_id_kind_daterange_int4range_excl, from",
        "23P01, station_closure_station_id_daterange_excl, closures",
        "23505, link_first_id_then_id_type_key, after"
    })
    void aConstraintIsKnownByItsName(String state, String constraint, String field) {
        SQLException refused = new PSQLException(new ServerErrorMessage(
                "SFEHLER\0C" + state + "\0Mkollidierender Schlüsselwert\0n" + constraint + "\0"));
        ProblemDetail answer = advice.constraint(new DataIntegrityViolationException("", refused));
        assertThat(answer.getStatus()).isEqualTo(422);
        assertThat(String.valueOf(answer.getProperties().get("problems"))).contains("field=" + field);
    }

    @Test
    void whatIsGoneIsSaidToBeGone() {
        SQLException refused =
                new PSQLException(new ServerErrorMessage("SFEHLER\0C23503\0Mverletzt\0nwork_build_id_fkey\0"));
        assertThat(advice.constraint(new DataIntegrityViolationException("", refused))
                        .getDetail())
                .contains("not there any more");
    }
}
