package galecrest.server.mate;

import galecrest.core.mate.Bolts;

/** Lengths in mm, forces in kN, torque in Nm; see {@link Bolts}. */
record BoltResponse(String thread, double stressArea, double proofLoad, double preload, double torque) {}
