package org.ostendum.app.plan.calendar;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;

import java.io.StringReader;
import java.time.Instant;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.component.VEvent;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.inventory.Rooms;
import org.ostendum.app.job.JobsTest;
import org.ostendum.app.people.People;
import org.ostendum.app.plan.PlannedJobs;
import org.ostendum.app.plan.PlannedJobs.InForce;
import org.ostendum.app.plan.Planning;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.support.TestClock;
import org.ostendum.core.defect.DefectKind;
import org.ostendum.core.people.Language;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.room.Task;
import org.springframework.beans.factory.annotation.Autowired;

/** What a calendar is told at an address that somebody has made. */
class CalendarTest extends JobsTest {
    @Autowired
    private Planning planning;

    @Autowired
    private PlannedJobs planned;

    @Autowired
    private CalendarFeeds feeds;

    @Autowired
    private FeedJobs feedJobs;

    @Autowired
    private BatteryStates states;

    @Autowired
    private People people;

    private final Instant now = TestClock.now();
    private long tomsId;

    @BeforeEach
    void toms() {
        tomsId = people.byLogin("tom").orElseThrow().id();
    }

    private InForce inForce() {
        planning.takeAtOnce(people.byLogin("maud").orElseThrow().id());
        return planned.inForce(now).orElseThrow();
    }

    private String stranger(String path) throws Exception {
        return mvc.perform(get(path)).andReturn().getResponse().getContentAsString();
    }

    private String told(String token) throws Exception {
        // A line of a calendar is folded after so many characters.
        return stranger("/calendar/" + token + ".ics").replaceAll("\\r?\\n ", "");
    }

    @Test
    void aCalendarReadsThePlanByItsAddressUntilThatEnds() throws Exception {
        InForce plan = inForce();
        tom.send("/plan/calendar", "whole", "false");
        long id = sql.fetchValue("select max(id) from calendar_feed") instanceof Number n ? n.longValue() : 0;
        String token = feeds.add(tomsId, true, null, now);
        String calendar = stranger("/calendar/" + token + ".ics");
        assertThat(calendar).startsWith("BEGIN:VCALENDAR").contains("SEQUENCE:" + plan.number(), "@ostendum");
        VEvent first = (VEvent) new CalendarBuilder()
                .build(new StringReader(calendar))
                .getComponents("VEVENT")
                .get(0);
        assertThat(first.getUid()).isPresent();
        assertThat(stranger("/calendar/none.ics")).doesNotContain("VEVENT");
        tom.speaks(Language.SPANISH);
        assertThat(stranger("/calendar/" + token + ".ics")).contains("SUMMARY:Poner ");
        tom.speaks(Language.ENGLISH);
        long whole = feeds.byToken(token).orElseThrow().id();
        feeds.end(tomsId, whole, now);
        assertThat(stranger("/calendar/" + token + ".ics")).doesNotContain("VEVENT");
        assertThat(whole).isGreaterThan(id);
        assertThat(tom.page("/plan/calendar")).contains("My jobs");
    }

    /** A room's calendar tells of its own chargers and batteries, and of no other room's. */
    @Test
    void aRoomHasACalendarOfItsOwn() throws Exception {
        InForce plan = inForce();
        List<PlanJob> jobs = plan.plan().jobs();
        Set<PlanJob> told = new HashSet<>();
        for (Rooms.RoomName room : rooms.names()) {
            CalendarFeeds.Feed feed =
                    feeds.byToken(feeds.add(tomsId, true, room.id(), now)).orElseThrow();
            List<PlanJob> ofRoom = jobs.stream().filter(feedJobs.of(feed)).toList();
            assertThat(Collections.disjoint(told, ofRoom)).as(room.code()).isTrue();
            told.addAll(ofRoom);
        }
        assertThat(told).isNotEmpty();
        tom.send("/plan/calendar", "room", "main");
        assertThat(feeds.of(tomsId)).anyMatch(feed -> feed.room() != null && feed.whole());
        assertThat(tom.send("/plan/calendar", "room", "no-such").getStatus()).isEqualTo(404);
    }

    /** A plan was right when it was made: whoever reads it on the way is not sent to what was found unfit since. */
    @Test
    void whatTheStateNoLongerAllowsLeavesTheCalendar() throws Exception {
        InForce plan = inForce();
        PlanJob charge = plan.plan().jobs().stream()
                .filter(job -> job.what() == Task.CHARGE
                        && job.start().isAfter(now)
                        && plan.allowed().test(job))
                .filter(job -> battery(job.battery()).machineCode() == null
                        && !states.stateOf(battery(job.battery())).full().isYes())
                .findFirst()
                .orElseThrow();
        String uid = "UID:" + PlanCalendar.uids(plan.plan().jobs()).get(charge);
        String token = feeds.add(tomsId, true, null, now);
        assertThat(told(token)).contains(uid);
        Battery unfit = battery(charge.battery());
        tom.ask(multipart("/batteries/" + unfit.code() + "/defect").param("kind", "WORN_PLUG"));
        try {
            assertThat(told(token)).doesNotContain(uid);
        } finally {
            long defect = defects.openOf(unfit.id(), null).stream()
                    .filter(open -> open.kind() == DefectKind.WORN_PLUG)
                    .findFirst()
                    .orElseThrow()
                    .id();
            maud.send("/defects/" + defect + "/right", "remark", "a new plug");
        }
        assertThat(told(token)).contains(uid);
    }

    @Test
    void noTwoEventsOfACalendarShareAUid() throws Exception {
        InForce plan = inForce();
        String token = feeds.add(tomsId, true, null, now);
        assertThat(uids(stranger("/calendar/" + token + ".ics"))).isNotEmpty().doesNotHaveDuplicates();
    }

    private static List<String> uids(String calendar) {
        return calendar.lines().filter(line -> line.startsWith("UID:")).toList();
    }

    /** Moved by an hour it is the same job; of another day, or given once more, it is another. */
    @Test
    void aJobKeepsItsUidFromPlanToPlan() {
        Instant noon = Instant.parse("2026-11-30T12:00:00Z");
        PlanJob job = watering("tom", noon);
        PlanJob moved = watering("ines", noon.plusSeconds(3600));
        PlanJob next = watering("tom", noon.plusSeconds(86_400));
        String uid = "water-T-07-2026-11-30@ostendum";
        assertThat(PlanCalendar.uids(List.of(job)).values()).containsExactly(uid);
        assertThat(PlanCalendar.uids(List.of(moved)).values()).containsExactly(uid);
        assertThat(PlanCalendar.uids(List.of(next, moved, job)).values())
                .containsExactly(uid, "water-T-07-2026-11-30-2@ostendum", "water-T-07-2026-12-01@ostendum");
    }

    private static PlanJob watering(String person, Instant start) {
        return new PlanJob(
                "water", Task.WATER, "T-07", null, null, null, person, start, start.plusSeconds(600), false, null);
    }
}
