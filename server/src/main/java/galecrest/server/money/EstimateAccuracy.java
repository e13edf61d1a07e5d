package galecrest.server.money;

/** By skill, how estimates of finished jobs compared with the clock. */
record EstimateAccuracy(String skill, int jobs, long estimatedMinutes, long workedMinutes) {}
