package galecrest.server.load;

/** Leaves; {@code anyway} without what is not aboard. */
record LeaveRequest(boolean anyway) {}
