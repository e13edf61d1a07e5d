package galecrest.server.dyno;

import java.util.List;

/** What the columns of a file would be. */
record LookRequest(List<ColumnForm> columns) {}
