package org.ostendum.app.support;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.chrome.ChromeDriver;

class ChromiumTest {
    /** Browsers that stay behind take the machine from whatever is tested next. */
    @Test
    void whatIsEndedLeavesNoProcessBehind() {
        ChromeDriver driver = Chromium.take();
        long browser = ((Number) driver.getCapabilities().getCapability("goog:processID")).longValue();
        List<ProcessHandle> all = ProcessHandle.of(browser).stream()
                .flatMap(process -> Stream.concat(Stream.of(process), process.descendants()))
                .toList();
        assertThat(all).as("the browser and its helpers").hasSizeGreaterThan(2).allMatch(ProcessHandle::isAlive);
        driver.quit();
        Patience.await("browser’s processes to end", Duration.ofSeconds(10))
                .until(() -> all.stream().noneMatch(ProcessHandle::isAlive));
    }
}
