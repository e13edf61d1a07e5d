package galecrest.server.progress;

import java.util.List;

/** Work that was done before the build came under plan. */
record DoneBeforeRequest(List<String> workIds) {}
