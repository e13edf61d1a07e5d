package galecrest.server.board;

import galecrest.server.journal.Journal;
import galecrest.server.plan.PlanService;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.context.request.WebRequest;

@RestController
@RequestMapping("/api")
class BoardController {
    private final BoardService boards;
    private final PlanService plans;
    private final Journal journal;

    BoardController(BoardService boards, PlanService plans, Journal journal) {
        this.boards = boards;
        this.plans = plans;
        this.journal = journal;
    }

    @GetMapping(path = "/board", produces = MediaType.APPLICATION_JSON_VALUE)
    @ApiResponse(responseCode = "200", content = @Content(schema = @Schema(implementation = Board.class)))
    ResponseEntity<byte[]> board(WebRequest asked) {
        return boards.boardForAll().answer(asked);
    }

    /** What is new since the board of an edition. */
    @GetMapping(path = "/board/news", produces = MediaType.APPLICATION_JSON_VALUE)
    @ApiResponse(responseCode = "200", content = @Content(schema = @Schema(implementation = BoardNews.class)))
    ResponseEntity<byte[]> news(@RequestParam String since, WebRequest asked) {
        return boards.newsForAll(since).answer(asked);
    }

    @GetMapping("/plan/moved")
    WhatMoved moved() {
        return boards.moved();
    }

    @PostMapping("/plan/publish")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void publish(@RequestParam(required = false) @Nullable Long looked) {
        plans.publish(looked);
    }

    @PostMapping("/plan/discard")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void discard(@RequestParam(required = false) @Nullable Long looked) {
        plans.discard(looked);
    }

    @PostMapping("/undo")
    UndoneResponse undo() {
        return new UndoneResponse(journal.undo());
    }

    @GetMapping("/journal")
    List<Journal.Entry> journal(
            @RequestParam(defaultValue = "100") int most, @RequestParam(required = false) @Nullable Long before) {
        return boards.journal(before == null ? Long.MAX_VALUE : before, Math.min(1000, Math.max(1, most)));
    }
}
