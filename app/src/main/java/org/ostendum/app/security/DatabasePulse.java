package org.ostendum.app.security;

import java.sql.Connection;
import java.sql.SQLException;
import java.time.Duration;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import javax.sql.DataSource;
import org.springframework.stereotype.Component;

/**
 * Whether the database answers. Asked twice a second at most, by one thread, however many want to know; and nobody waits longer
 * for that than he may who looks for first aid.
 */
@Component
final class DatabasePulse implements AutoCloseable {
    private static final Duration FRESH = Duration.ofMillis(500);
    private static final Duration PATIENCE = Duration.ofMillis(700);
    private static final int VALID_WITHIN_SECONDS = 1;

    private final DataSource database;
    private final ExecutorService asker = Executors.newSingleThreadExecutor(task -> {
        Thread thread = new Thread(task, "database-pulse");
        thread.setDaemon(true);
        return thread;
    });
    private Future<Boolean> newest = CompletableFuture.completedFuture(true);
    private long askedAt = System.nanoTime() - FRESH.toNanos();

    DatabasePulse(DataSource database) {
        this.database = database;
    }

    boolean isThere() {
        try {
            return asked().get(PATIENCE.toMillis(), TimeUnit.MILLISECONDS);
        } catch (TimeoutException | ExecutionException e) {
            return false;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
    }

    private synchronized Future<Boolean> asked() {
        if (newest.isDone() && System.nanoTime() - askedAt >= FRESH.toNanos()) {
            askedAt = System.nanoTime();
            newest = asker.submit(this::answers);
        }
        return newest;
    }

    private boolean answers() {
        try (Connection connection = database.getConnection()) {
            return connection.isValid(VALID_WITHIN_SECONDS);
        } catch (SQLException e) {
            return false;
        }
    }

    @Override
    public void close() {
        asker.shutdownNow();
    }
}
