package org.ostendum.core.next;

import org.ostendum.core.judge.NextStep;
import org.ostendum.core.next.NextThing.Time;
import org.ostendum.core.state.BatteryState;

/** How long jobs take. Rules of thumb: 15 s to draw a cell, 10 s to water one, and the walk; a charger of 16 A for each 100 Ah. */
public final class StepTimes {
    private static final double CHARGER_RATE = 0.16;
    private static final double CHARGE_RETURN = 1.12;
    private static final int FINISH_MINUTES = 120;
    private static final int EQUALISE_MINUTES = 180;
    private static final int LONG_CHARGE_MINUTES = 60 * 60;

    private StepTimes() {}

    public static Time of(NextStep step, BatteryState battery) {
        int cells = battery.cells().atWork();
        return switch (step) {
            case TAKE_ROUND, READ_AGAIN, READ_AFTER_EQUALISE, READ_CHARGE_VOLTS -> atBattery(3 + cells / 4);
            case COMPARE_HYDROMETER -> atBattery(5);
            case WATER, DRAW_OFF -> atBattery(3 + cells / 6);
            case COVER_PLATES -> atBattery(3 + cells / 6);
            case CHARGE -> Time.minutes(5, chargeMinutes(battery));
            case COMMISSION -> Time.minutes(45, 24 * 60);
            case EQUALISE -> Time.minutes(5, EQUALISE_MINUTES);
            case LONG_CHARGE -> Time.minutes(15, LONG_CHARGE_MINUTES);
            case COOL -> Time.minutes(5, (int) battery.heat().coolingLeft().toMinutes());
            case CHECK_CHARGER, LOOK_AT_KIT, WORK_UP, MOVE_TAP, ADJUST_ACID, RIGHT_DEFECT -> atBattery(20);
            case WASH -> atBattery(15);
            case TEST_CAPACITY -> Time.minutes(30, 8 * 60);
            case REPAIR_CELL -> Time.minutes(120, 24 * 60);
            case NONE -> atBattery(0);
        };
    }

    private static Time atBattery(int minutes) {
        return Time.minutes(minutes, minutes);
    }

    private static int chargeMinutes(BatteryState battery) {
        double missing = 1 - battery.charge().likely();
        return FINISH_MINUTES + (int) Math.round(60 * missing * CHARGE_RETURN / CHARGER_RATE);
    }
}
