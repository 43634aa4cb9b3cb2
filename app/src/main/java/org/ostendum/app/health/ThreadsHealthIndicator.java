package org.ostendum.app.health;

import java.lang.management.ManagementFactory;
import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.stereotype.Component;

/** Threads that wait for each other for ever: an application with some is no longer in order, though it still answers. */
@Component
class ThreadsHealthIndicator implements HealthIndicator {
    @Override
    public Health health() {
        long[] stuck = ManagementFactory.getThreadMXBean().findDeadlockedThreads();
        return stuck == null
                ? Health.up().build()
                : Health.down().withDetail("waitingForEachOther", stuck.length).build();
    }
}
