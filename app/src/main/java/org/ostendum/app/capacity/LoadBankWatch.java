package org.ostendum.app.capacity;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.ostendum.app.capacity.CapacityTest.EndKind;
import org.ostendum.app.device.LoadBanks;
import org.ostendum.app.live.LiveEvents;
import org.ostendum.core.capacity.TestRow;
import org.ostendum.core.device.LoadBankStatus;
import org.ostendum.core.device.LoadBankStatus.State;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Follows tests that the load bank makes. Its own clock dates what it reads, so that a jump of ours moves nothing; an application that was
 * away goes on where it finds the bank. While the bank is silent the load is taken to be off.
 */
@Component
class LoadBankWatch {
    private static final Logger LOG = LoggerFactory.getLogger(LoadBankWatch.class);
    /** Rows of a test: about so many over its length are kept. */
    private static final int ROWS = 120;
    /** V for each cell: a voltage that has moved so far is kept at once. */
    private static final double MOVED = 0.01;
    /** A load bank needs some seconds before it says what it was told. */
    private static final Duration AT_FIRST = Duration.ofSeconds(90);

    private final CapacityTests tests;
    private final Testing testing;
    private final LoadBanks banks;
    private final LiveEvents live;
    private final Clock clock;

    LoadBankWatch(CapacityTests tests, Testing testing, LoadBanks banks, LiveEvents live, Clock clock) {
        this.tests = tests;
        this.testing = testing;
        this.banks = banks;
        this.live = live;
        this.clock = clock;
    }

    /** Never throws: the next time comes anyway. */
    @Scheduled(fixedDelayString = "${ostendum.load-bank.every}")
    void look() {
        try {
            testing.quietCells();
            tests.open().stream().filter(CapacityTest::isByBank).forEach(this::look);
        } catch (DataAccessException e) {
            LOG.warn("The database is away; the load bank goes on by itself");
        } catch (RuntimeException e) {
            LOG.error("A capacity test could not be followed", e);
        }
    }

    private void look(CapacityTest test) {
        LoadBankStatus status = banks.status().orElse(null);
        if (status == null) {
            interrupt(test);
        } else if (!test.isCounted()) {
            first(test, status);
        } else if (!test.isOfBank(status.starts()) || status.state() == State.EMPTY) {
            interrupt(test);
        } else {
            follow(test, status);
        }
    }

    /** The first word that it draws tells which of its tests this is. */
    private void first(CapacityTest test, LoadBankStatus status) {
        if (status.state() == State.DRAWING) {
            tests.counted(test.id(), status.starts());
        } else if (Duration.between(test.begun().at(), clock.instant()).compareTo(AT_FIRST) > 0) {
            interrupt(test);
        }
    }

    private void interrupt(CapacityTest test) {
        if (!test.isInterrupted()) {
            tests.interrupted(test.id(), clock.instant());
            live.changed();
        }
    }

    private void follow(CapacityTest test, LoadBankStatus status) {
        Instant now = clock.instant();
        if (test.isInterrupted() && status.state() == State.DRAWING) {
            tests.resumed(test.id(), true);
        }
        TestRow row = new TestRow(
                status.running(), status.volts().volts(), status.amperes().amperes(), status.leads());
        switch (status.state()) {
            case DRAWING -> {
                if (isNews(test, row)) {
                    testing.read(test, row, null, now);
                }
            }
            case ENDED -> ended(test, EndKind.CUT_OFF, status, now);
            case ENDED_BY_CELL -> ended(test, EndKind.CELL, status, now);
            default -> interrupt(test);
        }
    }

    private boolean isNews(CapacityTest test, TestRow row) {
        TestRow last = testing.course(test).last().orElse(null);
        double apart = test.sheet().lasts().toSeconds() / (double) ROWS;
        return last == null
                || row.elapsed().minus(last.elapsed()).toSeconds() >= apart
                || Math.abs(row.volts() - last.volts()) >= MOVED * test.sheet().cells();
    }

    /** By the time we hear of its end the volts have risen again: the last row is as the load came off. */
    private void ended(CapacityTest test, EndKind how, LoadBankStatus status, Instant now) {
        TestRow last = testing.course(test).last().orElse(null);
        double volts = how == EndKind.CUT_OFF || last == null ? test.sheet().cutOff() : last.volts();
        if (last == null || last.elapsed().compareTo(status.running()) < 0) {
            double amperes = test.sheet().amperes().amperes();
            tests.read(test.id(), new TestRow(status.running(), volts, amperes, List.of()));
        }
        testing.end(test, how, "", null, now);
    }
}
