package galecrest.core.gauge;

import static galecrest.core.gauge.Measured.BRAKE_PEDAL;
import static galecrest.core.gauge.Measured.BUMP_STEER;
import static galecrest.core.gauge.Measured.CAMBER_CASTER;
import static galecrest.core.gauge.Measured.CHARGING;
import static galecrest.core.gauge.Measured.CIRCUITS;
import static galecrest.core.gauge.Measured.CLUTCH_STOP;
import static galecrest.core.gauge.Measured.CORNER_WEIGHTS;
import static galecrest.core.gauge.Measured.DROOP;
import static galecrest.core.gauge.Measured.FLUID_LEVELS;
import static galecrest.core.gauge.Measured.GEARING;
import static galecrest.core.gauge.Measured.HEIGHTS;
import static galecrest.core.gauge.Measured.LEAK_TEST;
import static galecrest.core.gauge.Measured.MAP;
import static galecrest.core.gauge.Measured.MOUNT_TORQUE;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * Work that disturbs what was measured, and what it disturbs; known by the words of a job. What settings depend on each
 * other is common practice.
 */
public enum Disturbance {
    STRUT_SPACER("spacers?", DROOP, HEIGHTS, BUMP_STEER, CAMBER_CASTER),
    SPRING("springs? (?:in|fitted|changed|renewed)|dampers? in|ride height set|height adjusted", HEIGHTS),
    BAR("anti-roll|roll bar link|bar links?", CORNER_WEIGHTS),
    TYRE_SIZE("tyre size|other tyres|new tyres", HEIGHTS, GEARING),
    RATIOS("axle ratio|final drive|gear ratios", GEARING),
    ENGINE_OUT(
            "engine(?: and gearbox)? (?:out|in\\b)|gearbox (?:out|in\\b)|clutch",
            CLUTCH_STOP,
            FLUID_LEVELS,
            MOUNT_TORQUE),
    SUBFRAME(
            "subframe|bush(?:es|ings)|wheel bearings?|hubs?\\b|wishbones?|track rods?|suspension in|axle in",
            CAMBER_CASTER,
            BUMP_STEER),
    FUEL_SYSTEM("fuel (?:lines?|system|pump|tank|rail)", LEAK_TEST),
    BRAKE_HYDRAULICS("brake lines?|calipers?|master cylinder|brake hydraulics|pads and lines", BRAKE_PEDAL),
    WIRING("\\bloom\\b|wiring|rewire", CIRCUITS, CHARGING),
    BREATHING("injectors?|turbo|\\bcams?\\b|camshafts?|exhaust|manifold", MAP);

    private final Pattern words;
    private final Set<Measured> first;

    Disturbance(String words, Measured... first) {
        this.words = Pattern.compile(words, Pattern.CASE_INSENSITIVE);
        this.first = Set.of(first);
    }

    /** Whether the words of a job say that it does this. */
    public boolean isIn(String words) {
        return this.words.matcher(words).find();
    }

    /** All that no longer holds once a job of such words is done, in the order in which it must be measured anew. */
    public static List<Measured> of(String words) {
        Set<Measured> all = EnumSet.noneOf(Measured.class);
        for (Disturbance one : values()) {
            if (one.isIn(words)) {
                one.first.forEach(m -> add(m, all));
            }
        }
        return List.copyOf(all);
    }

    private static void add(Measured measured, Set<Measured> all) {
        if (all.add(measured)) {
            measured.disturbs().forEach(m -> add(m, all));
        }
    }
}
