package galecrest.server.receiving;

import galecrest.core.build.Gate;
import org.jspecify.annotations.Nullable;

record FitRequest(boolean forNow, @Nullable Gate gate, String reason) {}
