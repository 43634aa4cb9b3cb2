package org.ostendum.demo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.concurrent.atomic.AtomicReference;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.context.event.ApplicationEnvironmentPreparedEvent;
import org.springframework.context.ApplicationListener;

class DemoTest {
    /** Ends a start as soon as its settings are read. */
    private static final class SettingsRead extends RuntimeException {
        private static final long serialVersionUID = 1;
    }

    /** The application's own file says that it is none: were that to win, an empty site's first lead would come before the demo. */
    @Test
    void theDemoIsStartedAsTheDemoWhateverTheApplicationsFileSays() {
        AtomicReference<@Nullable String> demo = new AtomicReference<>();
        SpringApplication application = Demo.application();
        ApplicationListener<ApplicationEnvironmentPreparedEvent> listener = event -> {
            demo.set(event.getEnvironment().getProperty("ostendum.demo"));
            throw new SettingsRead();
        };
        application.addListeners(listener);
        assertThatThrownBy(() -> application.run(Demo.arguments("--server.port=0")))
                .isInstanceOf(SettingsRead.class);
        assertThat(demo.get()).isEqualTo("true");
    }
}
