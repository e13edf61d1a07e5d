package galecrest.server.forecast;

import galecrest.core.insight.SkillLoad;
import java.time.LocalDate;

/** How loaded a skill is in a week; see {@link SkillLoad}. */
public record SkillAhead(String skill, LocalDate week, int plannedMinutes, int thereMinutes) {}
