package org.ostendum.app.procedure;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.ostendum.core.procedure.Procedure;
import org.ostendum.core.procedure.ProcedureFaults;
import org.ostendum.core.procedure.Step;
import org.ostendum.core.procedure.StopCondition;
import org.ostendum.core.procedure.Task;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;

/** All procedures that ship with the application, read and looked through when it starts: a faulty one stops the start. */
@Component
public final class ProcedureShelf {
    private static final int UNRANKED = 100;
    private static final String FILES = "classpath:procedures/*.yaml";

    private final Map<String, ProcedureFile> files = new LinkedHashMap<>();
    private final Map<String, Procedure> procedures = new LinkedHashMap<>();

    ProcedureShelf() throws IOException {
        List<Resource> found = new ArrayList<>(List.of(new PathMatchingResourcePatternResolver().getResources(FILES)));
        for (Resource resource : found) {
            String id = String.valueOf(resource.getFilename()).replaceAll("\\.yaml$", "");
            put(id, resource.getContentAsString(StandardCharsets.UTF_8));
        }
        List<String> faults = new ArrayList<>();
        procedures.values().forEach(p -> {
            faults.addAll(ProcedureFaults.of(p));
            faults.addAll(leadsNowhere(p));
        });
        if (!faults.isEmpty()) {
            throw new IllegalStateException("Procedures with faults:\n" + String.join("\n", faults));
        }
    }

    private void put(String id, String yaml) {
        try {
            ProcedureFile file = ProcedureFile.ofYaml(yaml);
            files.put(id, file);
            procedures.put(id, file.procedure(id));
        } catch (JacksonException e) {
            throw new IllegalStateException("procedures/" + id + ".yaml cannot be read: " + e.getMessage(), e);
        }
    }

    /** Pictures and follow-up procedures that do not exist. */
    private List<String> leadsNowhere(Procedure procedure) {
        List<String> faults = new ArrayList<>();
        for (StopCondition stop : procedure.stops()) {
            if (stop.procedure() != null && !procedures.containsKey(stop.procedure())) {
                faults.add(procedure.id() + ": stop " + stop.id() + " leads to the unknown " + stop.procedure());
            }
        }
        for (Step step : procedure.steps()) {
            if (step.picture() != null && !Pictures.known(step.picture())) {
                faults.add(procedure.id() + ": step " + step.id() + " shows the unknown " + step.picture());
            }
            if (step.task() instanceof Task.Rows && procedure.subject() != Procedure.Subject.BATTERY) {
                faults.add(procedure.id() + ": step " + step.id() + " wants a battery");
            }
        }
        return faults;
    }

    /** @return all procedures, those done most often first */
    public List<Procedure> all() {
        return procedures.values().stream()
                .sorted(Comparator.comparing((Procedure p) -> rank(p.id())).thenComparing(Procedure::id))
                .toList();
    }

    private int rank(String id) {
        ProcedureFile file = files.get(id);
        return file == null || file.rank() == null ? UNRANKED : file.rank();
    }

    public Optional<Procedure> find(String id) {
        return Optional.ofNullable(procedures.get(id));
    }

    Optional<ProcedureFile> file(String id) {
        return Optional.ofNullable(files.get(id));
    }
}
