package org.ostendum.app.receive;

import java.io.IOException;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.words.Words;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** A label to stick on a battery; its code opens the battery's page. */
@Controller
class LabelController {
    private final Batteries batteries;

    LabelController(Batteries batteries) {
        this.batteries = batteries;
    }

    @GetMapping("/batteries/{code}/label.svg")
    ResponseEntity<String> svg(@PathVariable String code, Words words) {
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("image/svg+xml"))
                .body(label(code, words).svg());
    }

    @GetMapping("/batteries/{code}/label.pdf")
    ResponseEntity<byte[]> pdf(@PathVariable String code, Words words) throws IOException {
        Label label = label(code, words);
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header("Content-Disposition", "inline; filename=\"" + label.code() + ".pdf\"")
                .body(label.pdf());
    }

    private Label label(String code, Words words) {
        Battery battery = batteries.byCode(code).orElseThrow(() -> new NotFound("battery " + code));
        var model = battery.type().model();
        String address = ServletUriComponentsBuilder.fromCurrentContextPath()
                .path("/batteries/{code}")
                .buildAndExpand(battery.code())
                .toUriString();
        String facts = model.nominalVolts() + " V  " + model.capacity().ampHours() + " Ah  "
                + words.weight(battery.type().weightKg());
        return new Label(battery.code(), battery.serial(), facts, words.text("label.read"), address);
    }
}
