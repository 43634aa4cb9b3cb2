package org.ostendum.core.wiring;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.judge.Message;
import org.ostendum.core.quantity.Volts;
import org.ostendum.core.statistics.Robust;

/**
 * What the voltmeter says before the last link is closed: each block between the posts where the drawing has its plus and its minus, and
 * the string from end to end. The string must be the sum of its blocks. Practices {@code pack.polarity}, {@code pack.after}.
 *
 * @param byBlock volts of each block that was read
 * @param string volts over the last gap; null where not read
 */
public record PackVolts(Pack pack, Map<Integer, Volts> byBlock, @Nullable Volts string) {
    /** Two readings of one voltmeter and a chain of contacts differ by no more than that. Rule of thumb. */
    private static final double SAME_WITHIN = 0.03;
    /** A block this far under its fellows is flat or not the same kind. Rule of thumb, part of the median. */
    private static final double LOW_PART = 0.15;

    public PackVolts {
        byBlock = new TreeMap<>(byBlock);
    }

    /** @return the block to be read next; empty when all are */
    public Optional<Integer> next() {
        for (int block = 1; block <= pack.blocks(); block++) {
            if (!byBlock.containsKey(block)) {
                return Optional.of(block);
            }
        }
        return Optional.empty();
    }

    /** @return what keeps the last link off, worst first; none when it may be closed */
    public List<Message> faults() {
        List<Message> faults = new ArrayList<>();
        byBlock.forEach((block, volts) -> block(block, volts).ifPresent(faults::add));
        next().ifPresent(block -> faults.add(Message.of("pack-volts.unread", block)));
        if (next().isEmpty()) {
            stringFault().ifPresent(faults::add);
        }
        return faults;
    }

    private Optional<Message> block(int block, Volts volts) {
        if (volts.millivolts() < 0) {
            return Optional.of(Message.of("pack-volts.turned", block, decimal(volts)));
        }
        double median = Robust.median(
                byBlock.values().stream().mapToDouble(v -> Math.abs(v.volts())).toArray());
        return byBlock.size() > 1 && volts.volts() < (1 - LOW_PART) * median
                ? Optional.of(Message.of("pack-volts.low", block, decimal(volts), decimal(Volts.of(median))))
                : Optional.empty();
    }

    private Optional<Message> stringFault() {
        if (string == null) {
            return Optional.of(Message.of("pack-volts.no-string", decimal(sum())));
        }
        double apart = sum().volts() - string.volts();
        if (Math.abs(apart) <= SAME_WITHIN * sum().volts()) {
            return Optional.empty();
        }
        if (Math.abs(string.volts()) < SAME_WITHIN * sum().volts()) {
            return Optional.of(Message.of("pack-volts.open", decimal(string), decimal(sum())));
        }
        return Optional.of(turned(apart)
                .map(block -> Message.of("pack-volts.string-turned", decimal(string), decimal(sum()), block))
                .orElseGet(() -> Message.of("pack-volts.string", decimal(string), decimal(sum()))));
    }

    /** A block turned round takes twice its own volts from the string. */
    private Optional<Integer> turned(double apart) {
        return byBlock.entrySet().stream()
                .filter(e -> Math.abs(apart - 2 * e.getValue().volts()) <= SAME_WITHIN * sum().volts())
                .map(Map.Entry::getKey)
                .findFirst();
    }

    public Volts sum() {
        return Volts.of(byBlock.values().stream().mapToDouble(Volts::volts).sum());
    }

    private static BigDecimal decimal(Volts volts) {
        return BigDecimal.valueOf(volts.millivolts(), 3);
    }
}
