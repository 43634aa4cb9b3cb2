package org.ostendum.app.sums;

import io.swagger.v3.oas.models.Operation;
import io.swagger.v3.oas.models.PathItem;
import io.swagger.v3.oas.models.media.Content;
import io.swagger.v3.oas.models.media.MediaType;
import io.swagger.v3.oas.models.media.NumberSchema;
import io.swagger.v3.oas.models.media.ObjectSchema;
import io.swagger.v3.oas.models.parameters.RequestBody;
import io.swagger.v3.oas.models.responses.ApiResponse;
import io.swagger.v3.oas.models.responses.ApiResponses;
import java.math.BigDecimal;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.MessageSource;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Tells each calculator in the OpenAPI document: its values with unit and range, and an example that was worked. */
@Configuration(proxyBeanMethods = false)
class SumsInOpenApi {
    private static final String PATH = "/api/v1/sums/";

    @Bean
    OpenApiCustomizer calculators(SumCatalogue book, MessageSource messages) {
        return document -> {
            document.getPaths().remove(PATH + "{name}");
            book.all().forEach(sum -> document.getPaths().addPathItem(PATH + sum.name(), path(sum, messages)));
        };
    }

    private static PathItem path(Sum sum, MessageSource messages) {
        return new PathItem()
                .post(new Operation()
                        .addTagsItem("sums")
                        .operationId("sum-" + sum.name())
                        .summary(messages.getMessage("sum." + sum.name(), null, Locale.ENGLISH))
                        .description(sum.source())
                        .requestBody(new RequestBody().content(given(sum)))
                        .responses(new ApiResponses()
                                .addApiResponse(
                                        "200",
                                        new ApiResponse().description("worked").content(worked(sum)))
                                .addApiResponse(
                                        "422",
                                        new ApiResponse().description("A value outside its range, named by field."))));
    }

    private static Content given(Sum sum) {
        ObjectSchema schema = new ObjectSchema();
        Map<String, Double> example = new LinkedHashMap<>();
        for (Sum.Input input : sum.inputs()) {
            schema.addProperty(
                    input.name(),
                    new NumberSchema()
                            .minimum(BigDecimal.valueOf(input.least()))
                            .maximum(BigDecimal.valueOf(input.most()))
                            .description(input.unit()));
            example.put(input.name(), input.usual());
        }
        return json(schema, example);
    }

    private static Content worked(Sum sum) {
        ObjectSchema schema = new ObjectSchema();
        Map<String, Double> usual = new LinkedHashMap<>();
        sum.inputs().forEach(i -> usual.put(i.name(), i.usual()));
        Map<String, Double> example = new LinkedHashMap<>();
        for (Sum.Output output : sum.work(usual)) {
            schema.addProperty(output.name(), new NumberSchema().description(output.unit()));
            example.put(output.name(), output.value());
        }
        return json(schema, example);
    }

    private static Content json(ObjectSchema schema, Map<String, Double> example) {
        return new Content()
                .addMediaType("application/json", new MediaType().schema(schema).example(example));
    }
}
