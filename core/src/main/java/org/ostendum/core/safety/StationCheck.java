package org.ostendum.core.safety;

import org.ostendum.core.rulebook.RuleKey;

/** What is looked after in a battery room, each with the rule that says how often. */
public enum StationCheck {
    EYEWASH_FLUSH(RuleKey.STATION_EYEWASH_FLUSH, true),
    EYEWASH_INSPECTION(RuleKey.STATION_EYEWASH_INSPECTION, true),
    SHOWER(RuleKey.STATION_SHOWER, true),
    SPILL_KIT(RuleKey.STATION_SPILL_KIT, true),
    VENTILATION(RuleKey.STATION_VENTILATION, true),
    EXTINGUISHER(RuleKey.STATION_EXTINGUISHER, false),
    TOOLS(RuleKey.STATION_TOOLS, false),
    SIGNS(RuleKey.STATION_SIGNS, false),
    /** Hoist, roller bed or cart by which batteries are changed: out of service from a fault until it is found sound again. */
    CHANGER(RuleKey.STATION_CHANGER, false);

    private final RuleKey interval;
    private final boolean beforeCaps;

    StationCheck(RuleKey interval, boolean beforeCaps) {
        this.interval = interval;
        this.beforeCaps = beforeCaps;
    }

    public RuleKey interval() {
        return interval;
    }

    /** @return whether no cap comes off while this check is overdue or failed */
    public boolean isNeededBeforeCaps() {
        return beforeCaps;
    }
}
