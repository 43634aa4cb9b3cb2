package org.ostendum.app.receive;

import java.io.IOException;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Machine;
import org.ostendum.app.inventory.Machines;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.words.Words;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** A label to stick on a battery or a machine; its code opens the page of what it sticks on. */
@Controller
class LabelController {
    private final Machines machines;

    LabelController(Machines machines) {
        this.machines = machines;
    }

    /** Scanned, it offers the battery that goes in next. */
    @GetMapping("/machines/{code}/label.pdf")
    ResponseEntity<byte[]> machine(@PathVariable String code, Words words) throws IOException {
        Machine machine = machines.byCode(code).orElseThrow(() -> new NotFound("machine " + code));
        String volts = machine.volts() == null ? "" : machine.volts() + " V";
        return pdf(new Label(
                machine.code(),
                machine.name(),
                volts,
                words.text("label.machine"),
                address("/machines/{code}", machine.code())));
    }

    @GetMapping("/batteries/{battery}/label.svg")
    ResponseEntity<String> svg(Battery battery, Words words) {
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("image/svg+xml"))
                .body(label(battery, words).svg());
    }

    @GetMapping("/batteries/{battery}/label.pdf")
    ResponseEntity<byte[]> pdf(Battery battery, Words words) throws IOException {
        return pdf(label(battery, words));
    }

    private static ResponseEntity<byte[]> pdf(Label label) throws IOException {
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header("Content-Disposition", "inline; filename=\"" + label.code() + ".pdf\"")
                .body(label.pdf());
    }

    private static Label label(Battery battery, Words words) {
        var model = battery.type().model();
        int weight = battery.type().weightKg();
        String facts = model.nominalVolts() + " V  " + model.capacity().ampHours() + " Ah"
                + (weight == 0 ? "" : "  " + words.weight(weight));
        return new Label(
                battery.code(),
                battery.serial(),
                facts,
                words.text("label.read"),
                address("/batteries/{code}", battery.code()));
    }

    private static String address(String path, String code) {
        return ServletUriComponentsBuilder.fromCurrentContextPath()
                .path(path)
                .buildAndExpand(code)
                .toUriString();
    }
}
