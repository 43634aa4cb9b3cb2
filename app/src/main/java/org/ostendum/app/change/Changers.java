package org.ostendum.app.change;

import java.util.List;
import java.util.stream.Collectors;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.Job;
import org.ostendum.app.job.Situations;
import org.ostendum.app.procedure.ProcedureFile;
import org.ostendum.app.procedure.ProcedureFile.AnswerText;
import org.ostendum.app.procedure.StepText;
import org.ostendum.app.safety.Stations;
import org.ostendum.app.safety.Stations.Station;
import org.ostendum.core.people.Person;
import org.ostendum.core.procedure.Run;
import org.ostendum.core.safety.StationCheck;
import org.springframework.stereotype.Component;

/** The hoists, roller beds and carts of a room: one with a fault is out of service until somebody has found it sound again. */
@Component
class Changers {
    static final String WHICH = "which-changer";
    private static final String BEFORE_IT = "truck";
    private static final String NONE = "none";

    private final Stations stations;
    private final Situations situations;

    Changers(Stations stations, Situations situations) {
        this.stations = stations;
        this.situations = situations;
    }

    private List<Station> of(long room) {
        return stations.of(room).stream()
                .filter(station -> station.state().check() == StationCheck.CHANGER)
                .toList();
    }

    /** The job asks which one is taken; the same for a room that has none on record. */
    ProcedureFile asking(ProcedureFile file, Battery battery) {
        List<Station> all = of(situations.roomOf(battery));
        if (all.isEmpty()) {
            return file;
        }
        List<AnswerText> sound = all.stream()
                .filter(station -> station.state().sound())
                .map(station -> new AnswerText(String.valueOf(station.id()), station.name(), null, null, null))
                .collect(Collectors.toList());
        sound.add(new AnswerText(NONE, "None of these: by hand", null, null, null));
        return file.withAfter(
                BEFORE_IT, List.of(StepText.chosen(WHICH, "Which changer do you take?", outOfService(all), sound)));
    }

    private static String outOfService(List<Station> all) {
        String out = all.stream()
                .filter(station -> !station.state().sound())
                .map(Station::name)
                .collect(Collectors.joining(", "));
        return out.isEmpty() ? "What it carries and where it stands decide." : "Out of service: " + out + ".";
    }

    /** It stays so until a check finds it sound. */
    void outOfService(Job job, Run run, Person person) {
        String which = run.value(WHICH);
        of(job.roomId()).stream()
                .filter(station -> String.valueOf(station.id()).equals(which))
                .forEach(station -> stations.check(station.id(), false, "fault, job " + job.id(), person.id()));
    }
}
