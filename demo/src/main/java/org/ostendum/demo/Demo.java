package org.ostendum.demo;

import java.util.Map;
import org.ostendum.app.Ostendum;
import org.springframework.boot.SpringApplication;

/** The application with the demo's site in it. */
public final class Demo {
    private Demo() {}

    public static void main(String[] arguments) {
        SpringApplication application = new SpringApplication(Ostendum.class, DemoConfiguration.class);
        application.setDefaultProperties(Map.of("ostendum.demo", true));
        application.run(arguments);
    }
}
