package galecrest.server.progress;

import galecrest.core.time.DurationText;
import galecrest.core.time.Minutes;
import galecrest.core.work.Link;
import galecrest.server.NewId;
import galecrest.server.access.AnyHand;
import galecrest.server.access.LeadOrManager;
import galecrest.server.journal.Journal;
import galecrest.server.problem.ValidationException;
import galecrest.server.work.JobRow;
import galecrest.server.work.LinkRepository;
import galecrest.server.work.LinkRequest;
import galecrest.server.work.WorkRepository;
import galecrest.server.work.WorkSummary;
import java.util.List;
import org.springframework.stereotype.Service;

/** Finished work as it was, rework as a loop of which each round counts, and jobs split among people. */
@Service
public class ReworkService {
    private static final int MOST_FINISHED = 200;
    private static final int MOST_MINUTES = 800 * 60;

    private final HappenedRepository happened;
    private final WorkRepository works;
    private final LinkRepository links;
    private final Journal journal;

    ReworkService(HappenedRepository happened, WorkRepository works, LinkRepository links, Journal journal) {
        this.happened = happened;
        this.works = works;
        this.links = links;
        this.journal = journal;
    }

    /** The finished jobs of a build, the last first. */
    @AnyHand
    List<FinishedResponse> finished(String build) {
        return happened.finished(build, MOST_FINISHED).stream()
                .map(f -> new FinishedResponse(
                        f.id(),
                        f.name(),
                        f.doneAt(),
                        f.doneBefore(),
                        f.likelyMinutes(),
                        f.workedMinutes(),
                        f.people(),
                        f.round()))
                .toList();
    }

    /** Adds the same job once more, before what came after it and is still to do. */
    @LeadOrManager
    String again(String id, ReworkRequest form) {
        return journal.change(
                () -> {
                    WorkSummary head = mustBeJob(id);
                    if (!head.status().equals("DONE")) {
                        throw new ValidationException(
                                "why", head.name() + " is not finished; if it needs longer, say how much more.");
                    }
                    JobRow job = works.job(id);
                    int likely = form.minutes() == null ? job.likelyMinutes() : form.minutes();
                    mustBe(likely, MOST_MINUTES);
                    int round = happened.rounds(id) + 1;
                    String again = happened.copy(
                            id,
                            named(head.name()) + ", round " + round,
                            form.why().strip(),
                            likely,
                            likely / (double) job.likelyMinutes(),
                            true);
                    happened.tieAlike(id, again, false);
                    return again;
                },
                again -> works.mustBe(again).name() + ": " + form.why().strip());
    }

    /** Without the round of an earlier rework. */
    private static String named(String name) {
        return name.replaceFirst(", round \\d+$", "");
    }

    /** Takes a part of a job out as one of its own, tied as the whole was. */
    @LeadOrManager
    String split(String id, SplitRequest form) {
        return journal.change(
                () -> {
                    WorkSummary head = mustBeJob(id);
                    if (!head.status().equals("TODO")) {
                        throw new ValidationException("minutes", head.name() + " has begun; pause it, and add a job.");
                    }
                    JobRow job = works.job(id);
                    mustBe(form.minutes(), job.likelyMinutes() - 1);
                    double share = form.minutes() / (double) job.likelyMinutes();
                    String part = happened.copy(id, form.name().strip(), "", form.minutes(), share, false);
                    happened.tieAlike(id, part, true);
                    happened.shorten(id, job.likelyMinutes() - form.minutes(), 1 - share);
                    if (form.secondHand()) {
                        happened.oneMoreHand(part);
                        links.insertLink(
                                NewId.next(),
                                new LinkRequest(part, id, Link.Type.FINISH_START, 0, false, null, null, null));
                    }
                    return part;
                },
                part -> "split " + works.mustBe(part).name() + " off "
                        + works.mustBe(id).name());
    }

    private WorkSummary mustBeJob(String id) {
        WorkSummary head = works.mustBe(id);
        if (!head.kind().equals("JOB")) {
            throw new ValidationException("work", head.name() + " is no job of the shop.");
        }
        return head;
    }

    private static void mustBe(int minutes, int most) {
        if (minutes < 1 || minutes > most) {
            throw new ValidationException(
                    "minutes", "That part takes from 1 min to " + DurationText.of(Minutes.of(most)) + ".");
        }
    }
}
