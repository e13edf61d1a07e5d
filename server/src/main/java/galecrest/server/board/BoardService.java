package galecrest.server.board;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import galecrest.server.access.AnyHand;
import galecrest.server.access.CurrentUser;
import galecrest.server.access.LeadOrManager;
import galecrest.server.access.Role;
import galecrest.server.journal.Journal;
import galecrest.server.json.Encoded;
import galecrest.server.plan.PlanService;
import galecrest.server.shop.NameRepository;
import java.io.UncheckedIOException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Puts the board together from the record and the plan. */
@Service
public class BoardService {
    /** Boards that screens may have and ask for news of; what is alike in them is there once. */
    private static final int REMEMBERED = 200;
    /** Answers that many screens are given alike. */
    private static final int ANSWERS = 60;
    /** Characters that a screen is told without asking. */
    private static final int MOST_PUSHED = 100_000;

    private final PlanService plans;
    private final BoardRepository record;
    private final NameRepository names;
    private final CurrentUser who;
    private final Journal journal;
    private @Nullable Board known;
    private @Nullable Board toldBoard;
    private final Map<String, Board> editions = lastOf(REMEMBERED);
    private final Map<String, Encoded> answers = lastOf(ANSWERS);
    private final ObjectMapper json;

    BoardService(
            PlanService plans,
            BoardRepository record,
            NameRepository names,
            CurrentUser who,
            Journal journal,
            ObjectMapper json) {
        this.json = json;
        this.journal = journal;
        this.plans = plans;
        this.names = names;
        this.record = record;
        this.who = who;
    }

    private static <T> Map<String, T> lastOf(int most) {
        return new LinkedHashMap<>() {
            @Override
            protected boolean removeEldestEntry(Map.Entry<String, T> eldest) {
                return size() > most;
            }
        };
    }

    /** The board as all who see it are given it, made once. */
    @AnyHand
    public synchronized Encoded boardForAll() {
        Board now = board();
        return answers.computeIfAbsent(now.edition(), e -> Encoded.of(json, now));
    }

    /** The news since an edition as all who have that one are given them, made once. */
    @AnyHand
    public synchronized Encoded newsForAll(String edition) {
        Board now = board();
        Board before = editions.get(edition);
        String asked = (before == null ? "" : edition) + " " + now.edition();
        return answers.computeIfAbsent(asked, a -> Encoded.of(json, news(edition)));
    }

    /** The board of this moment. */
    @AnyHand
    public synchronized Board board() {
        return board(who.account().role() == Role.HAND);
    }

    private synchronized Board board(boolean hand) {
        PlanService.Current current = plans.current();
        Board last = hand ? toldBoard : known;
        if (last != null
                && last.change() == current.change()
                && last.now().equals(current.shop().now())) {
            return last;
        }
        Board made = plans.beside(now -> new BoardAssembly(now, plans, record, names.shop(), hand).board());
        Board fresh = last == null ? made : made.sharing(last);
        if (hand) {
            toldBoard = fresh;
        } else {
            known = fresh;
        }
        editions.put(fresh.edition(), fresh);
        return fresh;
    }

    /** What is new since an edition of the board; the whole board where that one is forgotten. */
    @AnyHand
    public synchronized BoardNews news(String edition) {
        Board now = board();
        Board before = editions.get(edition);
        return before == null ? BoardNews.all(now) : BoardNews.between(before, now);
    }

    /**
     * What screens are told without asking, made once for all of a kind.
     *
     * @param edition the board that it leads to
     * @param json the edition that it leads from and the news since; null where there are none, or too much to tell unasked
     */
    public record Pushed(String edition, @Nullable String json) {}

    /** What leads from an edition to the board of now: for hands, or for those who see drafts. */
    public synchronized Pushed pushed(boolean hand, @Nullable String since) {
        Board now = board(hand);
        Board before = since == null ? null : editions.get(since);
        if (before == null || since.equals(now.edition())) {
            return new Pushed(now.edition(), null);
        }
        try {
            String news = json.writeValueAsString(new PushedNews(since, BoardNews.between(before, now)));
            return new Pushed(now.edition(), news.length() > MOST_PUSHED ? null : news);
        } catch (JsonProcessingException e) {
            throw new UncheckedIOException(e);
        }
    }

    private record PushedNews(String since, BoardNews news) {}

    /** The draft against what people were told, in words. */
    @LeadOrManager
    public WhatMoved moved() {
        PlanService.Current current = plans.current();
        return plans.unpublished(current)
                .map(difference -> WhatMoved.of(current.shop(), difference))
                .orElse(new WhatMoved(List.of(), List.of()));
    }

    /** The newest lines of the journal of before a line: to each role its part. */
    @AnyHand
    public List<Journal.Entry> journal(long before, int most) {
        return journal.latest(who.account().role(), before, most);
    }
}
