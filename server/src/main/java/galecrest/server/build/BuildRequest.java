package galecrest.server.build;

public record BuildRequest(
        String number,
        String name,
        Body body,
        String customer,
        String discipline,
        double weight,
        int limitFront,
        int limitEngineBay,
        int limitCockpit,
        int limitUnderside,
        int limitRear,
        int version) {}
