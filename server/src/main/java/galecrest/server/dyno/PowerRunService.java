package galecrest.server.dyno;

import galecrest.core.device.standin.RollingRoadModel;
import galecrest.core.dyno.Channel;
import galecrest.core.dyno.ColumnMap;
import galecrest.core.dyno.DataReview;
import galecrest.core.dyno.PowerRun;
import galecrest.core.dyno.ReviewLimit;
import galecrest.core.dyno.RunCheck;
import galecrest.core.dyno.RunReader;
import galecrest.core.dyno.RunTable;
import galecrest.core.gauge.GaugeAnswer;
import galecrest.core.shop.Problem;
import galecrest.core.units.QuantityKind;
import galecrest.core.units.QuantityText;
import galecrest.core.units.UnitSystem;
import galecrest.server.access.AnyHand;
import galecrest.server.access.CurrentUser;
import galecrest.server.csv.RunText;
import galecrest.server.journal.Journal;
import galecrest.server.problem.NotFoundException;
import galecrest.server.problem.ValidationException;
import galecrest.server.shop.NameRepository;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;

/** Run files, and the runs that are taken from them. */
@Service
public class PowerRunService {
    private static final int SHOWN_ROWS = 5;
    private static final int LONGEST = 120;
    private static final double RPM = 60;
    private static final int HUNDRED = 100;

    private final DynoRepository record;
    private final RunStore store;
    private final NameRepository names;
    private final Journal journal;
    private final Clock clock;
    private final CurrentUser who;
    private final boolean standIns;
    private final RollingRoadModel road =
            new RollingRoadModel(new RollingRoadModel.Engine(205, 0.004, 0.004, 0.0004, 0.91), 5);

    PowerRunService(
            DynoRepository record,
            RunStore store,
            NameRepository names,
            Journal journal,
            Clock clock,
            CurrentUser who,
            @Value("${galecrest.stand-ins:false}") boolean standIns) {
        this.record = record;
        this.store = store;
        this.names = names;
        this.journal = journal;
        this.clock = clock;
        this.who = who;
        this.standIns = standIns;
    }

    /** Reads a file and keeps it for a while; nothing is a run yet. */
    @AnyHand
    public RunFileResponse read(@Nullable String name, byte[] content) {
        RunTable table = RunText.table(content);
        String called = name == null || name.isBlank() ? "run" : name.strip();
        String id = record.keep(
                called.length() > LONGEST ? called.substring(0, LONGEST) : called, content, clock.instant());
        Optional<Map.Entry<String, List<ColumnForm>>> known = record.dynos().entrySet().stream()
                .filter(d -> !d.getValue().isEmpty()
                        && d.getValue().stream().allMatch(c -> table.header().contains(c.column())))
                .findFirst();
        return new RunFileResponse(
                id,
                called,
                table.header(),
                table.rows().stream()
                        .limit(SHOWN_ROWS)
                        .map(row -> List.of(Arrays.copyOf(
                                row, Math.min(row.length, table.header().size()))))
                        .toList(),
                table.rows().size(),
                known.map(Map.Entry::getValue).orElseGet(() -> ColumnForm.of(ColumnMap.guess(table))),
                known.map(Map.Entry::getKey).orElse(null),
                table.notices());
    }

    /** A file of the simulated road, as if it had been brought. */
    @AnyHand
    RunFileResponse drive(StandInRunRequest form) {
        if (!standIns) {
            throw new NotFoundException("rolling road");
        }
        if (Math.abs(form.gain()) > 100) {
            throw new ValidationException("gain", "At most 100 kW.");
        }
        String file;
        synchronized (road) {
            file = road.file(new RollingRoadModel.Sweep(
                    form.gain(),
                    100,
                    9,
                    form.softTyres(),
                    form.exchanged() ? RollingRoadModel.Columns.EXCHANGED : RollingRoadModel.Columns.RIGHT));
        }
        return read("stand-in.csv", file.getBytes(StandardCharsets.UTF_8));
    }

