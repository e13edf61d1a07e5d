package galecrest.bench;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.TimeUnit;

/** A year of use in the demo shop's database, all of it invented, and what the common answers take before and after it. */
final class Year {
    private static final int BUILDS = 150;
    private static final int JOBS = 20_000;
    private static final int PARTS = 5000;
    private static final int CHANGES = 50_000;
    private static final int IMPORTED = 2000;
    private static final int TRIES = 5;
    /** A server that has just started is slow for reasons of its own. */
    private static final int WARM_UP = 60;

    private static final int UNDOS = 3;

    private Year() {}

    /** What is measured. */
    record Answers(
            long boardKilobytes, long board, long edit, long ledger, long journal, long walk, long undo, long beside) {
        void print(String when) {
            System.out.printf(
                    Locale.ROOT,
                    "| %s | %d | %d | %d | %d | %d | %d | %d | %d |%n",
                    when,
                    boardKilobytes,
                    board,
                    edit,
                    ledger,
                    journal,
                    walk,
                    undo,
                    beside);
        }
    }

    static void head() {
        System.out.println();
        System.out.println(
                "| | board, kB | board after an edit, ms | edit, ms | ledger, ms | 100 lines of the journal, ms"
                        + " | sign-in to walk, ms | undo of 2000 lines, ms | edit meanwhile, ms |");
        System.out.println("|---|---|---|---|---|---|---|---|---|");
    }

    /** Finished builds with their jobs, hours and parts, and the journal of a year. */
    static void fill() throws SQLException {
        try (Connection db = DriverManager.getConnection(
                        System.getenv("SPRING_DATASOURCE_URL"),
                        System.getenv("SPRING_DATASOURCE_USERNAME"),
                        System.getenv("SPRING_DATASOURCE_PASSWORD"));
                Statement sql = db.createStatement()) {
            db.setAutoCommit(false);
            sql.execute("insert into change (at, actor, session_id, summary) select now() - g * interval '10 minutes',"
                    + " 'Bo', 'year', 'finished a job of the year ' || g from generate_series(1, " + CHANGES + ") g");
            sql.execute("select set_config('galecrest.change', (select max(id) from change)::text, true)");
            sql.execute("insert into build (id, number, name, body, customer, discipline, weight, position)"
                    + " select 'year' || g, (g % 900)::text, 'Finished ' || g, 'COUPE', 'Customer ' || g, 'club', 1, 1000 + g"
                    + " from generate_series(1, " + BUILDS + ") g");
            sql.execute("insert into work (id, build_id, kind, name, gate, essential, status, done_at, note, position)"
                    + " select 'yw' || g, 'year' || (1 + g % " + BUILDS
                    + "), 'JOB', 'Job of the year ' || g, 'EVENT', true,"
                    + " 'DONE', now() - interval '30 days' - g * interval '20 minutes', '', g from generate_series(1, "
                    + JOBS
                    + ") g");
            sql.execute(
                    "insert into job (work_id, zone, on_car, whole_car, low_minutes, likely_minutes, high_minutes, one_go,"
                            + " cure_minutes, cure_lock) select 'yw' || g, 'REAR', true, false, 40, 60, 120, false, 0, 'NOTHING'"
                            + " from generate_series(1, " + JOBS + ") g");
            sql.execute(
                    "insert into job_place select 'yw' || g, 0, 'fit', 'ABLE' from generate_series(1, " + JOBS + ") g");
            sql.execute("insert into worked select 'yk' || g, 'yw' || g, 'bo', 55 + g % 20,"
                    + " now() - interval '30 days' - g * interval '20 minutes' from generate_series(1, " + JOBS
                    + ") g");
            sql.execute("insert into part (id, build_id, name, state, price, inspection_minutes, position)"
                    + " select 'yp' || g, 'year' || (1 + g % " + BUILDS
                    + "), 'part ' || g, 'FITTED', 12.5, 15, 10000 + g"
                    + " from generate_series(1, " + PARTS + ") g");
            db.commit();
            db.setAutoCommit(true);
            sql.execute("analyze");
        }
    }

