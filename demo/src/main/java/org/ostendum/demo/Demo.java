package org.ostendum.demo;

import java.util.stream.Stream;
import org.ostendum.app.Ostendum;
import org.springframework.boot.SpringApplication;

/** The application with the demo's site in it. */
public final class Demo {
    private Demo() {}

    public static void main(String[] arguments) {
        application().run(arguments(arguments));
    }

    static SpringApplication application() {
        SpringApplication application = new SpringApplication(Ostendum.class);
        application.addInitializers(new DemoBeans());
        // By its name what was worked out ahead is found.
        application.setMainApplicationClass(Ostendum.class);
        return application;
    }

    /** A default would give way to the application's own file. */
    static String[] arguments(String... given) {
        return Stream.concat(Stream.of("--ostendum.demo=true"), Stream.of(given))
                .toArray(String[]::new);
    }
}
