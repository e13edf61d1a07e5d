package galecrest.server.customer;

import galecrest.core.time.DateStyle;
import galecrest.server.changeorder.CustomerChange;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** All that a customer sees. */
record CustomerPageResponse(
        String shop,
        String zone,
        DateStyle says,
        Instant now,
        String car,
        String number,
        int done,
        int total,
        List<CustomerStage> stages,
        List<String> doing,
        List<String> next,
        List<String> waitsForYou,
        List<CustomerDate> dates,
        List<CustomerChange> changes,
        List<CustomerMeasurement> measured,
        List<CustomerPhoto> photos,
        String currency,
        @Nullable CustomerMoney money) {}
