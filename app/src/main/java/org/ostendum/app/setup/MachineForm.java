package org.ostendum.app.setup;

import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Adding;
import org.ostendum.app.form.Code;
import org.ostendum.app.form.Needed;
import org.ostendum.app.form.Text;
import org.ostendum.app.form.Within;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.inventory.MachineKind;

/**
 * A machine as typed.
 *
 * @param from and {@code to}: weights of its plate, kg
 * @param slot id of where it parks; null for nowhere
 * @param version of the record when it was shown; null for a new one
 */
record MachineForm(
        @Code(groups = Adding.class) String code,
        @Needed @Text(max = 80) String name,
        @Needed(message = Needed.CHOICE) @Nullable MachineKind kind,
        @Within(min = "1", max = "5000") @Nullable Integer from,
        @Within(min = "1", max = "5000") @Nullable Integer to,
        @Within(min = "2", max = "288") @Nullable Integer volts,
        @Text(max = 40) String connector,
        @Nullable Long slot,
        @Nullable Integer version) {

    static final MachineForm BLANK = new MachineForm("", "", null, null, null, null, "", null, null);

    static MachineForm of(Machine machine, int version) {
        return new MachineForm(
                machine.code(),
                machine.name(),
                machine.kind(),
                machine.weightFromKg(),
                machine.weightToKg(),
                machine.volts(),
                machine.connector(),
                machine.slotId(),
                version);
    }

    boolean isPlateUpsideDown() {
        return from != null && to != null && from > to;
    }

    /** The machine that a form without faults makes. */
    Machine machine(long id, String itsCode) {
        MachineKind sort = kind == null ? MachineKind.FORKLIFT : kind;
        return new Machine(id, itsCode, name, sort, from, to, volts, connector == null ? "" : connector, slot, null);
    }
}
