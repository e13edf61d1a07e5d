package galecrest.server.offer;

import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** What a test changes of what the journal keeps, as part of the last change. */
record Amended(JdbcClient db, PlatformTransactionManager transactions) {
    void by(String sql) {
        new TransactionTemplate(transactions).executeWithoutResult(status -> {
            db.sql("select set_config('galecrest.change', (select max(id) from change)::text, true)")
                    .query(String.class)
                    .single();
            db.sql(sql).update();
        });
    }
}
