package galecrest.server.shop;

import java.util.List;

record StationRequest(String name, String kind, List<ClosureRequest> closures, int version) {}
