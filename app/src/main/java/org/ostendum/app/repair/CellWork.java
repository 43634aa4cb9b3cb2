package org.ostendum.app.repair;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Instant;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.Job;
import org.ostendum.app.job.SpecialJob;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.words.Words;
import org.ostendum.core.procedure.Run;
import org.ostendum.core.procedure.Step;
import org.ostendum.core.rulebook.RuleKey;
import org.springframework.stereotype.Component;

/** Work at one cell of a tray: the cell is measured again before anything is drilled, and lit on the drawing. */
@Component
class CellWork implements SpecialJob {
    private static final String REPAIR = "cell-repair";
    private static final String CELL = "cell";
    private static final String AGAIN = "gravity-again";

    private static final String PERMIT = "permit";
    /** Steps with drill, flame or arc. */
    private static final Set<String> HOT = Set.of("straps", "in");

    private final CellRecord record;
    private final BatteryStates batteryStates;

    CellWork(CellRecord record, BatteryStates batteryStates) {
        this.record = record;
        this.batteryStates = batteryStates;
    }

    @Override
    public boolean isOf(String procedure) {
        return Set.of(REPAIR, "cell-jumper").contains(procedure);
    }

    /** The blocks of a pack are renewed whole. */
    @Override
    public boolean suits(@Nullable Battery battery) {
        return battery == null || !battery.type().model().layout().isPack();
    }

    @Override
    public Optional<String> against(Job job, Run run, Step step, String value, Battery battery, Words words) {
        if (step.id().equals(CELL)) {
            return record.noSuchCell(battery, Double.parseDouble(value), words);
        }
        if (step.id().equals(AGAIN)) {
            return record.disagrees(battery, cell(run), (int) Double.parseDouble(value), words);
        }
        return HOT.contains(step.id()) ? permitRunOut(run, battery, words) : Optional.empty();
    }

    /** A permit is for one shift: what it was signed on may be true no more. */
    private Optional<String> permitRunOut(Run run, Battery battery, Words words) {
        return permitUntil(run, battery)
                .filter(until -> !words.now().isBefore(until))
                .map(until -> words.text("repair.fault.permit", words.moment(until)));
    }

    private Optional<Instant> permitUntil(Run run, Battery battery) {
        return run.settled(PERMIT)
                .map(signed -> signed.at().plus(batteryStates.rulesFor(battery).duration(RuleKey.HOT_WORK_PERMIT)));
    }

    private static int cell(Run run) {
        return (int) Double.parseDouble(run.value(CELL));
    }

    /** What the site reckons for a cell, parts and work; a bridge costs an hour. */
    @Override
    public Optional<BigDecimal> cost(Run run, Battery battery) {
        return run.procedure().id().equals(REPAIR)
                ? Optional.ofNullable(battery.type().prices())
                        .map(prices -> BigDecimal.valueOf(prices.cellRepair()).setScale(2, RoundingMode.HALF_UP))
                : Optional.empty();
    }

    @Override
    public Optional<Beside> beside(Job job, Run run, Battery battery) {
        return run.value(CELL).isEmpty()
                ? Optional.empty()
                : Optional.of(new Beside(
                        "repair/lit :: cell",
                        LitCell.of(battery, cell(run), permitUntil(run, battery).orElse(null))));
    }
}
