package org.ostendum.app.fleetfile;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.csv.CsvRow;
import org.ostendum.app.form.PlainDay;
import org.ostendum.app.people.Passwords;
import org.ostendum.app.people.People;
import org.ostendum.app.people.Trainings;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.people.Person;
import org.ostendum.core.people.Role;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.safety.Trained;
import org.ostendum.core.safety.Training;
import org.springframework.stereotype.Component;

/** People with their roles and trainings. Passwords are in no file: somebody new comes in once a lead has given him one. */
@Component
class PeopleTable implements FleetTable {
    private final People people;
    private final Passwords passwords;
    private final Trainings trainings;
    private final BatteryStates batteryStates;
    private final BatteriesTable batteries;

    PeopleTable(
            People people,
            Passwords passwords,
            Trainings trainings,
            BatteryStates batteryStates,
            BatteriesTable batteries) {
        this.people = people;
        this.passwords = passwords;
        this.trainings = trainings;
        this.batteryStates = batteryStates;
        this.batteries = batteries;
    }

    @Override
    public FleetFile file() {
        return FleetFile.PEOPLE;
    }

    @Override
    public List<String> columns() {
        return List.of("login", "name", "role", "trainings");
    }

    @Override
    public List<String> required() {
        return List.of("login");
    }

    @Override
    public Map<String, List<String>> lines() {
        Map<Long, Trained> trained = trainings.all();
        Rules rules = rules();
        Map<String, List<String>> lines = new LinkedHashMap<>();
        for (Person person : people.all()) {
            Trained of = trained.getOrDefault(person.id(), Trained.NOTHING);
            lines.put(
                    person.login(),
                    List.of(
                            person.login(),
                            person.name(),
                            FleetText.word(person.role()),
                            Arrays.stream(Training.values())
                                    .flatMap(t -> Stream.ofNullable(of.until(t, rules))
                                            .map(until -> FleetText.word(t) + ":" + until))
                                    .collect(Collectors.joining(";"))));
        }
        return lines;
    }

    private Rules rules() {
        return batteryStates.rulebook().siteRules();
    }

    @Override
    public void take(List<CsvRow> rows, Person by) {
        rows.forEach(row -> take(row, by));
        if (people.all().stream().noneMatch(p -> p.isLead() && p.active())) {
            rows.stream()
                    .filter(row -> people.byLogin(row.text("login"))
                            .filter(Person::active)
                            .isPresent())
                    .findFirst()
                    .ifPresent(row -> row.bad("role", "one lead at least who may sign in"));
        }
    }

    private void take(CsvRow row, Person by) {
        String login = row.code("login");
        Person was = row.isSound() ? people.byLogin(login).orElse(null) : null;
        String name = row.kept("name", was == null ? login : was.name(), 80);
        Role role = row.oneOf("role", FleetText.words(Role.class), was == null ? Role.TECHNICIAN : was.role());
        Map<Training, LocalDate> until = trainings(row);
        if (!row.isSound()) {
            return;
        }
        if (was == null) {
            people.add(login, name, role, passwords.unset());
        } else if (!was.name().equals(name) || was.role() != role) {
            people.change(was.id(), people.version(was.id()), name, role, was.active());
        }
        Person person = people.byLogin(login).orElseThrow();
        long days = rules().duration(RuleKey.TRAINING_VALIDITY).toDays();
        until.forEach((training, day) -> trainings.hold(person.id(), training, day.minusDays(days), by.id()));
        batteries.join(person);
    }

    /** "battery_care:2027-05-01;changing:2027-05-01", the last day on which each counts. */
    private static Map<Training, LocalDate> trainings(CsvRow row) {
        Map<Training, LocalDate> until = new LinkedHashMap<>();
        Map<String, Training> words = FleetText.words(Training.class);
        for (String part : row.text("trainings").split(";", -1)) {
            if (part.isBlank()) {
                continue;
            }
            String[] pair = part.strip().split(":", 2);
            @Nullable Training training = words.get(pair[0].strip().toLowerCase(java.util.Locale.ROOT));
            Optional<LocalDate> day = pair.length < 2 ? Optional.empty() : PlainDay.parse(pair[1]);
            if (training == null || day.isEmpty()) {
                row.bad(
                        "trainings",
                        "trainings with the last day they count, such as battery_care:2027-05-01;changing:2027-05-01, of "
                                + words.keySet().stream().sorted().collect(Collectors.joining(", ")));
                return Map.of();
            }
            until.put(Objects.requireNonNull(training), day.get());
        }
        return until;
    }
}
