package galecrest.server.carsheet;

import java.util.List;
import org.jspecify.annotations.Nullable;

/** What a class limits, wholly; nothing takes the class out. */
record ClassRequest(@Nullable String name, @Nullable List<ClassLimit> limits) {}
