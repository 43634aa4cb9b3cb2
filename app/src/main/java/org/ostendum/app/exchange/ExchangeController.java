package org.ostendum.app.exchange;

import java.io.IOException;
import java.util.List;
import org.ostendum.app.exchange.ImportFiles.Kind;
import org.ostendum.app.exchange.ImportFiles.Waiting;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Files in and out for people: looked at line by line first, then taken in whole. */
@Controller
class ExchangeController {
    private static final int LONGEST_NAME = 120;

    private final ImportService service;
    private final ImportFiles files;

    ExchangeController(ImportService service, ImportFiles files) {
        this.service = service;
        this.files = files;
    }

    /** A file's name and columns. */
    record Form(Kind kind, String file, List<String> columns) {}

    private static final List<Form> FORMS = List.of(
            new Form(Kind.ROUNDS, "rounds.csv", RoundsCsv.COLUMNS),
            new Form(Kind.EVENTS, "events.csv", EventsCsv.COLUMNS));

    @GetMapping("/exchange")
    String page(Model page) {
        page.addAttribute("forms", FORMS);
        page.addAttribute("place", "ledger");
        return "exchange/exchange";
    }

    @PostMapping("/exchange")
    String look(@RequestParam Kind kind, @RequestParam MultipartFile file, Person person) throws IOException {
        checkKind(kind);
        String name = file.getOriginalFilename() == null ? "" : file.getOriginalFilename();
        String kept = name.length() > LONGEST_NAME ? name.substring(name.length() - LONGEST_NAME) : name;
        return "redirect:/exchange/" + files.keep(kind, kept, file.getBytes(), person.id());
    }

    /** Files of a fleet are taken under Setup. */
    private static void checkKind(Kind kind) {
        if (kind == Kind.FLEET) {
            throw new NotFound("file of rounds or events");
        }
    }

    @GetMapping("/exchange/{waiting}")
    String looked(Waiting waiting, Model page) {
        checkKind(waiting.kind());
        page.addAttribute("place", "ledger");
        page.addAttribute("waiting", waiting);
        page.addAttribute("report", service.look(waiting.kind(), waiting.content()));
        return "exchange/exchange";
    }

    @PostMapping("/exchange/{waiting}")
    String take(Waiting waiting, Person person, Words words, RedirectAttributes flash) {
        checkKind(waiting.kind());
        ImportReport report = service.take(waiting.kind(), waiting.content(), person.id());
        if (!report.taken()) {
            return "redirect:/exchange/" + waiting.id();
        }
        files.forget(waiting.id());
        flash.addFlashAttribute(
                "told", words.text("exchange.taken." + waiting.kind(), report.lines(), report.batteries()));
        return "redirect:/exchange";
    }
}
