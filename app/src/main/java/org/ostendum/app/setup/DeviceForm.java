package org.ostendum.app.setup;

import static org.ostendum.app.form.Checked.given;

import org.jspecify.annotations.Nullable;
import org.ostendum.app.device.Device;
import org.ostendum.app.form.Needed;
import org.ostendum.app.form.Text;
import org.ostendum.app.form.Within;
import org.ostendum.core.device.Address;

/**
 * A device as typed.
 *
 * @param owner what it belongs to and its id: "charger 12", "battery 3", "room 1"
 */
record DeviceForm(
        @Needed(message = Needed.CHOICE) Device.@Nullable Kind kind,
        @Needed(message = Needed.CHOICE) @Text(max = 40) String owner,
        @Needed @Text(max = 120) String host,
        @Needed @Within(min = "1", max = "65535") @Nullable Integer port,
        @Needed @Within(min = "1", max = "247") @Nullable Integer unit,
        @Needed @Within(min = "0", max = "65535") @Nullable Integer register) {
    private static final int MODBUS_PORT = 502;

    static final DeviceForm BLANK = new DeviceForm(null, "", "127.0.0.1", MODBUS_PORT, 1, 0);

    /** What a device of its kind belongs to. */
    String wantedOwner() {
        return switch (given(kind)) {
            case CHARGER -> "charger";
            case TAG -> "battery";
            case AIR, CART, LOAD_BANK -> "room";
        };
    }

    boolean isOwnerOfItsKind() {
        return owner.matches(wantedOwner() + " \\d{1,18}");
    }

    /** The device that a form without faults makes. */
    Device device() {
        Long id = Long.valueOf(owner.substring(owner.indexOf(' ') + 1));
        String wanted = wantedOwner();
        return new Device(
                0,
                given(kind),
                host,
                given(port),
                new Address(given(unit), given(register)),
                wanted.equals("charger") ? id : null,
                wanted.equals("battery") ? id : null,
                wanted.equals("room") ? id : null,
                "");
    }
}
