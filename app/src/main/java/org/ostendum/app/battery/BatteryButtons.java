package org.ostendum.app.battery;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.capacity.CapacityTests;
import org.ostendum.app.job.GateLine;
import org.ostendum.app.job.Job;
import org.ostendum.app.job.JobRunning;
import org.ostendum.app.job.Jobs;
import org.ostendum.app.procedure.SiteProcedures;
import org.ostendum.app.round.OpenRound;
import org.ostendum.app.round.RoundGates;
import org.ostendum.app.words.Words;
import org.ostendum.core.next.NextThing;
import org.ostendum.core.people.Person;
import org.ostendum.core.rulebook.Severity;
import org.springframework.stereotype.Component;

/**
 * What can be pressed on the page of a battery. What somebody is at already comes before what is to be done next, unless that is a
 * danger; a round is offered, and no more than that, where nothing else is to be done and its gates stand open.
 */
@Component
class BatteryButtons {
    private final Jobs jobs;
    private final SiteProcedures procedures;
    private final CapacityTests tests;
    private final RoundGates gates;

    BatteryButtons(Jobs jobs, SiteProcedures procedures, CapacityTests tests, RoundGates gates) {
        this.jobs = jobs;
        this.procedures = procedures;
        this.tests = tests;
        this.gates = gates;
    }

    /**
     * A way on from the page.
     *
     * @param note on it, smaller
     * @param why it is to be pressed; null where that is said already, or nothing has to be said
     */
    record Button(String say, @Nullable String note, String page, @Nullable String why) {
        Button(String say, @Nullable String note, String page) {
            this(say, note, page, null);
        }
    }

    /** @param big the one that is to be pressed; null where nothing is to be done */
    record Buttons(@Nullable Button big, List<Button> others) {}

    Buttons of(BatteryViews.BatteryView view, Words words) {
        List<Button> under = underWay(view, words);
        List<Button> all = new ArrayList<>(under);
        @Nullable NextThing next = words.person().worksOnBatteries() ? view.firstJob() : null;
        if (next != null) {
            boolean danger = next.severity() == Severity.STOP;
            all.add(danger ? 0 : under.size(), next(next, view, words));
        }
        if (view.state().isCharging()) {
            all.add(new Button(words.text("battery.charge"), null, at(view) + "/charge"));
        }
        @Nullable Button big = all.isEmpty() ? null : all.remove(0);
        if (mayTakeRound(view, words.person())) {
            List<GateLine> shut = gates.shut(view.battery(), view.state(), words.person(), words);
            Button round = round(view, shut, words);
            if (big == null && view.things().isEmpty() && shut.isEmpty()) {
                big = round;
            } else {
                all.add(round);
            }
        }
        return new Buttons(big, List.copyOf(all));
    }

    private static String at(BatteryViews.BatteryView view) {
        return "/batteries/" + view.battery().code();
    }

    private List<Button> underWay(BatteryViews.BatteryView view, Words words) {
        List<Button> under = new ArrayList<>();
        @Nullable OpenRound round = view.open();
        if (round != null && words.person().worksOnBatteries()) {
            String note = words.text(
                    "battery.go-on.note",
                    round.openedBy(),
                    view.cellsRead(),
                    view.battery().type().model().cells());
            under.add(new Button(words.text("battery.go-on"), note, at(view) + "/round"));
        }
        List<Job> open = jobs.openOf(view.battery().id());
        Map<String, String> titles = open.isEmpty() ? Map.of() : procedures.titles(words);
        for (Job job : open) {
            String holder = JobRunning.run(job, jobs.events(job.id())).holder();
            under.add(new Button(
                    words.text("battery.job", titles.getOrDefault(job.procedureId(), job.procedureId())),
                    words.text("battery.job.note", holder, words.moment(job.begunAt())),
                    "/jobs/" + job.id()));
        }
        if (view.state().inHand() != null) {
            tests.openOf(view.battery().id())
                    .ifPresent(test ->
                            under.add(new Button(words.text("battery.capacity.runs"), null, "/capacity/" + test.id())));
        }
        return under;
    }

    private static Button next(NextThing next, BatteryViews.BatteryView view, Words words) {
        boolean told = next.reason().equals(view.verdict().sentence()) || next.equals(view.moreUrgent());
        return new Button(
                words.say(next.sentence()),
                words.span(next.time()),
                Objects.requireNonNull(view.jobAt(next)),
                told ? null : words.say(next.reason()));
    }

    /** While it charges its pilot cell is read, on the page of the charge. */
    private static boolean mayTakeRound(BatteryViews.BatteryView view, Person person) {
        @Nullable NextThing first = view.firstJob();
        return person.worksOnBatteries()
                && view.battery().type().model().kind().hasCaps()
                && view.open() == null
                && !view.state().isCharging()
                && (first == null || !"round".equals(first.procedure()));
    }

    private static Button round(BatteryViews.BatteryView view, List<GateLine> shut, Words words) {
        @Nullable String note = null;
        if (!shut.isEmpty()) {
            note = words.text(
                    "battery.take-round.shut", Objects.toString(shut.get(0).why(), ""));
        } else if (view.things().isEmpty()) {
            note = words.text("battery.take-round.note", view.minutesForRound());
        }
        return new Button(words.text("battery.take-round"), note, at(view) + "/round");
    }
}
