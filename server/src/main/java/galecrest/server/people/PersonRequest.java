package galecrest.server.people;

import java.math.BigDecimal;
import java.util.List;

record PersonRequest(
        String name, List<SkillRequest> skills, List<HoursRequest> shifts, BigDecimal costPerHour, int version) {}
