package galecrest.server.board;

import org.jspecify.annotations.Nullable;

record WorkRow(String id, @Nullable String stage, String note, int version, boolean finding) {}
