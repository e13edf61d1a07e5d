package galecrest.core.loom;

import galecrest.core.shop.Problem;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The way in which wires lie: a tree of points, each but the first a length from another.
 *
 * @param points in any order
 */
public record LoomTree(List<Point> points) {
    /**
     * A connector or a branch.
     *
     * @param from the point that it branches off; empty for the one from which all begins
     * @param length of the way from there, m
     */
    public record Point(String name, String from, double length) {}

    /**
     * A way through the tree.
     *
     * @param points from the first to the last
     * @param length m
     */
    public record Way(List<String> points, double length) {}

    public LoomTree {
        points = List.copyOf(points);
    }

    /** What keeps it from being a tree, by row. */
    public List<Problem> problems() {
        List<Problem> problems = new ArrayList<>();
        Map<String, Point> byName = new HashMap<>();
        int roots = 0;
        for (int i = 0; i < points.size(); i++) {
            Point point = points.get(i);
            if (point.name().isEmpty()) {
                problems.add(new Problem("points." + i + ".name", "What is it called?"));
            } else if (byName.putIfAbsent(point.name(), point) != null) {
                problems.add(new Problem("points." + i + ".name", point.name() + " is there twice."));
            }
            roots += point.from().isEmpty() ? 1 : 0;
        }
        for (int i = 0; i < points.size(); i++) {
            Point point = points.get(i);
            if (point.from().isEmpty()) {
                if (roots > 1) {
                    problems.add(new Problem(
                            "points." + i + ".from",
                            "One point alone branches off nothing, and there are " + roots + "."));
                }
            } else if (!byName.containsKey(point.from())) {
                problems.add(new Problem("points." + i + ".from", "There is no point \"" + point.from() + "\"."));
            } else if (!(point.length() > 0)) {
                problems.add(new Problem("points." + i + ".length", "How far is it from " + point.from() + "?"));
            } else if (toRoot(point, byName).isEmpty()) {
                problems.add(new Problem("points." + i + ".from", "It branches off itself, in a circle."));
            }
        }
        return problems;
    }

    /** The point and all it hangs on, up to the first; empty where that goes in a circle. */
    private Optional<List<Point>> toRoot(Point point, Map<String, Point> byName) {
        List<Point> way = new ArrayList<>();
        Point at = point;
        while (at != null && way.size() <= points.size()) {
            way.add(at);
            at = byName.get(at.from());
        }
        return at == null ? Optional.of(way) : Optional.empty();
    }

    /** The way from one point to another; empty where the tree has one of them not. */
    public Optional<Way> way(String from, String to) {
        Map<String, Point> byName = new HashMap<>();
        points.forEach(p -> byName.put(p.name(), p));
        if (!byName.containsKey(from) || !byName.containsKey(to)) {
            return Optional.empty();
        }
        List<Point> up = toRoot(byName.get(from), byName).orElseThrow();
        List<Point> down = toRoot(byName.get(to), byName).orElseThrow();
        // What both have in common at their ends is not walked, but for the point where they part.
        int common = 0;
        while (common < Math.min(up.size(), down.size())
                && up.get(up.size() - 1 - common).equals(down.get(down.size() - 1 - common))) {
            common++;
        }
        List<String> names = new ArrayList<>();
        double length = 0;
        for (int i = 0; i < up.size() - common; i++) {
            names.add(up.get(i).name());
            length += up.get(i).length();
        }
        names.add(up.get(up.size() - common).name());
        for (int i = down.size() - common - 1; i >= 0; i--) {
            names.add(down.get(i).name());
            length += down.get(i).length();
        }
        return Optional.of(new Way(names, length));
    }
}
