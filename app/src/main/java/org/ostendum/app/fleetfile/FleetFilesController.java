package org.ostendum.app.fleetfile;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.ostendum.app.csv.TableText;
import org.ostendum.app.exchange.ImportFiles;
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

/** The fleet in files for people: a file, an archive of all or a table pasted from a sheet, looked at line by line before it is taken. */
@Controller
class FleetFilesController {
    private static final int LONGEST_NAME = 120;

    private final FleetFiles files;
    private final ImportFiles waitingFiles;

    FleetFilesController(FleetFiles files, ImportFiles waitingFiles) {
        this.files = files;
        this.waitingFiles = waitingFiles;
    }

    /** A file on the page. */
    record FileLine(String word, String name, int lines, List<String> columns, List<String> required) {}

    @GetMapping("/setup/fleet")
    String page(Model page) {
        page.addAttribute("place", "setup");
        page.addAttribute(
                "files",
                Arrays.stream(FleetFile.values())
                        .map(f -> new FileLine(
                                f.word(),
                                f.fileName(),
                                files.table(f).lines().size(),
                                files.table(f).columns(),
                                files.table(f).required()))
                        .toList());
        return "setup/fleet";
    }

    @PostMapping("/setup/fleet")
    String look(
            @RequestParam MultipartFile file,
            @RequestParam(defaultValue = "") String table,
            Person person,
            Words words,
            RedirectAttributes flash)
            throws IOException {
        byte[] content = file.isEmpty() ? table.getBytes(StandardCharsets.UTF_8) : file.getBytes();
        String name = file.isEmpty() || file.getOriginalFilename() == null
                ? words.text("fleetfile.pasted")
                : file.getOriginalFilename();
        Understood understood = understood(content);
        if (!understood.fault().isEmpty()) {
            flash.addFlashAttribute("fault", words.text(understood.fault(), TableText.firstColumn(content)));
            flash.addFlashAttribute("pasted", table);
            return "redirect:/setup/fleet";
        }
        String kept = name.length() > LONGEST_NAME ? name.substring(name.length() - LONGEST_NAME) : name;
        return "redirect:/setup/fleet/" + waitingFiles.keep(Kind.FLEET, kept, content, person.id());
    }

    /**
     * What a file is: an archive of all, or one by the first column of its header.
     *
     * @param fault key of the sentence that refuses it; empty for none
     */
    private record Understood(Map<FleetFile, byte[]> files, List<String> ignored, String fault) {}

    private Understood understood(byte[] content) {
        if (FleetZip.isZip(content)) {
            FleetZip.Unpacked zip = FleetZip.read(content);
            return new Understood(zip.files(), zip.ignored(), zip.fault());
        }
        byte[] csv = TableText.csv(content);
        String first = TableText.firstColumn(csv);
        return Arrays.stream(FleetFile.values())
                .filter(f -> files.table(f).columns().get(0).equals(first))
                .findFirst()
                .map(f -> new Understood(Map.of(f, csv), List.of(), ""))
                .orElse(new Understood(Map.of(), List.of(), first.isEmpty() ? "fleetfile.empty" : "fleetfile.unknown"));
    }

    @GetMapping("/setup/fleet/{waiting}")
    String looked(Waiting waiting, Person person, Model page) {
        Understood understood = understood(ofFleet(waiting).content());
        page.addAttribute("place", "setup");
        page.addAttribute("waiting", waiting);
        page.addAttribute("ignored", understood.ignored());
        page.addAttribute("report", files.look(understood.files(), person));
        return "setup/fleet";
    }

    @PostMapping("/setup/fleet/{waiting}")
    String take(Waiting waiting, Person person, Words words, RedirectAttributes flash) {
        FleetReport report = files.take(understood(ofFleet(waiting).content()).files(), person);
        if (!report.taken()) {
            return "redirect:/setup/fleet/" + waiting.id();
        }
        waitingFiles.forget(waiting.id());
        flash.addFlashAttribute("told", words.text("fleetfile.taken", report.added(), report.changed()));
        return "redirect:/setup/fleet";
    }

    private static Waiting ofFleet(Waiting waiting) {
        if (waiting.kind() != Kind.FLEET) {
            throw new NotFound("fleet file " + waiting.id());
        }
        return waiting;
    }
}
