package galecrest.server.carsheet;

import java.util.List;

/** What a class limits, wholly; nothing takes the class out. */
record ClassRequest(String name, List<ClassLimit> limits) {}
