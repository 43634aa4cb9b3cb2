package org.ostendum.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;

/** What a shared machine gave to others while this one would have worked, by the kernel's own count. */
final class StolenTime {
    private static final Path COUNTS = Path.of("/proc/stat");
    /** user, nice, system, idle, iowait, irq, softirq, steal; guests are counted among the users already. */
    private static final int KINDS = 8;

    private static final int IDLE = 3;
    private static final int STEAL = 7;

    private long[] before = counts();

    /** @return part of the time that was wanted since the last call and given to others, 0 to 1; 0 where the kernel does not count it */
    double sinceLast() {
        long[] now = counts();
        long wanted = sum(now) - sum(before) - (now[IDLE] - before[IDLE]);
        long stolen = now[STEAL] - before[STEAL];
        before = now;
        return wanted == 0 ? 0 : (double) stolen / wanted;
    }

    private static long sum(long[] counts) {
        return Arrays.stream(counts).sum();
    }

    private static long[] counts() {
        try {
            String all = Files.readString(COUNTS).lines().findFirst().orElseThrow();
            return Arrays.stream(all.split(" +"))
                    .skip(1)
                    .limit(KINDS)
                    .mapToLong(Long::parseLong)
                    .toArray();
        } catch (IOException notLinux) {
            return new long[KINDS];
        }
    }
}