    /** Until what is finished is put away. */
    static void waitForTidying(Browser mara) throws IOException, InterruptedException {
        for (int i = 0; i < 120 && mara.get("/api/history").size() < BUILDS; i++) {
            Thread.sleep(500);
        }
        Thread.sleep(5000);
    }

    static Answers measure(Load load) throws Exception {
        Browser mara = load.manager();
        JsonNode board = mara.get("/api/board");
        long kilobytes = mara.bytes("/api/board") / 1000;
        List<String> jobs = new ArrayList<>();
        board.get("works").forEach(w -> {
            if (w.get("status").asText().equals("TODO") && w.has("job")) {
                jobs.add(w.get("id").asText());
            }
        });
        for (int i = 0; i < WARM_UP; i++) {
            edit(mara, jobs.get(0), i % 2 == 0);
            mara.get("/api/board");
        }
        List<Long> edits = new ArrayList<>();
        List<Long> boards = new ArrayList<>();
        for (int i = 0; i < 2 * TRIES; i++) {
            String job = jobs.get(i / 2);
            boolean hold = i % 2 == 0;
            edits.add(millis(() -> edit(mara, job, hold)));
            boards.add(millis(() -> mara.get("/api/board")));
        }
        long ledger = median(() -> mara.get("/api/ledger"));
        long journal = median(() -> mara.get("/api/journal?most=100"));
        long walk = median(() -> {
            Browser fresh = load.manager();
            fresh.get("/api/board");
            fresh.get("/api/odds");
            fresh.get("/api/offers");
            return null;
        });
        List<Long> undos = new ArrayList<>();
        List<Long> besides = new ArrayList<>();
        for (int i = 0; i < UNDOS; i++) {
            long[] undo = undo(load, mara, board.at("/cars/0/id").asText(), jobs);
            undos.add(undo[0]);
            besides.add(undo[1]);
        }
        return new Answers(
                kilobytes, middle(boards), middle(edits), ledger, journal, walk, middle(undos), middle(besides));
    }

    private static JsonNode edit(Browser browser, String job, boolean hold) throws Exception {
        return browser.post(
                "/api/works/" + job + (hold ? "/hold" : "/release"),
                hold ? "{\"reason\":\"DECIDE\",\"note\":\"somebody is in the way\"}" : "");
    }

    /** How long the undo of a large import takes, and an edit of somebody else that comes in the middle of it. */
    private static long[] undo(Load load, Browser mara, String build, List<String> jobs) throws Exception {
        StringBuilder sheet = new StringBuilder("ref,job,zone,likely_min,crew\r\n");
        for (int i = 0; i < IMPORTED; i++) {
            sheet.append('r').append(i).append(",Line ").append(i).append(",rear,30,fit\r\n");
        }
        mara.upload("/api/builds/" + build + "/jobs/import", "jobs.csv", sheet.toString());
        Browser other = load.manager();
        long[] took = new long[2];
        Thread beside = new Thread(() -> {
            try {
                Thread.sleep(200);
                took[1] = millis(() -> edit(other, jobs.get(0), true));
                edit(other, jobs.get(0), false);
            } catch (Exception failure) {
                took[1] = -1;
            }
        });
        beside.start();
        took[0] = millis(() -> mara.post("/api/undo", ""));
        beside.join();
        return took;
    }

    private interface Asked {
        Object ask() throws Exception;
    }

    private static long millis(Asked asked) throws Exception {
        long from = System.nanoTime();
        asked.ask();
        return TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - from);
    }

    private static long median(Asked asked) throws Exception {
        List<Long> took = new ArrayList<>();
        for (int i = 0; i < TRIES; i++) {
            took.add(millis(asked));
        }
        return middle(took);
    }

    private static long middle(List<Long> values) {
        List<Long> sorted = new ArrayList<>(values);
        Collections.sort(sorted);
        return sorted.get(sorted.size() / 2);
    }
}
