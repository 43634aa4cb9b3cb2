package org.ostendum.core.device;

import java.util.List;
import java.util.Optional;

/**
 * What a load bank is told. It takes the load off by itself at its limits, whether or not anybody still listens.
 *
 * @param amperes to be drawn, tenths
 * @param cutOff volts of the battery, hundredths
 * @param leads across which it reads
 * @param leadLimit volts of a lead, thousandths
 * @param mostMinutes after which it stops in any case
 */
public record LoadBankOrder(Act act, double amperes, double cutOff, int leads, double leadLimit, int mostMinutes) {
    public static final LoadBankOrder STOP = new LoadBankOrder(Act.STOP, 0, 0, 0, 0, 0);
    public static final int LENGTH = 7;

    private static final int MARK = 0x0577;
    private static final List<Act> ACTS = List.of(Act.START, Act.STOP);

    public enum Act {
        START,
        STOP
    }

    public int[] registers() {
        return RegisterWords.toWrite(LENGTH)
                .put(MARK)
                .put(act, ACTS)
                .put(Math.round(amperes * 10))
                .put(Math.round(cutOff * 100))
                .put(leads)
                .put(Math.round(leadLimit * 1000))
                .put(mostMinutes)
                .written();
    }

    public static Optional<LoadBankOrder> of(int[] registers) {
        RegisterWords words = RegisterWords.toRead(registers, LENGTH);
        words.expect(words.word() == MARK);
        LoadBankOrder order = new LoadBankOrder(
                words.oneOf(ACTS),
                words.word() / 10.0,
                words.word() / 100.0,
                words.word(),
                words.word() / 1000.0,
                words.word());
        words.expect(order.act == Act.STOP
                || (order.amperes > 0 && order.cutOff > 0 && order.leads <= LoadBankStatus.MOST_LEADS));
        return words.isSound() ? Optional.of(order) : Optional.empty();
    }
}
