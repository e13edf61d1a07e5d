package galecrest.server.access;

import java.util.List;
import org.jspecify.annotations.Nullable;

/** Who is signed in, if anybody; the demo's accounts where there are any. */
record MeResponse(@Nullable Account account, List<DemoLogin> demoLogins) {}
