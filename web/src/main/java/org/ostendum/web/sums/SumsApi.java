package org.ostendum.web.sums;

import java.util.LinkedHashMap;
import java.util.Map;
import org.ostendum.core.quantity.OutOfRange;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** The calculators for programs: one object of numbers in, one out, each with its unit in its name. */
@RestController
class SumsApi {
    private final SumBook book;

    SumsApi(SumBook book) {
        this.book = book;
    }

    @PostMapping(path = "/api/v1/sums/{name}", consumes = "application/json")
    ResponseEntity<Object> work(@PathVariable String name, @RequestBody JsonNode body) {
        Sum sum = book.find(name).orElse(null);
        if (sum == null) {
            return problem(
                    HttpStatus.NOT_FOUND,
                    "name",
                    "There is no sum " + name + ". There are "
                            + String.join(
                                    ", ", book.all().stream().map(Sum::name).toList()) + ".");
        }
        Map<String, Double> values = new LinkedHashMap<>();
        for (Sum.Input input : sum.inputs()) {
            JsonNode value = body.path(input.name());
            boolean isGiven = !value.isMissingNode();
            if (isGiven && !(value.isNumber() && inRange(value.asDouble(), input))) {
                return problem(
                        HttpStatus.UNPROCESSABLE_CONTENT,
                        input.name(),
                        input.name() + " is " + value + ", allowed is a number from " + input.least() + " to "
                                + input.most() + ".");
            }
            values.put(input.name(), isGiven ? value.asDouble() : input.usual());
        }
        try {
            Map<String, Object> results = new LinkedHashMap<>();
            sum.work(values).forEach(r -> results.put(r.name(), r.value()));
            return ResponseEntity.ok(results);
        } catch (OutOfRange e) {
            return problem(HttpStatus.UNPROCESSABLE_CONTENT, e.quantity(), e.getMessage() + ".");
        }
    }

    private static boolean inRange(double value, Sum.Input input) {
        return value >= input.least() && value <= input.most();
    }

    private static ResponseEntity<Object> problem(HttpStatus status, String field, String detail) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
        problem.setProperty("field", field);
        return ResponseEntity.status(status)
                .header("Content-Type", "application/problem+json")
                .body(problem);
    }
}
