package org.ostendum.app.sums;

import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** All calculators of the site. */
@Component
class SumCatalogue {
    private final List<Sum> sums = List.of(
            new AcidSums.Mixing(),
            new AcidSums.Adjusting(),
            new AcidSums.Soda(),
            new AcidSums.Freezing(),
            new RoomSums.Gas(),
            new RoomSums.Water(),
            new RoomSums.Charge(),
            new RoomSums.Pool(),
            new WorkSums.Capacity(),
            new WorkSums.RunTime(),
            new WorkSums.Standing(),
            new WorkSums.BeamNotch(),
            new WorkSums.Repair());

    List<Sum> all() {
        return sums;
    }

    Optional<Sum> find(String name) {
        return sums.stream().filter(s -> s.name().equals(name)).findFirst();
    }
}
