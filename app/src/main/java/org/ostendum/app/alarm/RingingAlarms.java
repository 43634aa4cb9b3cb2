package org.ostendum.app.alarm;

import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** Every page carries the alarms that nobody has acknowledged, also without a script. */
@ControllerAdvice(annotations = Controller.class)
class RingingAlarms {
    private final AlarmService service;

    RingingAlarms(AlarmService service) {
        this.service = service;
    }

    @ModelAttribute("ringing")
    List<StandingAlarm> ringing() {
        return service.ringing();
    }
}
