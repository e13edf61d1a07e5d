package galecrest.server.carsheet;

import java.util.List;

/** A class and what it limits. */
record ClassResponse(String name, List<ClassLimit> limits) {}
