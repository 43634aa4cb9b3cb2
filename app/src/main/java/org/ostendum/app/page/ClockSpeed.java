package org.ostendum.app.page;

import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** Where the clock runs fast every page says so: nobody takes simulated hours for real ones. */
@ControllerAdvice(annotations = Controller.class)
class ClockSpeed {
    private final double speed;

    ClockSpeed(@Value("${ostendum.clock.speed}") double speed) {
        this.speed = speed;
    }

    /** @return how many times as fast; null for a clock like any other */
    @ModelAttribute("clockSpeed")
    @Nullable
    Integer clockSpeed() {
        return speed == 1 ? null : (Integer) (int) Math.round(speed);
    }
}
