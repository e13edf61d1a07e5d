package galecrest.server.live;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyBoolean;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.datatype.jsr310.JavaTimeModule;
import galecrest.core.plan.PlanDifference;
import galecrest.core.plan.ShopSnapshot;
import galecrest.server.access.Account;
import galecrest.server.access.CurrentUser;
import galecrest.server.access.Role;
import galecrest.server.board.BoardService;
import galecrest.server.journal.Journal;
import galecrest.server.plan.PlanService;
import galecrest.server.session.SessionService;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;

/** What an open screen is told, where the database does not answer half-way. */
class LiveServiceTest {
    private static final Duration PATIENCE = Duration.ofSeconds(20);

    private final Journal journal = mock(Journal.class);
    private final PlanService plans = mock(PlanService.class);
    private final BoardService boards = mock(BoardService.class);
    private final SessionService sessions = mock(SessionService.class);
    private final CurrentUser who = mock(CurrentUser.class);
    private final LiveService live = new LiveService(
            journal, plans, boards, sessions, who, new ObjectMapper().registerModule(new JavaTimeModule()));
    private MockHttpServletResponse screen;

    @BeforeEach
    void aScreenIsOpen() throws Exception {
        when(who.account()).thenReturn(new Account("sef", "Sef", Role.LEAD, "sef"));
        when(who.session()).thenReturn("s");
        when(sessions.alive(any())).thenReturn(Set.of("s"));
        when(plans.since(any(), any())).thenReturn(mock(PlanDifference.class));
        whatStandsIs(1);
        live.changed();
        screen = opened();
        hears("event:hello");
    }

    private MockHttpServletResponse opened() throws Exception {
        return MockMvcBuilders.standaloneSetup(new LiveController(live))
                .build()
                .perform(MockMvcRequestBuilders.get("/api/live"))
                .andReturn()
                .getResponse();
    }

    @AfterEach
    void stop() {
        live.close();
    }

    private void whatStandsIs(long change) {
        PlanService.Current now = new PlanService.Current(
                change, mock(ShopSnapshot.class), null, null, Optional.empty(), mock(ShopSnapshot.class));
        when(plans.current()).thenReturn(now);
        when(journal.after(anyLong()))
                .thenAnswer(asked -> asked.getArgument(0, Long.class) < change
                        ? List.of(new Journal.Entry(
                                change,
                                Instant.EPOCH,
                                "Mara",
                                "added the job Check the tow eye",
                                false,
                                false,
                                false,
                                Journal.Concerns.ALL))
                        : List.of());
    }

    private void hears(String what) throws Exception {
        hears(screen, what);
    }

    private static void hears(MockHttpServletResponse screen, String what) throws Exception {
        long until = System.nanoTime() + PATIENCE.toNanos();
        while (!said(screen).contains(what)) {
            assertThat(System.nanoTime())
                    .as("in vain: %s in %s", what, said(screen))
                    .isLessThan(until);
            Thread.sleep(5);
        }
    }

    private static String said(MockHttpServletResponse screen) throws Exception {
        return screen.getContentAsString(StandardCharsets.UTF_8);
    }

    @Test
    void whatCouldNotBeToldIsToldTheNextTimeAndOnce() throws Exception {
        whatStandsIs(2);
        when(boards.pushed(anyBoolean(), any()))
                .thenThrow(new DataAccessResourceFailureException("The connection is closed."))
                .thenReturn(new BoardService.Pushed("e2", "{\"since\":\"e1\"}"));
        assertThatThrownBy(live::changed).isInstanceOf(DataAccessResourceFailureException.class);
        live.changed();
        live.changed();
        whatStandsIs(3);
        live.changed();
        hears("{\"change\":3");
        assertThat(said(screen)).containsOnlyOnce("{\"change\":2").containsOnlyOnce("{\"change\":3");
    }

    @Test
    void ofTwoBoardsOneThatFailsKeepsTheOtherUntold() throws Exception {
        when(who.account()).thenReturn(new Account("ivo", "Ivo", Role.HAND, "ivo"));
        MockHttpServletResponse phone = opened();
        whatStandsIs(2);
        BoardService.Pushed news = new BoardService.Pushed("e2", "{\"since\":\"e1\"}");
        when(boards.pushed(true, null)).thenReturn(news);
        when(boards.pushed(false, null))
                .thenThrow(new DataAccessResourceFailureException("The connection is closed."))
                .thenReturn(news);
        assertThatThrownBy(live::changed).isInstanceOf(DataAccessResourceFailureException.class);
        assertThat(said(phone)).doesNotContain("event:news");
        live.changed();
        hears("event:news");
        hears(phone, "event:news");
        whatStandsIs(3);
        live.changed();
        hears(phone, "{\"change\":3");
        assertThat(said(phone)).containsOnlyOnce("{\"change\":2");
    }

    @Test
    void whatCanNeverBeToldIsReadAnewByEveryScreen() throws Exception {
        whatStandsIs(2);
        when(boards.pushed(anyBoolean(), any())).thenThrow(new IllegalStateException("a board that cannot be made"));
        assertThatThrownBy(live::changed).isInstanceOf(IllegalStateException.class);
        assertThatThrownBy(live::changed).isInstanceOf(IllegalStateException.class);
        live.changed();
        hears("event:hello\ndata:{}");
        live.changed();
    }
}
