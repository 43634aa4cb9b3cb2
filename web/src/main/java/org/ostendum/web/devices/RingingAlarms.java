package org.ostendum.web.devices;

import java.util.List;
import org.ostendum.web.store.StandingAlarm;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** Every page carries the alarms that nobody has acknowledged, also without a script. */
@ControllerAdvice(annotations = Controller.class)
class RingingAlarms {
    private final AlarmDesk desk;

    RingingAlarms(AlarmDesk desk) {
        this.desk = desk;
    }

    @ModelAttribute("ringing")
    List<StandingAlarm> ringing() {
        return desk.ringing();
    }
}
