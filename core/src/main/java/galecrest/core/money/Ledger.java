package galecrest.core.money;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;

/**
 * The money of one build.
 *
 * @param estimate what was agreed at the start; empty before
 * @param changes change orders that were accepted
 * @param lines work, parts and outside work, with how far each is
 * @param payments deposits and instalments
 * @param taxPercent on the net sum
 */
public record Ledger(
        Optional<Estimate> estimate,
        List<AgreedChange> changes,
        List<Line> lines,
        List<Amount> payments,
        BigDecimal taxPercent) {
    public Ledger {
        changes = List.copyOf(changes);
        lines = List.copyOf(lines);
        payments = List.copyOf(payments);
    }

    /** What was estimated; the allowance is for what the strip will find, in per cent of the rest. */
    public record Estimate(
            BigDecimal hours, BigDecimal hourRate, Amount parts, Amount outwork, BigDecimal allowancePercent) {
        /** The hours by their rate. */
        public Amount labour() {
            return Amount.of(hours, hourRate);
        }

        /** What is set aside for what is not known yet: a share of labour, parts and outwork. */
        public Amount allowance() {
            return labour().plus(parts).plus(outwork).percent(allowancePercent);
        }

        public Amount total() {
            return labour().plus(parts).plus(outwork).plus(allowance());
        }
    }

    /** A change that was agreed, and what it adds. */
    public record AgreedChange(String title, BigDecimal hours, BigDecimal hourRate, Amount parts, Amount outwork) {
        public Amount total() {
            return Amount.of(hours, hourRate).plus(parts).plus(outwork);
        }
    }

    /** What a line is of. */
    public enum Kind {
        LABOUR,
        PART,
        OUTWORK
    }

    /** How far a line is: wanted, ordered or under way, or here and done. */
    public enum Stage {
        OPEN,
        COMMITTED,
        SPENT
    }

    /** A quantity (hours, pieces) of something at a price. */
    public record Line(Kind kind, String text, BigDecimal quantity, BigDecimal price, Stage stage) {
        /** Quantity by unit price, rounded to the cent. */
        public Amount net() {
            return Amount.of(quantity, price);
        }
    }

    /** Estimate and agreed changes; what the customer has said yes to. */
    public Amount agreed() {
        Amount sum = estimate.map(Estimate::total).orElse(Amount.ZERO);
        for (AgreedChange change : changes) {
            sum = sum.plus(change.total());
        }
        return sum;
    }

    /** Agreed hours. */
    public BigDecimal agreedHours() {
        return changes.stream()
                .map(AgreedChange::hours)
                .reduce(estimate.map(Estimate::hours).orElse(BigDecimal.ZERO), BigDecimal::add);
    }

    /** What is ordered or under way and not yet spent. */
    public Amount committed() {
        return sum(Stage.COMMITTED);
    }

    /** What has been worked and bought so far. */
    public Amount spent() {
        return sum(Stage.SPENT);
    }

    private Amount sum(Stage stage) {
        return lines.stream().filter(l -> l.stage() == stage).map(Line::net).reduce(Amount.ZERO, Amount::plus);
    }

    /** What the customer has paid so far. */
    public Amount paid() {
        return payments.stream().reduce(Amount.ZERO, Amount::plus);
    }

    /** The lines that can be invoiced: what is spent. */
    public List<Line> invoiceLines() {
        return lines.stream().filter(l -> l.stage() == Stage.SPENT).toList();
    }

    /** Tax on what is spent, once on the sum and not line by line. */
    public Amount tax() {
        return spent().percent(taxPercent);
    }

    /** What is still owed for what is spent, tax included; negative where more was paid. */
    public Amount owed() {
        return spent().plus(tax()).minus(paid());
    }
}
