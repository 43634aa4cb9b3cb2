package org.ostendum.app.support;

import java.nio.file.Path;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentLinkedDeque;
import org.openqa.selenium.WebDriverException;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;

/**
 * Debian's headless Chromium. To start one takes as much as a short test: one that is not wanted any more forgets whose it was and waits for
 * the next test of the fork.
 */
final class Chromium {
    private static final Deque<ChromeDriver> IDLE = new ConcurrentLinkedDeque<>();

    static {
        Runtime.getRuntime().addShutdownHook(new Thread(() -> IDLE.forEach(ChromeDriver::quit)));
    }

    private Chromium() {}

    static ChromeDriver take() {
        ChromeDriver idle = IDLE.poll();
        return idle == null ? new ChromeDriver(service(), options()) : idle;
    }

    /** @param home whose pages it has shown */
    static void giveBack(ChromeDriver driver, String home) {
        try {
            driver.get("about:blank");
            driver.executeCdpCommand("Network.enable", Map.of());
            driver.executeCdpCommand("Network.setBlockedURLs", Map.of("urls", List.of()));
            driver.executeCdpCommand("Network.clearBrowserCookies", Map.of());
            driver.executeCdpCommand("Storage.clearDataForOrigin", Map.of("origin", home, "storageTypes", "all"));
            if (driver.getWindowHandles().size() == 1) {
                IDLE.push(driver);
            } else {
                driver.quit();
            }
        } catch (WebDriverException unfit) {
            driver.quit();
        }
    }

    private static ChromeDriverService service() {
        return new ChromeDriverService.Builder()
                .usingDriverExecutable(Path.of("/usr/bin/chromedriver").toFile())
                .withEnvironment(Map.of("SE_OFFLINE", "true", "SE_AVOID_STATS", "true"))
                .build();
    }

    private static ChromeOptions options() {
        ChromeOptions options = new ChromeOptions();
        // Without the browser around the page, which nobody sees.
        // Not by the script of that name: the driver would end the script, and leave the browser.
        options.setBinary("/usr/lib/chromium/chromium-headless-shell");
        options.addArguments(List.of(
                "--headless",
                "--no-sandbox",
                "--disable-gpu",
                "--disable-dev-shm-usage",
                "--disable-quic",
                "--no-first-run",
                "--no-default-browser-check",
                "--disable-background-networking",
                "--disable-component-update",
                "--disable-sync",
                "--disable-extensions",
                "--hide-scrollbars",
                "--force-device-scale-factor=1",
                "--lang=en-US"));
        return options;
    }
}
