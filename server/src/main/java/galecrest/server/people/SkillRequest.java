package galecrest.server.people;

import galecrest.core.people.Level;

record SkillRequest(String skill, Level level) {}
