package galecrest.server.outwork;

import java.util.List;

record ReturnedResponse(List<String> jobs) {}
