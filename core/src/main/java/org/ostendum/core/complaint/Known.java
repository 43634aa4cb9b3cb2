package org.ostendum.core.complaint;

import java.util.EnumMap;
import java.util.Map;
import org.ostendum.core.complaint.Look.Outcome;
import org.ostendum.core.defect.DefectKind;
import org.ostendum.core.judge.FindingCode;
import org.ostendum.core.state.BatteryState;
import org.ostendum.core.state.StandingFinding;
import org.ostendum.core.state.fact.OpenDefect;

/** What the battery's state says already: nobody goes and looks at what is on record. */
public final class Known {
    private Known() {}

    /** @return answers that need no look; empty where nothing is on record */
    public static Map<Look, Outcome> of(BatteryState state) {
        Map<Look, Outcome> known = new EnumMap<>(Look.class);
        state.findings().forEach(finding -> byFinding(finding, known));
        state.defects().forEach(defect -> byDefect(defect, known));
        return known;
    }

    private static void byFinding(StandingFinding standing, Map<Look, Outcome> known) {
        FindingCode code = standing.finding().code();
        switch (code) {
            case CELL_DRY -> known.put(Look.LEVELS, Outcome.BARE);
            case CELL_WEAK, CELL_SHORT, CELL_SULFATED -> known.put(Look.GRAVITIES, Outcome.ONE_LOW);
            case BATTERY_UNDERCHARGED, BATTERY_SULFATED -> known.put(Look.GRAVITIES, Outcome.ALL_LOW);
            default -> {}
        }
    }

    private static void byDefect(OpenDefect defect, Map<Look, Outcome> known) {
        DefectKind kind = defect.kind();
        switch (kind) {
            case LOW_LEVEL -> known.put(Look.LEVELS, Outcome.BARE);
            case DIRTY_TOP -> known.put(Look.TOP, Outcome.DIRTY);
            case LOOSE_POST, WORN_LUG, CORRODED_POST, FRAYED_CABLE -> known.put(Look.CONNECTIONS, Outcome.LOOSE);
            default -> {}
        }
    }
}
