package org.ostendum.app.battery;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.JobsTest;
import org.ostendum.app.support.AsPerson;
import org.ostendum.app.support.OwnBatteries;
import org.springframework.beans.factory.annotation.Autowired;

/** The big button of a battery's page. */
class BatteryButtonsTest extends JobsTest {
    private static final Pattern BIG = Pattern.compile("<a [^>]*class=\"action\"[^>]*href=\"([^\"]+)\"");

    @Autowired
    private OwnBatteries own;

    private static String big(AsPerson person, Battery battery) throws Exception {
        Matcher found = BIG.matcher(person.page("/batteries/" + battery.code()));
        return found.find() ? found.group(1) : "";
    }

    @Test
    void aJobThatSomebodyIsAtIsGoneOnWith() throws Exception {
        Battery battery = own.rested("BTN-1", "T-04");
        assertThat(big(tom, battery)).isEqualTo("/batteries/BTN-1/round");
        long wash = begin(ines, battery.code(), "wash");
        assertThat(big(tom, battery)).isEqualTo("/jobs/" + wash);
        assertThat(tom.page("/batteries/BTN-1")).contains("Go on: Wash the top", "Ines Halloway, since");
    }

    /** Watered and not mixed since, it would read low: a round is offered with what stands against it, and not first. */
    @Test
    void aRoundWhoseGateIsShutIsNotTheBigButton() throws Exception {
        Battery battery = own.rested("BTN-2", "T-04");
        tom.send("/batteries/BTN-2/log", "kind", "WATER", "quantity", "900");
        assertThat(big(tom, battery)).isNotEqualTo("/batteries/BTN-2/round");
        assertThat(tom.page("/batteries/BTN-2")).contains("Take a round", "Not now: BTN-2 was watered");
    }
}
