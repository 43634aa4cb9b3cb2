package org.ostendum.app.sums;

import java.util.LinkedHashMap;
import java.util.Map;
import org.ostendum.app.api.ApiProblem;
import org.ostendum.core.quantity.OutOfRange;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** The calculators for programs: one object of numbers in, one out, each with its unit in its name. */
@RestController
class SumsApi {
    private final SumCatalogue book;

    SumsApi(SumCatalogue book) {
        this.book = book;
    }

    @PostMapping(path = "/api/v1/sums/{name}", consumes = "application/json")
    Map<String, Object> work(@PathVariable String name, @RequestBody JsonNode body) {
        Sum sum = book.find(name).orElseThrow(() -> new ApiProblem(HttpStatus.NOT_FOUND, "name", unknown(name)));
        Map<String, Double> values = new LinkedHashMap<>();
        for (Sum.Input input : sum.inputs()) {
            values.put(input.name(), value(body.path(input.name()), input));
        }
        try {
            Map<String, Object> results = new LinkedHashMap<>();
            sum.work(values).forEach(r -> results.put(r.name(), r.value()));
            return results;
        } catch (OutOfRange e) {
            throw new ApiProblem(HttpStatus.UNPROCESSABLE_CONTENT, e.quantity(), e.getMessage() + ".");
        }
    }

    private String unknown(String name) {
        return "There is no sum " + name + ". There are "
                + String.join(", ", book.all().stream().map(Sum::name).toList()) + ".";
    }

    private static double value(JsonNode value, Sum.Input input) {
        if (value.isMissingNode()) {
            return input.usual();
        }
        if (!value.isNumber() || value.asDouble() < input.least() || value.asDouble() > input.most()) {
            throw new ApiProblem(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    input.name(),
                    input.name() + " is " + value + ", allowed is a number from " + input.least() + " to "
                            + input.most() + ".");
        }
        return value.asDouble();
    }
}
