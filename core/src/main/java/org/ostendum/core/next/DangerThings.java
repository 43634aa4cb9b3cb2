package org.ostendum.core.next;

import org.ostendum.core.judge.Cells;
import org.ostendum.core.judge.Message;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Severity;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.fact.Heat;
import org.ostendum.core.state.fact.OpenDefect;

/** What cannot wait: heat, defects, bare plates, and levels that are wrong. */
final class DangerThings {
    private final ThingsFound found;
    private final BatteryState battery;

    DangerThings(ThingsFound found) {
        this.found = found;
        this.battery = found.battery();
    }

    void find() {
        heat();
        defects();
        levels();
    }

    private void heat() {
        Heat heat = battery.heat().temperature();
        if (heat != null && battery.isAboveStop()) {
            String how = battery.isCharging() ? "next.hot.charging" : "next.hot";
            Severity severity = battery.isCharging() ? Severity.STOP : Severity.ACT;
            found.add(
                    NextStep.COOL,
                    severity,
                    Message.of(
                            how,
                            heat.celsius(),
                            limit(RuleKey.chargeStop(battery.model().duty()))));
        }
    }

    private Object limit(RuleKey rule) {
        return battery.rules().celsius(rule);
    }

    /** They are put right whatever else it is: a dry battery’s too. */
    void defects() {
        for (OpenDefect defect : battery.defects()) {
            boolean endsCharge = battery.isCharging() && defect.kind().shutsCharge();
            found.add(
                    NextStep.RIGHT_DEFECT,
                    endsCharge ? Severity.STOP : defect.kind().severity(),
                    Message.of(endsCharge ? "next.defect.charging" : "next.defect", defect.kind(), defect.since()),
                    defect.kind().fixedBy().stream().findFirst().orElse(null));
        }
    }

    /** What is known of the levels, whichever of looking, pouring and drawing off told it last. */
    private void levels() {
        if (!battery.model().kind().hasCaps()) {
            return;
        }
        Cells bare = new Cells(battery.levels().bare());
        Cells over = new Cells(battery.levels().over());
        Cells low = new Cells(battery.levels().low());
        if (!bare.isEmpty()) {
            String how = battery.isCharging() ? "next.bare.charging" : "finding.dry.exposed";
            found.add(NextStep.COVER_PLATES, Severity.STOP, Message.of(how, bare));
        }
        if (!over.isEmpty()) {
            found.add(NextStep.DRAW_OFF, Severity.ACT, Message.of("finding.overfilled", over));
        }
        if (!low.isEmpty() && bare.isEmpty()) {
            found.add(NextStep.WATER, Severity.WATCH, Message.of("finding.dry.low", low));
        }
    }
}
