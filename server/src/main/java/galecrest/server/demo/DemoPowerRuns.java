package galecrest.server.demo;

import galecrest.core.device.standin.RollingRoadModel;
import galecrest.core.device.standin.RollingRoadModel.Engine;
import galecrest.core.device.standin.RollingRoadModel.Sweep;
import galecrest.server.dyno.ColumnForm;
import galecrest.server.dyno.PowerRunService;
import galecrest.server.dyno.RunConditionsRequest;
import galecrest.server.dyno.RunFileResponse;
import galecrest.server.dyno.TakeRunsRequest;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Component;

/** A day of the spare coupe on the rolling road: four runs, a smaller pulley, four more, and one on hard tyres. */
@Component
@Profile("demo")
class DemoPowerRuns {
    private static final double GAIN = 4.6;

    private final PowerRunService runs;

    DemoPowerRuns(PowerRunService runs) {
        this.runs = runs;
    }

    void all(String car) {
        RollingRoadModel road = new RollingRoadModel(new Engine(205, 0.004, 0.004, 0.0004, 0.91), 4_711);
        take(car, road, 4, 0, "", "2.6 bar");
        take(car, road, 4, GAIN, "smaller pulley", "2.6 bar");
        take(car, road, 1, GAIN, "smaller pulley", "3.4 bar");
    }

    private void take(String car, RollingRoadModel road, int count, double gain, String state, String pressure) {
        List<String> files = new ArrayList<>();
        List<ColumnForm> columns = List.of();
        for (int i = 0; i < count; i++) {
            RunFileResponse file =
                    runs.read("quay.csv", road.file(Sweep.with(gain)).getBytes(StandardCharsets.UTF_8));
            files.add(file.id());
            columns = file.columns();
        }
        RunConditionsRequest conditions =
                new RunConditionsRequest(state, "4th", pressure, "one pattern", "98", "992 hPa", "21.4 °C", "45 %");
        runs.take(car, new TakeRunsRequest(files, "Quay Rolling Road", columns, conditions));
    }
}