    /** What a file is when its columns are what was said. */
    @AnyHand
    RunLookResponse look(String file, LookRequest form) {
        RunReader.Read read = RunStore.look(store.table(file), form.columns());
        PowerRun run = read.run();
        if (!read.problems().isEmpty()) {
            return new RunLookResponse(
                    read.problems(), read.notices(), run.size(), null, null, null, null, null, "", "");
        }
        RunCheck check = RunCheck.of(run);
        return new RunLookResponse(
                List.of(),
                read.notices(),
                run.size(),
                figure(QuantityKind.POWER, run.peak().power()),
                figure(QuantityKind.ROTATION, run.peak().speed()),
                figure(QuantityKind.ROTATION, run.reach()[0]),
                figure(QuantityKind.ROTATION, run.reach()[1]),
                share(check.agrees()),
                check.mistaken(),
                check.slips());
    }

    /** Takes files as runs of a car, all or none, and remembers what the columns of their road hold. */
    @AnyHand
    public List<String> take(String build, TakeRunsRequest form) {
        String dyno = form.dyno() == null ? "" : form.dyno().strip();
        List<Problem> problems = check(form.conditions());
        if (dyno.isEmpty() || dyno.length() > LONGEST) {
            problems.add(new Problem("dyno", "Say which rolling road, in 1 to " + LONGEST + " letters."));
        }
        if (form.files() == null || form.files().isEmpty()) {
            problems.add(new Problem("files", "Which files?"));
        }
        ValidationException.throwIfAny(problems);
        List<DynoRepository.RunFile> files = form.files().stream()
                .distinct()
                .map(f -> record.file(f).orElseThrow(() -> new NotFoundException("run file")))
                .toList();
        Map<String, PowerRun> read = new HashMap<>();
        for (DynoRepository.RunFile file : files) {
            RunReader.Read looked = RunStore.look(RunText.table(file.content()), form.columns());
            looked.problems()
                    .forEach(p -> problems.add(
                            new Problem(p.field(), files.size() > 1 ? file.name() + ": " + p.message() : p.message())));
            read.put(file.id(), looked.run());
        }
        ValidationException.throwIfAny(problems);
        List<String> ids = new ArrayList<>();
        journal.judge(() -> {
            String car = car(build);
            String road = record.remember(dyno, form.columns());
            int number = record.of(build).size();
            for (DynoRepository.RunFile file : files) {
                number++;
                ids.add(record.insert(
                        build,
                        road,
                        file,
                        form.columns(),
                        "run " + number,
                        form.conditions(),
                        who.name(),
                        clock.instant()));
            }
            return "took in " + (files.size() == 1 ? "a power run" : files.size() + " power runs") + " of " + car;
        });
        read.forEach((file, samples) -> store.remember(file, form.columns(), samples));
        return ids;
    }

    /** Says otherwise how a run was driven. */
    @AnyHand
    void change(String id, RunConditionsRequest form) {
        ValidationException.throwIfAny(check(form));
        journal.judge(() -> {
            DynoRepository.Run run = run(id);
            record.update(id, form);
            return "said how " + run.name() + " of " + car(run.buildId()) + " was driven";
        });
    }

    @AnyHand
    void remove(String id) {
        journal.judge(() -> {
            DynoRepository.Run run = run(id);
            record.delete(id);
            return "took " + run.name() + " of " + car(run.buildId()) + " out";
        });
    }

    /** The file of a run as it came. */
    @AnyHand
    byte[] file(String id) {
        return record.file(run(id).fileId())
                .orElseThrow(() -> new NotFoundException("run file"))
                .content();
    }

    @AnyHand
    PowerRunsResponse of(String build) {
        car(build);
        List<ReviewLimit> own = record.limits(build);
        List<ReviewLimit> limits = own.isEmpty() ? ReviewLimit.USUAL : own;
        return new PowerRunsResponse(
                record.of(build).stream().map(r -> response(r, limits)).toList(),
                List.copyOf(record.dynos().keySet()),
                standIns);
    }

