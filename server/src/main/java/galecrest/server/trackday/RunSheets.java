package galecrest.server.trackday;

import galecrest.server.pdf.PdfSheet;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/** The run sheets of a test day on paper: what is known is printed, what is not has room. */
final class RunSheets {
    private static final String ROOM = " ";

    private RunSheets() {}

    static byte[] pdf(TestDayService.Sheets sheets) {
        PdfSheet paper = PdfSheet.titled(sheets.car() + ": run sheets")
                .line(sheets.event().name()
                        + (sheets.event().place().isBlank()
                                ? ""
                                : ", " + sheets.event().place()));
        if (sheets.runs().isEmpty()) {
            paper.line("No run is planned.");
        }
        for (int i = 0; i < sheets.runs().size(); i++) {
            TestDayResponse.TestRunResponse run = sheets.runs().get(i);
            String changes = run.changes().isEmpty() ? "baseline, as it came" : String.join("; ", run.changes());
            paper.heading("Run " + (i + 1) + ": " + changes + (run.dry() ? " (dry only)" : ""));
            paper.table(
                    List.of("set", "cold", "hot", "fuel", "driver", "track", "air", "track temperature"),
                    List.of(List.of(
                            room(run.set()),
                            room(run.cold()),
                            room(run.hot()),
                            room(run.fuel()),
                            room(run.driver()),
                            run.ranAt() == null ? ROOM : run.conditions().name().toLowerCase(Locale.ROOT),
                            room(run.air()),
                            room(run.track()))));
            paper.table(
                    List.of("laps", "the driver says"),
                    List.of(List.of(
                            run.laps().isBlank() ? "\n\n\n" : run.laps(),
                            run.words().isBlank() ? "\n\n\n" : run.words())));
        }
        return paper.line("Wheel nuts and pressures before each run. Nobody in front of the car when it goes.")
                .pdf();
    }

    private static String room(@Nullable String said) {
        return said == null || said.isBlank() ? ROOM : said;
    }
}
