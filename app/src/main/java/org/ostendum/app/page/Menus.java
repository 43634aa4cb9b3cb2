package org.ostendum.app.page;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.ostendum.core.people.Role;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** What stands in the menu of each role, and what keys lead where; everything that a role may open has a key. */
@ControllerAdvice(annotations = Controller.class)
class Menus {
    private static final Set<Role> ALL = EnumSet.allOf(Role.class);
    private static final Set<Role> HANDS = EnumSet.of(Role.TECHNICIAN, Role.LEAD, Role.MECHANIC, Role.SAFETY);

    /**
     * A place of the application.
     *
     * @param key that leads there after g
     * @param roles that may open it
     */
    record Place(String name, String path, String key, Set<Role> roles) {}

    private static final List<Place> PLACES = List.of(
            new Place("mine", "/mine", "m", HANDS),
            new Place("room", "/", "r", ALL),
            new Place("fleet", "/fleet", "f", ALL),
            new Place("charging", "/charging", "c", ALL),
            new Place("plan", "/plan", "t", ALL),
            new Place("water", "/watering", "w", ALL),
            new Place("jobs", "/jobs", "j", ALL),
            new Place("safety", "/safety", "a", ALL),
            new Place("sums", "/sums", "s", ALL),
            new Place("ledger", "/ledger", "l", ALL),
            new Place("alarms", "/alarms", "x", ALL),
            new Place("procedures", "/procedures", "p", ALL),
            new Place("rules", "/rules", "u", ALL),
            new Place("setup", "/setup", "o", EnumSet.of(Role.LEAD)),
            new Place("me", "/me", "i", ALL));

    private static final Map<Role, List<Place>> MENUS = menus();

    private static Map<Role, List<Place>> menus() {
        Map<Role, List<Place>> menus = new EnumMap<>(Role.class);
        menus.put(
                Role.TECHNICIAN, named("mine", "plan", "room", "fleet", "charging", "water", "jobs", "sums", "ledger"));
        menus.put(Role.MECHANIC, named("mine", "room", "fleet", "charging", "jobs", "sums", "ledger"));
        menus.put(Role.LEAD, named("room", "fleet", "charging", "plan", "jobs", "sums", "ledger", "rules", "setup"));
        menus.put(Role.SAFETY, named("safety", "room", "jobs", "fleet", "procedures", "ledger", "rules"));
        menus.put(Role.VIEWER, named("room", "fleet", "charging", "plan", "jobs", "sums", "ledger", "rules"));
        return menus;
    }

    private static List<Place> named(String... names) {
        return List.of(names).stream()
                .map(name -> PLACES.stream()
                        .filter(p -> p.name().equals(name))
                        .findFirst()
                        .orElseThrow())
                .toList();
    }

    @ModelAttribute("menu")
    List<Place> menu(@Nullable Words words) {
        return words == null ? List.of() : MENUS.getOrDefault(words.person().role(), List.of());
    }

    @ModelAttribute("places")
    List<Place> places(@Nullable Words words) {
        return words == null ? List.of() : places(words.person());
    }

    private static List<Place> places(Person person) {
        return PLACES.stream().filter(p -> p.roles().contains(person.role())).toList();
    }
}
