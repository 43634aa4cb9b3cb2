package org.ostendum.app.security;

import static org.springframework.security.config.Customizer.withDefaults;

import java.util.Map;
import org.springframework.context.ApplicationContext;
import org.springframework.security.config.ObjectPostProcessor;
import org.springframework.security.config.annotation.authentication.builders.AuthenticationManagerBuilder;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.DefaultLoginPageConfigurer;
import org.springframework.security.web.context.request.async.WebAsyncManagerIntegrationFilter;
import org.springframework.security.web.servlet.util.matcher.PathPatternRequestMatcher;
import org.springframework.stereotype.Component;
import org.springframework.web.accept.ContentNegotiationStrategy;
import org.springframework.web.accept.HeaderContentNegotiationStrategy;

/**
 * What a chain of the security begins with. The framework’s own beginning, which a chain would be handed as a bean, is the same; but it
 * asks all beans for customizers of some thirty kinds, of which there are none, and that took a tenth of each start.
 */
@Component
class ChainDefaults {
    private final ApplicationContext context;
    private final ObjectPostProcessor<Object> processor;

    ChainDefaults(ApplicationContext context, ObjectPostProcessor<Object> processor) {
        this.context = context;
        this.processor = processor;
    }

    /** @return a chain of its own with the framework’s usual filters in it, to be gone on with */
    HttpSecurity chain() {
        HttpSecurity chain = new HttpSecurity(processor, new AuthenticationManagerBuilder(processor), shared());
        return chain.csrf(withDefaults())
                .addFilter(new WebAsyncManagerIntegrationFilter())
                .exceptionHandling(withDefaults())
                .headers(withDefaults())
                .sessionManagement(withDefaults())
                .securityContext(withDefaults())
                .requestCache(withDefaults())
                .anonymous(withDefaults())
                .servletApi(withDefaults())
                .with(new DefaultLoginPageConfigurer<>(), withDefaults())
                .logout(withDefaults());
    }

    private Map<Class<?>, Object> shared() {
        return Map.of(
                ApplicationContext.class,
                context,
                ContentNegotiationStrategy.class,
                new HeaderContentNegotiationStrategy(),
                PathPatternRequestMatcher.Builder.class,
                PathPatternRequestMatcher.withDefaults());
    }
}