    private PowerRunsResponse.PowerRunResponse response(DynoRepository.Run run, List<ReviewLimit> limits) {
        PowerRun samples = store.samples(run);
        RunCheck check = RunCheck.of(samples);
        double[] reach = samples.reach();
        RunConditionsRequest c = run.conditions();
        return new PowerRunsResponse.PowerRunResponse(
                run.id(),
                run.name(),
                run.dyno(),
                said(c.state()),
                said(c.gear()),
                said(c.pressure()),
                said(c.straps()),
                said(c.fuel()),
                said(c.airPressure()),
                said(c.airTemperature()),
                said(c.humidity()),
                run.by(),
                run.at(),
                figure(QuantityKind.POWER, samples.peak().power()),
                figure(QuantityKind.ROTATION, samples.peak().speed()),
                (int) Math.ceil(RPM * reach[0] / HUNDRED) * HUNDRED,
                (int) Math.floor(RPM * reach[1] / HUNDRED) * HUNDRED,
                share(check.agrees()),
                check.mistaken(),
                share(check.slip()),
                check.slips(),
                (int) DataReview.of(samples, limits).stream()
                        .filter(DataReview.Line::crossed)
                        .count(),
                samples.has(Channel.BOOST),
                run.version());
    }

    public DynoRepository.Run run(String id) {
        return record.run(id).orElseThrow(() -> new NotFoundException("run"));
    }

    public String car(String build) {
        return names.build(build).orElseThrow(() -> new NotFoundException("build"));
    }

    private static List<Problem> check(RunConditionsRequest form) {
        List<Problem> problems = new ArrayList<>();
        check(problems, "pressure", QuantityKind.PRESSURE, form.pressure(), 10_000, 1_000_000);
        check(problems, "airPressure", QuantityKind.PRESSURE, form.airPressure(), 60_000, 110_000);
        check(problems, "airTemperature", QuantityKind.TEMPERATURE, form.airTemperature(), 243, 333);
        check(problems, "humidity", QuantityKind.SHARE, form.humidity(), 0, 1);
        if (said(form.airPressure()).isEmpty() != said(form.airTemperature()).isEmpty()) {
            problems.add(new Problem(
                    said(form.airPressure()).isEmpty() ? "airPressure" : "airTemperature",
                    "The air of the room is its pressure and its temperature."));
        }
        for (String text : Arrays.asList(form.state(), form.gear(), form.straps(), form.fuel())) {
            if (said(text).length() > LONGEST) {
                problems.add(new Problem("state", "At most " + LONGEST + " letters each."));
            }
        }
        return problems;
    }

    private static void check(
            List<Problem> problems, String field, QuantityKind kind, @Nullable String text, double least, double most) {
        if (said(text).isEmpty()) {
            return;
        }
        try {
            double value = QuantityText.read(kind, said(text), k -> UnitSystem.METRIC);
            if (!(value >= least && value <= most)) {
                problems.add(new Problem(
                        field,
                        "From " + QuantityText.say(kind, least, k -> UnitSystem.METRIC) + " to "
                                + QuantityText.say(kind, most, k -> UnitSystem.METRIC) + "."));
            }
        } catch (QuantityText.Unreadable unreadable) {
            problems.add(new Problem(field, unreadable.getMessage()));
        }
    }

    public static GaugeAnswer.Figure figure(QuantityKind kind, double value) {
        return GaugeAnswer.figure(kind, value, k -> UnitSystem.METRIC);
    }

    private static GaugeAnswer.@Nullable Figure share(OptionalDouble value) {
        return value.isPresent() ? figure(QuantityKind.SHARE, value.getAsDouble()) : null;
    }

    private static String said(@Nullable String text) {
        return text == null ? "" : text.strip();
    }
}
