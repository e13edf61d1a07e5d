package galecrest.server.device;

/** What a stand-in is to simulate, as {@code docs/devices.md} says. */
record SimulateRequest(String what) {}
