package org.ostendum.app.page;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.MethodParameter;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Hands each controller the battery, charger, job or other thing that its address names. */
@Configuration
class NamedInAddress implements WebMvcConfigurer, HandlerMethodArgumentResolver {
    private final ObjectProvider<Named<?>> named;

    NamedInAddress(ObjectProvider<Named<?>> named) {
        this.named = named;
    }

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(this);
    }

    @Override
    public boolean supportsParameter(MethodParameter parameter) {
        return named.stream().anyMatch(n -> n.kind() == parameter.getParameterType());
    }

    @Override
    public Object resolveArgument(
            MethodParameter parameter,
            @Nullable ModelAndViewContainer container,
            NativeWebRequest request,
            @Nullable WebDataBinderFactory factory) {
        String name = String.valueOf(parameter.getParameterName());
        String text = String.valueOf(parts(request).get(name));
        return named.stream()
                .filter(n -> n.kind() == parameter.getParameterType())
                .findFirst()
                .flatMap(n -> n.find().apply(text).map(Object.class::cast))
                .orElseThrow(() -> new NotFound(name + " " + text));
    }

    private static Map<?, ?> parts(NativeWebRequest request) {
        Object parts =
                request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE, RequestAttributes.SCOPE_REQUEST);
        return parts instanceof Map<?, ?> map ? map : Map.of();
    }
}
