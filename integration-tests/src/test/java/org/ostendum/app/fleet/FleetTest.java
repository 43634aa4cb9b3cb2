package org.ostendum.app.fleet;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.AsPerson;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.judge.NextStep;
import org.ostendum.core.next.NextThing;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;

class FleetTest extends ApplicationTest {
    @Autowired
    private MockMvc mvc;

    @Autowired
    private Batteries batteries;

    @Autowired
    private BatteryStates states;

    private AsPerson tom;

    @BeforeEach
    void people() {
        tom = AsPerson.tom(mvc);
    }

    private List<String> codes(String query) throws Exception {
        return all("href=\"/batteries/([^\"/]+)\"", tom.page("/fleet?" + query));
    }

    private static List<String> all(String pattern, String page) {
        return Pattern.compile(pattern)
                .matcher(page)
                .results()
                .map(r -> r.group(1))
                .toList();
    }

    @Test
    void rankedByDaysTheSoonestComesFirstAndThoseWithoutADayLast() throws Exception {
        String page = tom.page("/fleet?by=DAYS&all=yes");
        List<String> cells = all("class=\"fig days\"[^>]*>(?:<b>(\\w+)</b>)?", page);
        List<Integer> days = cells.stream()
                .map(c -> c == null ? Integer.MAX_VALUE : c.equals("now") ? 0 : Integer.parseInt(c))
                .toList();
        assertThat(days).hasSameSizeAs(batteries.all()).isSorted();
        assertThat(days.get(0)).isZero();
        assertThat(days).anyMatch(d -> d > 0 && d < Integer.MAX_VALUE).contains(Integer.MAX_VALUE);
    }

    @Test
    void aFilterLeavesOnlyWhatIsAskedForAndSaysSo() throws Exception {
        assertThat(codes("duty=AIRCRAFT"))
                .isNotEmpty()
                .allMatch(code ->
                        batteries.byCode(code).orElseThrow().type().model().duty() == Duty.AIRCRAFT);
        assertThat(codes("find=skyrow")).isEqualTo(codes("duty=AIRCRAFT"));
        assertThat(codes("find=t-0")).isNotEmpty().allMatch(code -> code.startsWith("T-0"));
        assertThat(codes("severity=FIT")).isNotEmpty().doesNotContainAnyElementsOf(codes("severity=ACT"));
    }

    /** Which jobs there are depends on the day: asked for is one that a battery has. */
    @Test
    void aJobLeavesOnlyThoseThatNeedIt() throws Exception {
        Map<String, Set<NextStep>> needs = batteries.all().stream()
                .collect(Collectors.toMap(Battery::code, battery -> states.nextThings(battery).stream()
                        .map(NextThing::step)
                        .collect(Collectors.toSet())));
        NextStep step = needs.values().stream()
                .flatMap(Set::stream)
                .sorted()
                .findFirst()
                .orElseThrow();
        List<String> needing = needs.keySet().stream()
                .filter(code -> needs.get(code).contains(step))
                .sorted()
                .toList();
        assertThat(codes("all=yes&by=CODE&job=" + step)).containsExactlyElementsOf(needing);
        assertThat(tom.page("/fleet?all=yes&job=" + step))
                .contains(needing.size() + " of " + batteries.all().size() + " batteries.");
    }

    @Test
    void everyBatteryWithTwoRoundsHasItsCourseDrawn() throws Exception {
        String page = tom.page("/fleet?all=yes");
        List<String> sparks = all("<svg class=\"spark\"[^>]*aria-label=\"Course of ([^:]+):", page);
        assertThat(sparks).hasSizeGreaterThan(50).doesNotHaveDuplicates();
    }

    @ParameterizedTest
    @ValueSource(strings = {"by=", "severity=&job=&duty=", "find=%25%27%3Cscript%3E"})
    void anEmptyOrOddFilterIsNoFault(String query) throws Exception {
        assertThat(tom.page("/fleet?" + query)).contains("Fleet").doesNotContain("<script>\"");
    }

    @Test
    void whatIsFoundNowhereIsSaid() throws Exception {
        assertThat(tom.page("/fleet?find=zzz")).contains("No battery is like that");
    }
}
