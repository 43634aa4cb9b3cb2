package org.ostendum.app.words;

import java.nio.charset.StandardCharsets;
import org.springframework.context.HierarchicalMessageSource;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.support.ResourceBundleMessageSource;

/** Where texts come from: the bundles of the screens, and behind them what the procedures say. */
@Configuration(proxyBeanMethods = false)
class Languages {
    @Bean
    static HierarchicalMessageSource messageSource() {
        ResourceBundleMessageSource bundles = new ResourceBundleMessageSource();
        bundles.setBasename("messages");
        bundles.setDefaultEncoding(StandardCharsets.UTF_8.name());
        bundles.setFallbackToSystemLocale(false);
        bundles.setParentMessageSource(new Phrases());
        return bundles;
    }
}
