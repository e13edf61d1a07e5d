package galecrest.core.plan;

/**
 * Which work can get in each other's way: what could want the same person, station or car. Only among rivals does the
 * order matter. Each person, station and car has one of 64 bits; where there are more, some that never meet pass for
 * rivals, which costs a try and no more.
 */
final class Rivals {
    private final long[] wants;

    Rivals(Model model) {
        wants = new long[model.size];
        for (int node = 0; node < model.size; node++) {
            wants[node] = model.tasks[node] instanceof Task.JobTask job ? wants(model, job) : -1;
        }
    }

    private static long wants(Model model, Task.JobTask job) {
        long bits = 0;
        for (Crew crew : job.crews()) {
            for (int pool : crew.pools) {
                bits |= 1L << pool;
            }
        }
        int stations = model.pools.count();
        for (int station : job.stations()) {
            bits |= station < 0 ? 0 : 1L << stations + station;
        }
        int cars = stations + model.network.shop.stations().size();
        return job.onCar() ? bits | 1L << cars + job.build() : bits;
    }

    boolean rivals(int one, int other) {
        return (wants[one] & wants[other]) != 0;
    }
}
