package org.ostendum.app.api;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.Operation;
import io.swagger.v3.oas.models.PathItem;
import io.swagger.v3.oas.models.media.Content;
import io.swagger.v3.oas.models.media.MediaType;
import io.swagger.v3.oas.models.media.ObjectSchema;
import io.swagger.v3.oas.models.parameters.RequestBody;
import io.swagger.v3.oas.models.responses.ApiResponse;
import io.swagger.v3.oas.models.responses.ApiResponses;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.io.ClassPathResource;
import tools.jackson.databind.json.JsonMapper;

/** Tells the calls about one battery, and that of the judge, in the OpenAPI document with an example of each. */
@Configuration(proxyBeanMethods = false)
class CallsInOpenApi {
    private static final String JSON = "application/json";

    @Bean
    OpenApiCustomizer calls() {
        return document -> {
            Operation state = path(document, "/api/v1/batteries/{code}").getGet();
            state.summary("One battery's state: every fact with its evidence and age, gates, findings, what comes next")
                    .responses(answers("Unknown facts are unknown or null, never a guess.", example("battery")));
            Operation events = path(document, "/api/v1/batteries/{code}/events").getPost();
            events.summary("What happened to a battery: all of it or nothing, the same key once")
                    .requestBody(body(example("events")))
                    .responses(answers("Kept, or kept before.", null));
            path(document, "/api/v1/plan")
                    .getPost()
                    .summary(
                            "Plans a room that is sent: schemas at /api/v1/schemas/plan-problem and /plan; nothing is kept")
                    .requestBody(body(example("plan")));
            Operation judge = path(document, "/api/v1/judge").getPost();
            judge.summary("Judges readings that are sent; nothing is kept").requestBody(body(example("judge")));
        };
    }

    private static PathItem path(OpenAPI document, String call) {
        return Objects.requireNonNull(document.getPaths().get(call), call);
    }

    private static RequestBody body(Object example) {
        return new RequestBody().required(true).content(content(example));
    }

    private static ApiResponses answers(String done, @Nullable Object example) {
        ApiResponse answer = new ApiResponse().description(done);
        return new ApiResponses()
                .addApiResponse("200", example == null ? answer : answer.content(content(example)))
                .addApiResponse("401", new ApiResponse().description("Neither a token nor name and password"))
                .addApiResponse("404", new ApiResponse().description("No such battery"))
                .addApiResponse(
                        "422", new ApiResponse().description("What cannot be, with field and detail (RFC 9457)"));
    }

    private static Content content(Object example) {
        return new Content()
                .addMediaType(JSON, new MediaType().schema(new ObjectSchema()).example(example));
    }

    private static Object example(String name) {
        try {
            return JsonMapper.shared()
                    .readValue(
                            new ClassPathResource("openapi/" + name + ".json")
                                    .getContentAsString(StandardCharsets.UTF_8),
                            Object.class);
        } catch (IOException e) {
            throw new UncheckedIOException("The example of " + name, e);
        }
    }
}
