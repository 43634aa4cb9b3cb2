package org.ostendum.app.plan.house;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.ostendum.app.people.People;
import org.ostendum.app.people.Trainings;
import org.ostendum.app.plan.hours.Hours;
import org.ostendum.app.plan.hours.WeekHours;
import org.ostendum.app.plan.house.Mishap.Kind;
import org.ostendum.core.people.Person;
import org.ostendum.core.plan.room.Span;
import org.ostendum.core.plan.room.Task;
import org.ostendum.core.plan.room.Worker;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.safety.Trained;
import org.ostendum.core.safety.Training;
import org.springframework.stereotype.Component;

/** Who is there when, and may do what by his trainings. */
@Component
class HousePeople {
    private final People people;
    private final Trainings trainings;
    private final Hours hours;
    private final ZoneId zone;

    HousePeople(People people, Trainings trainings, Hours hours, ZoneId zone) {
        this.people = people;
        this.trainings = trainings;
        this.hours = hours;
        this.zone = zone;
    }

    List<Worker> workers(Instant from, Instant until, List<Mishap> mishaps, Rules rules) {
        Map<Long, List<WeekHours>> byPerson = hours.ofPeople().stream().collect(Collectors.groupingBy(WeekHours::ofId));
        Map<Long, List<WeekHours>> quiet =
                hours.quietOfPeople().stream().collect(Collectors.groupingBy(WeekHours::ofId));
        List<Span> open = spans(hours.ofHouse(), from, until);
        Map<Long, Trained> trained = trainings.all();
        return people.all().stream()
                .filter(person -> person.worksOnBatteries() && byPerson.containsKey(person.id()))
                .map(person -> new Worker(
                        person.login(),
                        may(trained.getOrDefault(person.id(), Trained.NOTHING), from, rules),
                        within(
                                open,
                                there(person, byPerson.getOrDefault(person.id(), List.of()), from, until, mishaps)),
                        spans(quiet.getOrDefault(person.id(), List.of()), from, until)))
                .toList();
    }

    /** Nobody works in a house that is closed; one of which nobody has said when it is open is never closed. */
    private static List<Span> within(List<Span> open, List<Span> there) {
        return open.isEmpty()
                ? there
                : there.stream()
                        .flatMap(span -> open.stream().flatMap(hours -> span.shared(hours).stream()))
                        .toList();
    }

    private List<Span> spans(List<WeekHours> week, Instant from, Instant until) {
        return week.stream()
                .flatMap(hours -> hours.within(from, until, zone).stream())
                .map(WeekHours.Dated::span)
                .toList();
    }

    private Set<Task> may(Trained trained, Instant at, Rules rules) {
        LocalDate today = LocalDate.ofInstant(at, zone);
        Set<Task> may = EnumSet.noneOf(Task.class);
        if (trained.counts(Training.CHANGING, today, rules)) {
            may.add(Task.CHANGE);
        }
        if (trained.counts(Training.BATTERY_CARE, today, rules)) {
            may.addAll(EnumSet.of(Task.WATER, Task.ROUND, Task.EQUALISE, Task.WASH, Task.TEST));
        }
        return may;
    }

    private List<Span> there(Person person, List<WeekHours> week, Instant from, Instant until, List<Mishap> mishaps) {
        List<Span> away = mishaps.stream()
                .filter(mishap -> mishap.isOf(Kind.PERSON_AWAY, person.login()))
                .map(mishap -> new Span(mishap.from(), mishap.until()))
                .toList();
        return spans(week, from, until).stream()
                .filter(span -> away.stream().noneMatch(span::touches))
                .toList();
    }
}
