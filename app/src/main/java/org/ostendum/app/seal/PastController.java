package org.ostendum.app.seal;

import java.nio.charset.StandardCharsets;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** The past of the whole site: whether it is as it was written, and all of it as a file that proves itself. */
@Controller
class PastController {
    private final WholePast past;
    private final PastExport export;

    PastController(WholePast past, PastExport export) {
        this.past = past;
        this.export = export;
    }

    @GetMapping("/past")
    String past(Model page) {
        page.addAttribute("place", "ledger");
        page.addAttribute("report", past.newest());
        page.addAttribute("running", past.isRunning());
        return "ledger/past";
    }

    @PostMapping("/past")
    String look() {
        past.begin();
        return "redirect:/past";
    }

    @GetMapping("/past/export")
    ResponseEntity<StreamingResponseBody> file() {
        return ResponseEntity.ok()
                .contentType(new MediaType("application", "x-ndjson", StandardCharsets.UTF_8))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"ostendum-past.ndjson\"")
                .body(export::writeTo);
    }
}
