package galecrest.core.work;

import galecrest.core.people.Level;

/** One place in a job's crew: the skill that it takes and the least level. */
public record CrewPlace(String skill, Level least) {}
