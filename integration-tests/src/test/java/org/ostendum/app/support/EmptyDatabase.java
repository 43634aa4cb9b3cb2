package org.ostendum.app.support;

import org.springframework.boot.test.util.TestPropertyValues;
import org.springframework.context.ApplicationContextInitializer;
import org.springframework.context.ConfigurableApplicationContext;

/** A database of a context's own. */
final class EmptyDatabase implements ApplicationContextInitializer<ConfigurableApplicationContext> {
    @Override
    public void initialize(ConfigurableApplicationContext context) {
        TestPropertyValues.of("spring.datasource.url=" + new MariaDbServer(false).url())
                .applyTo(context);
    }
}
