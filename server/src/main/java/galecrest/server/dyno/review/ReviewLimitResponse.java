package galecrest.server.dyno.review;

/** A limit that a car's runs are looked through for; {@code usual} where it is not the car's own. */
record ReviewLimitResponse(String channel, boolean floor, String watch, String per1000, boolean usual) {}
