package org.ostendum.app.support;

import com.deque.html.axecore.selenium.AxeBuilder;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.Objects;

/** What axe finds wrong with the page that a browser is at; its script is put into every page that the browser opens from now on. */
public final class Looks {
    private static final String SCRIPTS = read(AxeBuilder.class, "/axe.min.js") + ";" + read(Looks.class, "/looks.js");

    private final Browser browser;

    public Looks(Browser browser) {
        this.browser = browser;
        browser.driver().manage().timeouts().scriptTimeout(Patience.of(Duration.ofSeconds(60)));
        browser.intoEveryPage(SCRIPTS);
    }

    private static String read(Class<?> beside, String resource) {
        try (InputStream in = Objects.requireNonNull(beside.getResourceAsStream(resource), resource)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** @return each rule but contrast that something breaks, with what breaks it */
    public List<String> wrong() {
        return ask("accessible()");
    }

    /** @return words too close in colour to their ground, after the theme; of those drawn alike one was looked at, on one page of all */
    public List<String> illegible() {
        return ask("legible()");
    }

    private List<String> ask(String what) {
        List<?> told = (List<?>)
                Objects.requireNonNull(browser.driver().executeAsyncScript("looks." + what + ".then(arguments[0])"));
        return told.stream().map(String::valueOf).toList();
    }
}
