package org.ostendum.app.receive;

import java.io.IOException;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.words.Words;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** A label to stick on a battery; its code opens the battery's page. */
@Controller
class LabelController {
    @GetMapping("/batteries/{battery}/label.svg")
    ResponseEntity<String> svg(Battery battery, Words words) {
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("image/svg+xml"))
                .body(label(battery, words).svg());
    }

    @GetMapping("/batteries/{battery}/label.pdf")
    ResponseEntity<byte[]> pdf(Battery battery, Words words) throws IOException {
        Label label = label(battery, words);
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header("Content-Disposition", "inline; filename=\"" + label.code() + ".pdf\"")
                .body(label.pdf());
    }

    private static Label label(Battery battery, Words words) {
        var model = battery.type().model();
        String address = ServletUriComponentsBuilder.fromCurrentContextPath()
                .path("/batteries/{code}")
                .buildAndExpand(battery.code())
                .toUriString();
        int weight = battery.type().weightKg();
        String facts = model.nominalVolts() + " V  " + model.capacity().ampHours() + " Ah"
                + (weight == 0 ? "" : "  " + words.weight(weight));
        return new Label(battery.code(), battery.serial(), facts, words.text("label.read"), address);
    }
}
