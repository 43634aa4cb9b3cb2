package org.ostendum.core.judge;

/** What can be found; the codes are a contract with programs outside. */
public enum FindingCode {
    READING_IMPOSSIBLE("reading.impossible"),
    READING_UNRELIABLE("reading.unreliable"),
    CELL_DRY("cell.dry"),
    CELL_OVERFILLED("cell.overfilled"),
    CELL_COLOUR("cell.colour"),
    CELL_WEAK("cell.weak"),
    CELL_SHORT("cell.short"),
    CELL_SULFATED("cell.sulfated"),
    CELL_DILUTED("cell.diluted"),
    CELL_THIRSTY("cell.thirsty"),
    /** Stands above what a full charge gives: water is missing, or acid was added. */
    CELL_CONCENTRATED("cell.concentrated"),
    BATTERY_UNDERCHARGED("battery.undercharged"),
    BATTERY_UNEVEN("battery.uneven"),
    BATTERY_SULFATED("battery.sulfated"),
    BATTERY_THIRSTY("battery.thirsty"),
    BATTERY_STRATIFIED("battery.stratified"),
    BATTERY_WORN("battery.worn"),
    BATTERY_HOT("battery.hot"),
    BATTERY_FREEZING("battery.freezing"),
    PACK_TAP("pack.tap"),
    BLOCK_LOW("block.low"),
    BLOCK_REVERSED("block.reversed"),
    VOLTAGE_DISAGREES("voltage.disagrees");

    private final String code;

    FindingCode(String code) {
        this.code = code;
    }

    public String code() {
        return code;
    }
}
