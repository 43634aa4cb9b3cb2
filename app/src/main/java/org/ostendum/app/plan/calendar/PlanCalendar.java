package org.ostendum.app.plan.calendar;

import java.time.Instant;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Predicate;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.Location;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Sequence;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;
import org.ostendum.app.plan.PlannedJobs.InForce;
import org.ostendum.app.words.Words;
import org.ostendum.core.plan.PlanJob;
import org.ostendum.core.plan.room.Task;

/** A plan as a calendar (RFC 5545). The same job keeps its UID from plan to plan, and each plan raises the sequence. */
final class PlanCalendar {
    /** What anybody has to be there for. */
    private static final Set<Task> SHOWN =
            Set.of(Task.CHARGE, Task.EQUALISE, Task.CHANGE, Task.WATER, Task.ROUND, Task.WASH, Task.TEST);

    private PlanCalendar() {}

    /** @param told which of its jobs */
    static String of(InForce plan, Predicate<PlanJob> told, Instant stamp, Words words) {
        Calendar calendar = new Calendar();
        calendar.add(new ProdId("-//Ostendum//Plan//EN"));
        calendar.add(ImmutableVersion.VERSION_2_0);
        calendar.add(ImmutableCalScale.GREGORIAN);
        uids(plan.plan().jobs()).forEach((job, uid) -> {
            if (SHOWN.contains(job.what()) && told.and(plan.allowed()).test(job)) {
                calendar.add(event(job, uid, (int) plan.number(), stamp, words));
            }
        });
        return calendar.toString();
    }

    private static VEvent event(PlanJob job, String uid, int sequence, Instant stamp, Words words) {
        String place = Objects.requireNonNullElse(job.charger(), Objects.requireNonNullElse(job.machine(), ""));
        VEvent event = new VEvent(job.start(), job.end(), words.text("plan.do." + job.what(), job.battery(), place));
        event.getProperties("DTSTAMP").forEach(event::remove);
        event.add(new DtStamp(stamp));
        event.add(new Uid(uid));
        event.add(new Sequence(sequence));
        if (!place.isEmpty()) {
            event.add(new Location(place));
        }
        if (job.reason() != null) {
            event.add(new Description(words.say(job.reason())));
        }
        return event;
    }

    /** What a battery is given twice in a day is told apart by its place among that day's. */
    static Map<PlanJob, String> uids(List<PlanJob> jobs) {
        Map<PlanJob, String> uids = new LinkedHashMap<>();
        Map<String, Integer> before = new HashMap<>();
        jobs.stream().sorted(Comparator.comparing(PlanJob::start)).forEach(job -> {
            String of = of(job);
            int place = before.merge(of, 1, Integer::sum);
            uids.put(job, of + (place == 1 ? "" : "-" + place) + "@ostendum");
        });
        return uids;
    }

    /** A change belongs to its shift, anything else to its battery and day: it may move without becoming another. */
    private static String of(PlanJob job) {
        String of = job.shift() == null
                ? job.battery() + "-" + job.start().toString().substring(0, 10)
                : job.machine() + "-" + job.shift();
        return job.what().word() + "-" + of;
    }
}
