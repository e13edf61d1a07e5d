package galecrest.core.money;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;

class LedgerTest {
    private static final long CENTS_OF_HUNDREDTHS = 100;

    /** Worked by hand: 10 h at 85.50, parts 1 200.10, outwork 300, 10 % allowance; 7.5 h more at 85.50. */
    @Test
    void anEstimateAndAChangeAddUp() {
        var estimate = new Ledger.Estimate(
                new BigDecimal("10"), new BigDecimal("85.50"), Amount.of("1200.10"), Amount.of("300"), BigDecimal.TEN);
        var change = new Ledger.AgreedChange(
                "oil cooler", new BigDecimal("7.5"), new BigDecimal("85.50"), Amount.of("99.99"), Amount.ZERO);
        Ledger ledger = new Ledger(Optional.of(estimate), List.of(change), List.of(), List.of(), BigDecimal.ZERO);
        assertThat(estimate.labour()).hasToString("855.00");
        assertThat(estimate.allowance()).hasToString("235.51");
        assertThat(estimate.total()).hasToString("2590.61");
        assertThat(change.total()).hasToString("741.24");
        assertThat(ledger.agreed()).hasToString("3331.85");
        assertThat(ledger.agreedHours()).isEqualByComparingTo("17.5");
    }

    /** To the cent, against whole-number arithmetic in ten-thousandths of the currency. */
    @Property(tries = 1000)
    void ledgersAreRightToTheCent(
            @ForAll("lines") List<Ledger.Line> lines,
            @ForAll("cents") List<Long> payments,
            @ForAll("taxes") int taxHundredths) {
        Ledger ledger = new Ledger(
                Optional.empty(),
                List.of(),
                lines,
                payments.stream().map(c -> new Amount(BigDecimal.valueOf(c, 2))).toList(),
                BigDecimal.valueOf(taxHundredths, 2));
        long spent = 0;
        long committed = 0;
        for (Ledger.Line line : lines) {
            long tenThousandths = line.quantity().movePointRight(2).longValueExact()
                    * line.price().movePointRight(2).longValueExact();
            long cents = (tenThousandths + CENTS_OF_HUNDREDTHS / 2) / CENTS_OF_HUNDREDTHS;
            spent += line.stage() == Ledger.Stage.SPENT ? cents : 0;
            committed += line.stage() == Ledger.Stage.COMMITTED ? cents : 0;
        }
        long tax = (spent * taxHundredths + 5_000) / 10_000;
        long paid = payments.stream().mapToLong(Long::longValue).sum();
        assertThat(ledger.spent().value()).isEqualTo(BigDecimal.valueOf(spent, 2));
        assertThat(ledger.committed().value()).isEqualTo(BigDecimal.valueOf(committed, 2));
        assertThat(ledger.tax().value()).isEqualTo(BigDecimal.valueOf(tax, 2));
        assertThat(ledger.owed().value()).isEqualTo(BigDecimal.valueOf(spent + tax - paid, 2));
        assertThat(ledger.invoiceLines().stream().map(Ledger.Line::net).reduce(Amount.ZERO, Amount::plus))
                .isEqualTo(ledger.spent());
    }

    @Provide
    Arbitrary<List<Ledger.Line>> lines() {
        Arbitrary<BigDecimal> quantity =
                Arbitraries.longs().between(0, 1_000_000).map(h -> BigDecimal.valueOf(h, 2));
        Arbitrary<BigDecimal> price =
                Arbitraries.longs().between(0, 100_000_000).map(h -> BigDecimal.valueOf(h, 2));
        return Combinators.combine(
                        Arbitraries.of(Ledger.Kind.class), quantity, price, Arbitraries.of(Ledger.Stage.class))
                .as((kind, q, p, stage) -> new Ledger.Line(kind, "line", q, p, stage))
                .list()
                .ofMaxSize(40);
    }

    @Provide
    Arbitrary<List<Long>> cents() {
        return Arbitraries.longs().between(1, 10_000_000_00L).list().ofMaxSize(6);
    }

    @Provide
    Arbitrary<Integer> taxes() {
        return Arbitraries.integers().between(0, 2_700);
    }

    @Test
    void partsOfACentAreRefused() {
        assertThatThrownBy(() -> Amount.of("1.005")).isInstanceOf(ArithmeticException.class);
    }
}
