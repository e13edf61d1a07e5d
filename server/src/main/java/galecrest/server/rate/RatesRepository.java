package galecrest.server.rate;

import java.math.BigDecimal;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

@Repository
class RatesRepository {
    private final JdbcClient db;

    RatesRepository(JdbcClient db) {
        this.db = db;
    }

    Rates rates() {
        return db.sql("select currency, hour_rate, tax_percent, finding_limit from shop")
                .query(Rates.class)
                .optional()
                .orElse(new Rates("EUR", BigDecimal.ZERO, BigDecimal.ZERO, null));
    }

    void save(RatesRequest form) {
        db.sql("""
                        update shop
                        set currency = :currency, hour_rate = :rate, tax_percent = :tax, finding_limit = :limit""")
                .param("currency", form.currency())
                .param("rate", form.hourRate())
                .param("tax", form.taxPercent())
                .param("limit", form.findingLimit())
                .update();
    }

    /** Whether the car is somebody else's, who can be asked. */
    boolean hasCustomer(String build) {
        return db.sql("select customer <> '' from build where id = :build")
                .param("build", build)
                .query(Boolean.class)
                .optional()
                .orElse(false);
    }
}
