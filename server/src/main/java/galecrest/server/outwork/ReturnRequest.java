package galecrest.server.outwork;

import java.util.List;

/** It is back; the items become jobs, a limit that was met becomes a finding. */
record ReturnRequest(List<String> jobs, String limits) {}
