package galecrest.server.board;

import galecrest.server.journal.Journal;
import galecrest.server.plan.PlanService;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
class BoardController {
    private final BoardService boards;
    private final ForecastService ahead;
    private final PlanService plans;
    private final Journal journal;

    BoardController(BoardService boards, ForecastService ahead, PlanService plans, Journal journal) {
        this.boards = boards;
        this.ahead = ahead;
        this.plans = plans;
        this.journal = journal;
    }

    @GetMapping("/board")
    Board board() {
        return boards.board();
    }

    /** What is new since the board of an edition. */
    @GetMapping("/board/news")
    BoardNews news(@RequestParam String since) {
        return boards.news(since);
    }

    @GetMapping("/plan/moved")
    WhatMoved moved() {
        return boards.moved();
    }

    @GetMapping("/ahead")
    ForecastResponse ahead() {
        return ahead.ahead();
    }

    @GetMapping("/my-day")
    MyDayResponse myDay(@RequestParam(required = false) @Nullable String person) {
        return boards.myDay(person);
    }

    @GetMapping("/my-day/could")
    List<String> couldStart() {
        return ahead.couldStart();
    }

    @PostMapping("/my-day/looked")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void looked() {
        boards.looked();
    }

    @PostMapping("/plan/publish")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void publish() {
        plans.publish();
    }

    @PostMapping("/plan/discard")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void discard() {
        plans.discard();
    }

    @PostMapping("/undo")
    UndoneResponse undo() {
        return new UndoneResponse(journal.undo());
    }

    @GetMapping("/journal")
    List<Journal.Entry> journal(@RequestParam(defaultValue = "100") int most) {
        return boards.journal(Math.min(1000, Math.max(1, most)));
    }
}
