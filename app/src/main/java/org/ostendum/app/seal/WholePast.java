package org.ostendum.app.seal;

import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicBoolean;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.ChainCheck;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.seal.SealFiles.Kept;
import org.ostendum.app.state.PastCheck;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.core.task.TaskExecutor;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;

/** Looks at the past of all batteries, each night and when somebody asks; what it found is kept until the next time. */
@Service
class WholePast {
    private static final Logger LOG = LoggerFactory.getLogger(WholePast.class);

    private final Batteries batteries;
    private final Ledger ledger;
    private final PastCheck past;
    private final Optional<Seals> seals;
    private final Clock clock;
    private final TaskExecutor executor;
    private final AtomicBoolean running = new AtomicBoolean();
    private volatile @Nullable PastReport newest;

    WholePast(
            Batteries batteries,
            Ledger ledger,
            PastCheck past,
            SealOfTheDay seals,
            Clock clock,
            @Qualifier("applicationTaskExecutor") TaskExecutor executor) {
        this.batteries = batteries;
        this.ledger = ledger;
        this.past = past;
        this.seals = seals.seals();
        this.clock = clock;
        this.executor = executor;
    }

    @Nullable
    PastReport newest() {
        return newest;
    }

    boolean isRunning() {
        return running.get();
    }

    /** Begins a look unless one is under way: of thousands of batteries it takes minutes. */
    void begin() {
        if (running.compareAndSet(false, true)) {
            executor.execute(this::lookAndTell);
        }
    }

    @Scheduled(cron = "${ostendum.seal.check-at}", zone = "${ostendum.zone}")
    void nightly() {
        begin();
    }

    private void lookAndTell() {
        try {
            PastReport report = look();
            newest = report;
            if (!report.isWhole()) {
                LOG.error("The past is not as it was written: {}", report.problems());
            }
        } finally {
            running.set(false);
        }
    }

    private PastReport look() {
        List<SealProblem> problems = new ArrayList<>();
        Optional<SealCheck> marks = seals.map(Seals::check);
        List<Battery> all = batteries.ever();
        int lines = 0;
        for (Battery battery : all) {
            ChainCheck check = past.check(battery.id());
            lines += check.lines();
            if (check.changedRound() != null) {
                problems.add(SealProblem.of("seal.round", battery.code(), check.changedRound()));
            } else if (check.brokenAt() != null && marks.isEmpty()) {
                problems.add(SealProblem.of("seal.broken", battery.code(), check.brokenAt()));
            }
            marks.ifPresent(s -> s.take(battery.code(), battery.id(), ledger.written(battery.id())));
        }
        marks.ifPresent(s -> problems.addAll(s.problems()));
        List<Kept> kept = seals.map(Seals::all).orElse(List.of());
        return new PastReport(
                clock.instant(),
                all.size(),
                lines,
                kept.size(),
                seals.flatMap(Seals::newest).map(Seal::at).orElse(null),
                problems);
    }
}
