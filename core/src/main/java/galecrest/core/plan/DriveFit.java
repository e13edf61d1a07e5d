package galecrest.core.plan;

/** Running-in: one drive a day, in one go, by one driver throughout, the car away meanwhile. */
final class DriveFit {
    private final Model model;
    private final Taken taken;
    private int[] found = {};
    private final Cause first = new Cause();
    private final Cause now = new Cause();

    /** The pool of the driver, its drives as pairs of slots, and what moved the first. */
    int driver;

    int[] stretches = {};
    final Cause cause = new Cause();

    DriveFit(Model model, Taken taken) {
        this.model = model;
        this.taken = taken;
    }

    /** Finds the drives that end first among the drivers. */
    boolean find(Task.DriveTask task, int from, int endNotBefore) {
        driver = -1;
        for (int someone : task.drivers()) {
            if (drives(task, someone, from, endNotBefore)
                    && (driver < 0 || found[found.length - 1] < stretches[stretches.length - 1])) {
                driver = someone;
                stretches = found;
                cause.set(first);
            }
        }
        return driver >= 0;
    }

    /** Whether the drives can be just as people were told; then they are the ones found instead of those before. */
    boolean asTold(Task.DriveTask task, int from, int endNotBefore) {
        int[] told = task.told();
        if (told.length == 0 || task.drivers().length == 0 || told[0] < from || told[told.length - 1] < endNotBefore) {
            return false;
        }
        int someone = task.drivers()[0];
        SlotWindows hours = model.calendars.person(model.pools.anyOf(someone));
        for (int i = 0; i < told.length; i += 2) {
            boolean in = told[i + 1] - told[i] == task.length()
                    && hours.next(told[i]) == told[i]
                    && hours.windowEnd(told[i]) >= told[i + 1];
            Usage busy = taken.pools[someone];
            if (!in
                    || busy.crowded(busy.stepAt(told[i]), told[i + 1], 0) >= 0
                    || taken.cars[task.build()].conflict(told[i], told[i + 1], CarClaim.AWAY, 0, -1) >= 0) {
                return false;
            }
        }
        if (driver != someone || stretches[0] != told[0]) {
            cause.set(Cause.Kind.NOTHING, -1, -1, 0);
        }
        driver = someone;
        stretches = told;
        return true;
    }

    private boolean drives(Task.DriveTask task, int someone, int from, int endNotBefore) {
        found = new int[2 * task.drives()];
        int slot = from;
        for (int drive = 0; drive < task.drives(); drive++) {
            boolean last = drive == task.drives() - 1;
            int start = free(task, someone, slot, last ? endNotBefore : 0);
            if (start == SlotWindows.NEVER) {
                return false;
            }
            if (drive == 0) {
                first.set(now);
            }
            found[2 * drive] = start;
            found[2 * drive + 1] = start + task.length();
            slot = Math.max(model.grid.nextDay(start), start + task.length());
        }
        return true;
    }

    /** The first slot from which driver and car are free for a drive; {@link #now} tells what was in the way. */
    private int free(Task.DriveTask task, int someone, int from, int endNotBefore) {
        SlotWindows hours = model.calendars.person(model.pools.anyOf(someone));
        Usage busy = taken.pools[someone];
        Stays claims = taken.cars[task.build()];
        now.set(Cause.Kind.NOTHING, -1, -1, 0);
        int slot = Math.max(from, endNotBefore - task.length());
        while (true) {
            slot = hours.next(slot);
            if (slot == SlotWindows.NEVER) {
                return slot;
            }
            int end = slot + task.length();
            if (end > hours.windowEnd(slot)) {
                slot = hours.windowEnd(slot);
                continue;
            }
            int step = busy.crowded(busy.stepAt(slot), end, 0);
            if (step >= 0) {
                int relief = busy.relieved(step, 0);
                slot = busy.slotOf(relief);
                now.set(Cause.Kind.PERSON_BUSY, busy.endedAt(relief), someone, slot);
                continue;
            }
            int claim = claims.conflict(slot, end, CarClaim.AWAY, 0, -1);
            if (claim < 0) {
                return slot;
            }
            slot = claims.end(claim);
            now.set(Cause.Kind.CAR_CLAIMED, claims.owner(claim), CarClaim.ofWhole(claims.who(claim)), slot);
        }
    }
}
