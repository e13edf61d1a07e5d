package galecrest.server.dyno;

/**
 * A run of the simulated road.
 *
 * @param gain what the change truly brings, kW
 * @param softTyres whether they slip
 * @param exchanged whether the file's power and torque are exchanged
 */
record StandInRunRequest(double gain, boolean softTyres, boolean exchanged) {}
