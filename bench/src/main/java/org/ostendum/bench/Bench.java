package org.ostendum.bench;

import java.util.Arrays;
import java.util.List;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.options.OptionsBuilder;

/** {@code ./ostendum bench [verdict] [pages] [N …]}: both by default; N are numbers of batteries, 200 and 2000 by default. */
public final class Bench {
    private Bench() {}

    public static void main(String[] arguments) throws Exception {
        List<String> asked = Arrays.asList(arguments);
        boolean all = !asked.contains("verdict") && !asked.contains("pages");
        if (all || asked.contains("verdict")) {
            new Runner(new OptionsBuilder()
                            .include(JudgeBenchmark.class.getSimpleName())
                            .build())
                    .run();
        }
        if (all || asked.contains("pages")) {
            int[] sizes = asked.stream()
                    .filter(a -> a.matches("\\d+"))
                    .mapToInt(Integer::parseInt)
                    .toArray();
            PageBench.run(sizes.length == 0 ? new int[] {200, 2000} : sizes);
        }
    }
}
