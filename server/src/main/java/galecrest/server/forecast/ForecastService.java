package galecrest.server.forecast;

import galecrest.core.insight.DispatchList;
import galecrest.core.insight.LatestDates;
import galecrest.core.insight.SkillLoad;
import galecrest.core.plan.ReasonText;
import galecrest.core.work.WorkId;
import galecrest.server.access.AnyHand;
import galecrest.server.access.CurrentUser;
import galecrest.server.access.LeadOrManager;
import galecrest.server.plan.PlanService;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** What the plan asks of the days ahead: when work must start at the latest, which skill is short, what can go on now. */
@Service
public class ForecastService {
    private static final int WEEKS = 8;
    private static final int MOST_TO_START = 5;

    private final PlanService plans;
    private final CurrentUser who;
    private @Nullable ForecastResponse known;

    ForecastService(PlanService plans, CurrentUser who) {
        this.who = who;
        this.plans = plans;
    }

    @LeadOrManager
    public ForecastResponse ahead() {
        return workedOut();
    }

    private synchronized ForecastResponse workedOut() {
        PlanService.Current current = plans.current();
        ForecastResponse last = known;
        if (last != null
                && last.change() == current.change()
                && last.now().equals(current.shop().now())) {
            return last;
        }
        Map<WorkId, Instant> latest = LatestDates.latestStarts(current.shop(), current.plan());
        List<SkillLoad> loads = SkillLoad.of(current.shop(), current.plan(), WEEKS);
        DispatchList list = DispatchList.of(current.shop(), current.plan(), latest);
        ReasonText words = new ReasonText(current.shop());
        ForecastResponse fresh = new ForecastResponse(
                current.change(),
                current.shop().now(),
                latest.entrySet().stream()
                        .map(e -> new LatestStart(e.getKey().value(), e.getValue()))
                        .sorted(java.util.Comparator.comparing(LatestStart::workId))
                        .toList(),
                loads.stream()
                        .map(l -> new SkillAhead(l.skill(), l.week(), l.planned(), l.there()))
                        .toList(),
                SkillLoad.bottleneck(loads).map(ForecastService::said).orElse(null),
                list.people().stream()
                        .map(p -> new ReadyFor(
                                p.person().value(),
                                p.ready().stream()
                                        .map(r -> new ReadyWork(r.work().value(), r.own()))
                                        .toList()))
                        .toList(),
                list.held().stream()
                        .map(h -> new HeldUp(
                                h.work().value(), words.reason(h.because()), words.release(h.because()), h.behind()))
                        .toList());
        known = fresh;
        return fresh;
    }

    /** What whoever asks could start this minute, what the plan gives them first; for when they have nothing on. */
    @AnyHand
    public List<String> couldStart() {
        String mine = who.account().personId();
        return workedOut().ready().stream()
                .filter(r -> r.personId().equals(mine))
                .flatMap(r -> r.works().stream())
                .map(ReadyWork::workId)
                .limit(MOST_TO_START)
                .toList();
    }

    private static String said(SkillLoad load) {
        return String.format(
                Locale.ENGLISH,
                "%s is the bottleneck: %d of %d h in the week of %s",
                load.skill(),
                load.planned() / 60,
                load.there() / 60,
                java.time.format.DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH)
                        .format(load.week()));
    }
}
