package org.ostendum.app.fleetfile;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Map;
import java.util.stream.Collectors;
import org.ostendum.app.api.ApiProblem;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The fleet in files for programs, in and out. */
@RestController
class FleetApi {
    private final FleetFiles files;

    FleetApi(FleetFiles files) {
        this.files = files;
    }

    /** 200 when it was taken in, or could be; 422 with every fault by its line and column when nothing was. */
    @PostMapping(path = "/api/v1/fleet/{file}.csv", consumes = "text/csv", produces = "application/json")
    ResponseEntity<Map<String, Object>> take(
            @PathVariable String file,
            @RequestParam(defaultValue = "false") boolean preview,
            @RequestBody byte[] content,
            Person person) {
        FleetReport report = run(Map.of(named(file), content), preview, person);
        FleetReport.FileReport of = report.files().get(0);
        return answer(
                report,
                Map.of(
                        "file", of.file(),
                        "taken", report.taken(),
                        "lines", of.lines(),
                        "added", of.added(),
                        "changed", of.changed(),
                        "same", of.same(),
                        "faults", of.faults(),
                        "problems", of.problems(),
                        "unknownColumns", of.unknownColumns(),
                        "awaited", of.awaited()));
    }

    /** All files in one archive, whole or not at all. */
    @PostMapping(path = "/api/v1/fleet.zip", consumes = "application/zip", produces = "application/json")
    ResponseEntity<Map<String, Object>> takeAll(
            @RequestParam(defaultValue = "false") boolean preview,
            @RequestBody byte[] content,
            Person person,
            Words words) {
        FleetZip.Unpacked zip = FleetZip.read(content);
        if (!zip.fault().isEmpty()) {
            throw new ApiProblem(HttpStatus.UNPROCESSABLE_CONTENT, "file", words.text(zip.fault()));
        }
        FleetReport report = run(zip.files(), preview, person);
        return answer(report, Map.of("taken", report.taken(), "files", report.files(), "ignored", zip.ignored()));
    }

    private FleetReport run(Map<FleetFile, byte[]> content, boolean preview, Person person) {
        return preview ? files.look(content, person) : files.take(content, person);
    }

    private static ResponseEntity<Map<String, Object>> answer(FleetReport report, Map<String, Object> body) {
        return ResponseEntity.status(report.isSound() ? HttpStatus.OK : HttpStatus.UNPROCESSABLE_CONTENT)
                .body(body);
    }

    @GetMapping("/api/v1/fleet/{file}.csv")
    void give(@PathVariable String file, HttpServletResponse response) throws IOException {
        FleetFile named = named(file);
        csv(named, response);
        files.give(named, response.getWriter());
    }

    @GetMapping("/api/v1/fleet/templates/{file}.csv")
    void template(@PathVariable String file, HttpServletResponse response) throws IOException {
        FleetFile named = named(file);
        csv(named, response);
        files.template(named, response.getWriter());
    }

    @GetMapping("/api/v1/fleet.zip")
    void giveAll(HttpServletResponse response) throws IOException {
        response.setContentType("application/zip");
        response.setHeader("Content-Disposition", "attachment; filename=\"fleet.zip\"");
        FleetZip.write(response.getOutputStream(), files::give);
    }

    private static void csv(FleetFile file, HttpServletResponse response) {
        response.setContentType("text/csv");
        response.setCharacterEncoding(StandardCharsets.UTF_8);
        response.setHeader("Content-Disposition", "attachment; filename=\"" + file.fileName() + "\"");
    }

    private static FleetFile named(String file) {
        return FleetFile.named(file)
                .orElseThrow(() -> new ApiProblem(
                        HttpStatus.NOT_FOUND,
                        "file",
                        "There is no file " + file + ".csv of a fleet; there are "
                                + Arrays.stream(FleetFile.values())
                                        .map(FleetFile::fileName)
                                        .collect(Collectors.joining(", "))
                                + "."));
    }
}
