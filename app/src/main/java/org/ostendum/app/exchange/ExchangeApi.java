package org.ostendum.app.exchange;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.ostendum.app.api.ApiProblem;
import org.ostendum.app.exchange.ImportFiles.Kind;
import org.ostendum.core.people.Person;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Files of rounds and happenings for programs, in and out. */
@RestController
class ExchangeApi {
    private final ImportService imports;
    private final ExportService exports;

    ExchangeApi(ImportService imports, ExportService exports) {
        this.imports = imports;
        this.exports = exports;
    }

    /** 200 when it was taken in, or could be; 422 with every problem by its line when nothing was. */
    @PostMapping(path = "/api/v1/{file}.csv", consumes = "text/csv", produces = "application/json")
    ResponseEntity<ImportReport> take(
            @PathVariable String file,
            @RequestParam(defaultValue = "false") boolean preview,
            @RequestBody byte[] content,
            Person person) {
        Kind kind = kind(file);
        ImportReport report = preview ? imports.look(kind, content) : imports.take(kind, content, person.id());
        return ResponseEntity.status(report.isSound() ? HttpStatus.OK : HttpStatus.UNPROCESSABLE_CONTENT)
                .body(report);
    }

    @GetMapping(path = {"/api/v1/{file}.csv", "/exchange/{file}.csv"})
    void give(@PathVariable String file, @RequestParam(defaultValue = "") String battery, HttpServletResponse response)
            throws IOException {
        Kind kind = kind(file);
        response.setContentType("text/csv");
        response.setCharacterEncoding(StandardCharsets.UTF_8);
        response.setHeader("Content-Disposition", "attachment; filename=\"" + file + ".csv\"");
        if (kind == Kind.ROUNDS) {
            exports.rounds(battery, response.getWriter());
        } else {
            exports.events(battery, response.getWriter());
        }
    }

    private static Kind kind(String file) {
        return switch (file) {
            case "rounds" -> Kind.ROUNDS;
            case "events" -> Kind.EVENTS;
            default ->
                throw new ApiProblem(
                        HttpStatus.NOT_FOUND,
                        "file",
                        "There is no file " + file + ".csv; there are rounds and events.");
        };
    }
}
