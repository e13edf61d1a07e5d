package galecrest.core.gauge.all;

import galecrest.core.gauge.Gauge;
import galecrest.core.gauge.aero.AeroBalanceGauge;
import galecrest.core.gauge.aero.InletGauge;
import galecrest.core.gauge.chassis.AntiRollBarGauge;
import galecrest.core.gauge.chassis.BallastGauge;
import galecrest.core.gauge.chassis.BumpSteerGauge;
import galecrest.core.gauge.chassis.CamberCasterGauge;
import galecrest.core.gauge.chassis.CornerWeightsGauge;
import galecrest.core.gauge.chassis.HeightsGauge;
import galecrest.core.gauge.chassis.MassLedgerGauge;
import galecrest.core.gauge.chassis.StringsGauge;
import galecrest.core.gauge.chassis.TyrePressuresGauge;
import galecrest.core.gauge.check.ClassCheckGauge;
import galecrest.core.gauge.check.NoteGauge;
import galecrest.core.gauge.check.PadCheckGauge;
import galecrest.core.gauge.check.TorqueSheetGauge;
import galecrest.core.gauge.driveline.ClutchStopGauge;
import galecrest.core.gauge.driveline.CompressionGauge;
import galecrest.core.gauge.driveline.GearingGauge;
import galecrest.core.gauge.driveline.LeakTestGauge;
import galecrest.core.gauge.driveline.RunningInGauge;
import galecrest.core.gauge.driveline.ValveClearanceGauge;
import galecrest.core.gauge.electrics.CircuitsGauge;
import galecrest.core.gauge.electrics.InterlocksGauge;
import galecrest.core.gauge.electrics.IsolatorGauge;
import galecrest.core.gauge.electrics.PowerUpGauge;
import galecrest.core.gauge.fabrication.BoltsGauge;
import galecrest.core.gauge.fabrication.CopeGauge;
import galecrest.core.gauge.fabrication.CutListGauge;
import galecrest.core.gauge.heat.HeatSoakGauge;
import galecrest.core.gauge.power.AirGauge;
import galecrest.core.gauge.power.InjectorsGauge;
import galecrest.core.gauge.power.PowerCompareGauge;
import galecrest.core.gauge.power.TrapSpeedGauge;
import galecrest.core.gauge.track.LapsGauge;
import java.util.List;
import java.util.Optional;

/** Every gauge that there is. */
public final class Gauges {
    /** In the order in which they are offered. */
    public static final List<Gauge> ALL = List.of(
            new TyrePressuresGauge(),
            new HeightsGauge(),
            new CornerWeightsGauge(),
            new BumpSteerGauge(),
            new CamberCasterGauge(),
            new StringsGauge(),
            new BallastGauge(),
            new MassLedgerGauge(),
            new AntiRollBarGauge(),
            new GearingGauge(),
            new ValveClearanceGauge(),
            new ClutchStopGauge(),
            new CompressionGauge(),
            new RunningInGauge(),
            new LeakTestGauge(),
            new PadCheckGauge(),
            new TorqueSheetGauge(),
            new ClassCheckGauge(),
            new AirGauge(),
            new PowerCompareGauge(),
            new InjectorsGauge(),
            new TrapSpeedGauge(),
            new InletGauge(),
            new AeroBalanceGauge(),
            new HeatSoakGauge(),
            new CopeGauge(),
            new CutListGauge(),
            new BoltsGauge(),
            new CircuitsGauge(),
            new InterlocksGauge(),
            new PowerUpGauge(),
            new IsolatorGauge(),
            new LapsGauge(),
            new NoteGauge());

    private Gauges() {}

    /** The gauge of that name. */
    public static Optional<Gauge> named(String name) {
        return ALL.stream().filter(g -> g.name().equals(name)).findFirst();
    }
}
