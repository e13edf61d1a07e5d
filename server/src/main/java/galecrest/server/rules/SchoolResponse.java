package galecrest.server.rules;

import galecrest.core.shop.HouseRules;
import galecrest.core.shop.School;
import galecrest.core.shop.TieBreak;

/** House rules to begin from; the fields are those of the shop. */
record SchoolResponse(
        String title,
        String why,
        double atRiskStart,
        double toldOtherwise,
        double carInBits,
        double finishDay,
        int frozenDays,
        int bufferHours,
        TieBreak tieBreak,
        double returnWrong) {
    static SchoolResponse of(School school) {
        HouseRules rules = school.rules();
        return new SchoolResponse(
                school.title(),
                school.why(),
                rules.atRiskStart(),
                rules.toldOtherwise(),
                rules.carInBits(),
                rules.finishDay(),
                rules.frozenDays(),
                (int) rules.buffer().hours(),
                rules.tieBreak(),
                rules.returnWrong());
    }
}
