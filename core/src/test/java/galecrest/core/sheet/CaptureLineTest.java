package galecrest.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import galecrest.core.sheet.Vocabulary.Named;
import galecrest.core.work.ReasonTag;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class CaptureLineTest {
    private static final Vocabulary WORDS = new Vocabulary(
            List.of("fit", "weld", "wire", "engines"),
            List.of(new Named("bo", "Bo"), new Named("jun", "Jun")),
            List.of(
                    new Named("j1", "Hang bias cable"),
                    new Named("j2", "Fit manifold"),
                    new Named("j3", "Bleed brakes"),
                    new Named("j4", "Bleed clutch")),
            List.of("j3", "j1"),
            List.of(
                    new Vocabulary.Part("p1", "Manifold, exhaust", List.of("j2")),
                    new Vocabulary.Part("p2", "Seal kit, front", List.of("j3")),
                    new Vocabulary.Part("p3", "Seal kit, rear", List.of("j3", "j4"))),
            List.of(new Named("d1", "Shakedown"), new Named("d2", "Night two")),
            List.of("Engine", "Findings"));

    private static Captured read(String line, String... chosen) {
        return CaptureLine.read(line, WORDS, List.of(chosen));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "hang front wing, cockpit, 40 min | New job: Hang front wing; cockpit; 40 min.",
                "hang front wing, cockpit 40 min | New job: Hang front wing; cockpit; 40 min.",
                "40 min, in the cockpit, hang front wing | New job: Hang front wing; cockpit; 40 min.",
                "hang front wing 40 min | New job: Hang front wing; 40 min.",
                "weld tab, at the rear, 1,5 h, welder | New job: Weld tab; rear; 1½ h; needs weld.",
                "weld tab, needs welding and wiring | New job: Weld tab; 1 h assumed; needs weld and wire; 2 hands.",
                "lift engine out, engine bay, half a day, two hands | New job: Lift engine out; engine bay; 4 h; 2 hands.",
                "skim head, on the bench, 4 h 30, engines | New job: Skim head; off the car; 4½ h; needs engines.",
                "paint stripe, bo and jun, for night two | New job: Paint stripe; 1 h assumed; asked of Bo and Jun; for Night two.",
                "set idle, stage, engine | New job: Set idle, stage; 1 h assumed; stage Engine.",
                "fit 2 brackets M8 | New job: Fit 2 brackets M8; 1 h assumed.",
                "found a weeping union, rear, 30 min | Found: Weeping union; rear; 30 min.",
                "finding: weeping union rear left | Found: Weeping union rear left; 1 h assumed.",
                "swap plugs, done, bo, 45 min | Done: Swap plugs; 45 min; by Bo.",
                "swap plugs, done | Done: Swap plugs; no hours said.",
                "hang bias cable, done | Done: Hang bias cable.",
                "bias cable, done, by jun, took 1 h | Done: Hang bias cable, by Jun, 1 h.",
                "hang bias cable, needs 2 h more | Hang bias cable needs 2 h more.",
                "needs another half an hour, bias | Hang bias cable needs 30 min more.",
                "held for the manifold | Held: Fit manifold, waits for Manifold, exhaust.",
                "held part: manifold | Held: Fit manifold, waits for Manifold, exhaust.",
                "hang bias cable, held for the clevis | Held: Hang bias cable, waits for clevis, a new line on the Desk with no date yet.",
                "bleed clutch, held for a decision | Held: Bleed clutch, decision.",
                "hang bias cable, waiting for a second hand | Held: Hang bias cable, second hand.",
                "for now: road springs | Fitted for now: road springs, to be made good before the event.",
                "fitted for now road springs | Fitted for now: road springs, to be made good before the event."
            })
    void plainWordsInAnyOrder(String line, String said) {
        assertThat(read(line).said()).isEqualTo(said);
    }

    @Test
    void whatCouldMeanTwoThingsIsAsked() {
        assertThat(read("bleed, done"))
                .isEqualTo(new Captured.Asks(
                        "Which one is done?",
                        List.of(new Named("j3", "Bleed brakes"), new Named("j4", "Bleed clutch"))));
        assertThat(read("bleed, done", "j4").said()).isEqualTo("Done: Bleed clutch.");
        assertThat(read("held for the seal kit"))
                .isInstanceOfSatisfying(
                        Captured.Asks.class,
                        a -> assertThat(a.choices()).extracting(Named::id).containsExactly("p2", "p3"));
        assertThat(read("held for the seal kit", "p3"))
                .isInstanceOfSatisfying(
                        Captured.Asks.class,
                        a -> assertThat(a.choices()).extracting(Named::id).containsExactly("j3", "j4"));
        assertThat(read("held for the seal kit", "p3", "j4")).isInstanceOfSatisfying(Captured.Held.class, h -> {
            assertThat(h.job().id()).isEqualTo("j4");
            assertThat(h.part()).map(Vocabulary.Part::id).contains("p3");
        });
        assertThat(read("held for the clevis"))
                .as("no part, no job of that name")
                .isInstanceOf(Captured.Asks.class);
        assertThat(read("done")).as("one of two that are near").isInstanceOf(Captured.Asks.class);
    }

    @Test
    void aReasonThatIsSaidIsTaken() {
        assertThat(read("bleed clutch, held out: at the grinder's"))
                .isInstanceOfSatisfying(
                        Captured.Held.class, h -> assertThat(h.reason()).isEqualTo(ReasonTag.OUT));
        assertThat(read("held weather: rain"))
                .isInstanceOfSatisfying(
                        Captured.NotUnderstood.class, n -> assertThat(n.why()).contains("part, out, hands"));
    }

    @ParameterizedTest
    @ValueSource(strings = {"  ", "40 min", "cockpit, bo", "held for", "for now", "fuel tank, needs 2 h more"})
    void whatSaysTooLittleIsAnsweredWithWhatIsMissing(String line) {
        assertThat(read(line)).isInstanceOf(Captured.NotUnderstood.class);
    }

    /** The order of the phrases says nothing, but for the words of the name itself. */
    @Test
    void theOrderSaysNothing() {
        List<String> phrases = new java.util.ArrayList<>(List.of(
                "make bracket", "at the rear", "2 h", "welder", "two hands", "jun", "for the shakedown", "findings"));
        Captured first = read(String.join(", ", phrases));
        assertThat(first).isInstanceOf(Captured.NewJob.class);
        Random random = new Random(7);
        for (int i = 0; i < 50; i++) {
            Collections.shuffle(phrases, random);
            assertThat(read(String.join(" , ", phrases))).isEqualTo(first);
        }
    }
}
