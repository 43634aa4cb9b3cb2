package org.ostendum.demo;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.ostendum.demo.DemoSite.Known;
import org.ostendum.demo.DemoYear.Living;
import org.ostendum.demo.Lanternmoor.OneBattery;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionTemplate;

/** Fills an empty site with the demo: a year of Lanternmoor, dated back from today, the same each time. */
public class DemoData implements ApplicationRunner {
    private static final Logger LOG = LoggerFactory.getLogger(DemoData.class);
    static final long SEED = 20_260_101;

    /** Well within the connections that the application has. */
    private static final int MOST_AT_ONCE = 6;

    private final DemoSite site;
    private final DemoYear year;
    private final DemoSurroundings around;
    private final TransactionTemplate transaction;
    private final JdbcTemplate sql;
    private final DemoClock clock;
    private final ZoneId zone;
    private final Instant now;

    DemoData(
            DemoSite site,
            DemoYear year,
            DemoSurroundings around,
            TransactionTemplate transaction,
            JdbcTemplate sql,
            DemoClock clock,
            ZoneId zone) {
        this.site = site;
        this.year = year;
        this.around = around;
        this.transaction = transaction;
        this.sql = sql;
        this.clock = clock;
        this.zone = zone;
        this.now = clock.instant();
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (!site.isEmpty()) {
            return;
        }
        LOG.info("Filling the site with a year of Lanternmoor …");
        Known known = Objects.requireNonNull(transaction.execute(status -> site.fill()));
        transaction.executeWithoutResult(status -> around.beforeTheYear(known));
        List<Living> living = Objects.requireNonNull(transaction.execute(status -> batteries(known)));
        liveAll(living);
        clock.moveTo(now);
        transaction.executeWithoutResult(status -> {
            site.hangChargers();
            around.afterTheYear(known);
        });
        clock.backToNow();
        // So much at once: what the database believes of its tables is still that they are empty.
        sql.execute("analyze table ledger_entry, round, cell_reading, charge_sample, battery, battery_state");
        around.plan(known);
        LOG.info("{} batteries with their year are in the site", living.size());
    }

    private List<Living> batteries(Known known) {
        long[] workers = {DemoSite.known(known.persons(), "tom"), DemoSite.known(known.persons(), "ines")};
        LocalDate today = LocalDate.ofInstant(now, zone);
        List<Living> living = new ArrayList<>();
        for (OneBattery one : Lanternmoor.batteries()) {
            int n = living.size();
            long worker = workers[n % workers.length];
            living.add(new Living(
                    site.add(one, known, worker, today), one, today.minusDays(one.daysAgo()), worker, SEED + n));
        }
        return living;
    }

    /** Lives know nothing of each other: one for each core at a time, each with a connection of its own. */
    private void liveAll(List<Living> living) {
        ExecutorService cores = Executors.newFixedThreadPool(
                Math.min(MOST_AT_ONCE, Runtime.getRuntime().availableProcessors()));
        try {
            List<Future<?>> begun = new ArrayList<>();
            living.forEach(one -> begun.add(cores.submit(() -> live(one))));
            for (Future<?> each : begun) {
                each.get();
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException("The demo's year was interrupted", e);
        } catch (ExecutionException e) {
            throw new IllegalStateException("The demo's year could not be told", e.getCause());
        } finally {
            cores.shutdownNow();
        }
    }

    private void live(Living living) {
        try {
            transaction.executeWithoutResult(status -> year.tell(living));
        } finally {
            clock.backToNow();
        }
    }
}
