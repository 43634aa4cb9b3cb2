package org.ostendum.app.job;

import java.util.List;
import org.springframework.stereotype.Component;

/** The rooms that add something to jobs of theirs. */
@Component
public class SpecialJobs {
    private static final SpecialJob PLAIN = procedure -> true;

    private final List<SpecialJob> all;

    SpecialJobs(List<SpecialJob> all) {
        this.all = all;
    }

    public SpecialJob of(String procedure) {
        return all.stream().filter(job -> job.isOf(procedure)).findFirst().orElse(PLAIN);
    }
}
