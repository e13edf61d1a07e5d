package galecrest.server.shop;

import galecrest.core.shop.TieBreak;

/** The shop's name, time zone and house rules; see {@link galecrest.core.shop.HouseRules}. */
record ShopRequest(
        String name,
        String zone,
        double atRiskStart,
        double toldOtherwise,
        double carInBits,
        double finishDay,
        int unknownArrivalDays,
        int frozenDays,
        int bufferHours,
        TieBreak tieBreak,
        double returnWrong,
        int stayOnMinutes,
        int version) {}
