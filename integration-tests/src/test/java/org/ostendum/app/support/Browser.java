package org.ostendum.app.support;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.openqa.selenium.By;
import org.openqa.selenium.JavascriptExecutor;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebDriverException;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.support.ui.WebDriverWait;

/** A browser at the application, as a person sits at it. */
public final class Browser implements AutoCloseable {
    /** Looked for within the page: to ask the driver for the words of each button takes seconds on a long page. */
    private static final String CALLED =
            """
            const said = arguments[0].toLowerCase();
            const words = (e) => (e.innerText ?? e.textContent).trim().toLowerCase();
            const shown = [...document.querySelectorAll('#content :is(button, a, summary)')].filter((e) => e.checkVisibility());
            return shown.find((e) => words(e) === said) ?? shown.find((e) => words(e).startsWith(said));
            """;

    /** A step of a job takes no press in its first moment. */
    private static final String NOT_READY = ".now-step:not([data-ready])";

    private final ChromeDriver driver;
    private final String home;
    private boolean hasOwnScript;

    public Browser(int port, int width, int height) {
        this.home = "http://127.0.0.1:" + port;
        this.driver = Chromium.take();
        size(width, height, false);
    }

    public void size(int width, int height, boolean mobile) {
        driver.executeCdpCommand(
                "Emulation.setDeviceMetricsOverride",
                Map.of("width", width, "height", height, "deviceScaleFactor", 1, "mobile", mobile));
    }

    /** @return how wide the page is that is shown, more than the screen where it would scroll sideways */
    public int pageWidth() {
        return ((Number) js("return document.documentElement.scrollWidth")).intValue();
    }

    public ChromeDriver driver() {
        return driver;
    }

    public String home() {
        return home;
    }

    public void go(String path) {
        driver.get(home + path);
    }

    public void signIn(String login) {
        go("/sign-in");
        find("#login").sendKeys(login);
        find("#password").sendKeys("lanternmoor" + Keys.ENTER);
        await(".slate");
    }

    public WebElement find(String css) {
        return driver.findElement(By.cssSelector(css));
    }

    /** Looks often: what usually takes a tenth of a second is not to take half of one. */
    public WebDriverWait wait(Duration patience) {
        WebDriverWait wait = new WebDriverWait(driver, Patience.of(patience));
        wait.pollingEvery(Duration.ofMillis(80));
        return wait;
    }

    public WebElement await(String css) {
        return await(css, Duration.ofSeconds(15));
    }

    public WebElement await(String css, Duration patience) {
        return wait(patience)
                .withMessage(() -> "No " + css + " on " + driver.getCurrentUrl() + "\n" + text("body"))
                .until(d -> d.findElements(By.cssSelector(css)).stream()
                        .findFirst()
                        .filter(found -> isReady())
                        .orElse(null));
    }

    private boolean isReady() {
        return driver.findElements(By.cssSelector(NOT_READY)).isEmpty();
    }

    /** Presses what is called so, or begins so, as soon as the page shows it; what answers a step of a job goes on to the next. */
    public void press(String text) {
        Pressed pressed = wait(Duration.ofSeconds(40))
                // While a page gives way to the next one, the driver fails in more ways than one.
                .ignoring(WebDriverException.class)
                .withMessage(() -> "No “" + text + "” on\n" + text("#content"))
                .until(d -> pressed(text));
        if (pressed.answers()) {
            wait(Duration.ofSeconds(15)).until(d -> isGone(pressed.button()));
        }
    }

    /** While its page is given up, the driver says so in more ways than one. */
    private static boolean isGone(WebElement button) {
        try {
            button.isEnabled();
            return false;
        } catch (WebDriverException gone) {
            return true;
        }
    }

    private @Nullable Pressed pressed(String text) {
        if (js(CALLED, text) instanceof WebElement button && isReady()) {
            boolean answers = Boolean.TRUE.equals(js("return Boolean(arguments[0].closest('.now-step form'))", button));
            button.click();
            return new Pressed(button, answers);
        }
        return null;
    }

    /** @param answers a step of a job, which gives way to the next one */
    private record Pressed(WebElement button, boolean answers) {}

    public void awaitText(String css, String text) {
        wait(Duration.ofSeconds(15))
                .withMessage(
                        () -> css + " says " + text(css) + ", not " + text + ", on " + driver.getCurrentUrl() + "\n"
                                + text("#content").replaceAll("\\s+", " ")
                                + "\n" + entered())
                .until(d -> text(css).contains(text));
    }

    private Object entered() {
        return js(
                "return [...document.querySelectorAll('#content input')].map((i) => i.name + '=' + i.value).join(', ')");
    }

    public String text(String css) {
        Object text = js("return document.querySelector(arguments[0])?.textContent ?? ''", css);
        return String.valueOf(text);
    }

    /** Keys on the page itself, not into a field. */
    public void keys(CharSequence... keys) {
        new Actions(driver).sendKeys(keys).perform();
    }

    public Object js(String script, Object... arguments) {
        return ((JavascriptExecutor) driver).executeScript(script, arguments);
    }

    /** Runs a script at the beginning of every page that is opened from now on. */
    public void intoEveryPage(String script) {
        driver.executeCdpCommand("Page.addScriptToEvaluateOnNewDocument", Map.of("source", script));
        hasOwnScript = true;
    }

    /** Takes the network away or gives it back, as the browser sees it. */
    public void offline(boolean offline) {
        network(offline, 0);
    }

    /** @param milliseconds that each answer takes at least */
    public void latency(int milliseconds) {
        network(false, milliseconds);
    }

    private void network(boolean offline, int latency) {
        driver.executeCdpCommand("Network.enable", Map.of());
        driver.executeCdpCommand(
                "Network.emulateNetworkConditions",
                Map.of("offline", offline, "latency", latency, "downloadThroughput", -1, "uploadThroughput", -1));
    }

    /** Lets nothing through to such addresses; none for all are open again. */
    public void block(String... addresses) {
        driver.executeCdpCommand("Network.enable", Map.of());
        driver.executeCdpCommand("Network.setBlockedURLs", Map.of("urls", List.of(addresses)));
    }

    /** Addresses of all that the page has asked for, itself first. */
    public List<String> requested() {
        List<?> told = (List<?>) Objects.requireNonNull(
                js("return [location.href, ...performance.getEntriesByType('resource').map((e) => e.name)]"));
        return told.stream().map(String::valueOf).toList();
    }

    @Override
    public void close() {
        if (hasOwnScript) {
            driver.quit();
        } else {
            network(false, 0);
            Chromium.giveBack(driver, home);
        }
    }
}
