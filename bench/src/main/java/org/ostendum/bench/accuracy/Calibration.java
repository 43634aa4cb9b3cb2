package org.ostendum.bench.accuracy;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.ostendum.core.judge.FindingCode;

/** How often what was said with a confidence was true. */
final class Calibration {
    private static final int STEPS = 10;

    private final List<Said> said = new ArrayList<>();

    private record Said(FindingCode code, double confidence, boolean isTrue) {}

    void add(FindingCode code, double confidence, boolean isTrue) {
        said.add(new Said(code, confidence, isTrue));
    }

    void addAll(Calibration other) {
        said.addAll(other.said);
    }

    /** Calls of about one confidence. */
    record Step(int calls, double said, double isTrue) {
        double error() {
            return Math.abs(said - isTrue);
        }
    }

    private static Step step(List<Said> calls) {
        return new Step(
                calls.size(),
                calls.stream().mapToDouble(Said::confidence).average().orElse(Double.NaN),
                calls.stream().filter(Said::isTrue).count() / (double) calls.size());
    }

    /** @return calls by tenths of confidence, the least sure first; steps nobody has said are left out */
    List<Step> steps() {
        List<List<Said>> byStep = new ArrayList<>();
        for (int i = 0; i < STEPS; i++) {
            byStep.add(new ArrayList<>());
        }
        said.forEach(s ->
                byStep.get(Math.min(STEPS - 1, (int) (s.confidence() * STEPS))).add(s));
        return byStep.stream()
                .filter(calls -> !calls.isEmpty())
                .map(Calibration::step)
                .toList();
    }

    /** @return calls by code and what was said with them */
    Map<String, Step> byCode() {
        Map<String, List<Said>> byCode = new TreeMap<>();
        said.forEach(s -> byCode.computeIfAbsent(
                        String.format("%s %.2f", s.code().code(), s.confidence()), c -> new ArrayList<>())
                .add(s));
        Map<String, Step> steps = new TreeMap<>();
        byCode.forEach((code, calls) -> steps.put(code, step(calls)));
        return steps;
    }

    /** @return mean distance between what was said and what was so, each call counting alike */
    double error() {
        return steps().stream().mapToDouble(s -> s.calls() * s.error()).sum() / said.size();
    }
}
