package org.ostendum.core.plan.make;

import java.util.List;
import java.util.stream.Collectors;
import org.ostendum.core.plan.check.Breach;

/** No plan can be made: what is pinned breaks a hard rule. */
public final class BrokenPlan extends IllegalStateException {
    private static final int TOLD = 3;

    private final transient List<Breach> breaches;

    BrokenPlan(List<Breach> breaches) {
        super(breaches.stream()
                .limit(TOLD)
                .map(breach -> breach.rule() + " " + breach.job() + ": " + breach.told())
                .collect(Collectors.joining("; ")));
        this.breaches = List.copyOf(breaches);
    }

    public List<Breach> breaches() {
        return breaches;
    }
}
