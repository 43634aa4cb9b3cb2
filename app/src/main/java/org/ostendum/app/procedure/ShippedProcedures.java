package org.ostendum.app.procedure;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.ostendum.core.procedure.Procedure;
import org.ostendum.core.procedure.ProcedureFaults;
import org.ostendum.core.procedure.Step;
import org.ostendum.core.procedure.StopCondition;
import org.ostendum.core.procedure.Task;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import tools.jackson.core.JacksonException;

/**
 * The files of procedures that ship with the application, and what they say.
 *
 * @param files by the names of the procedures
 */
record ShippedProcedures(Map<String, ProcedureFile> files, Map<String, Procedure> procedures) {
    private static final String FILES = "classpath:procedures/*.yaml";

    /** @throws IllegalStateException when one of them cannot be read or has faults */
    static ShippedProcedures read() {
        ShippedProcedures shipped = new ShippedProcedures(new LinkedHashMap<>(), new LinkedHashMap<>());
        try {
            for (Resource resource : new PathMatchingResourcePatternResolver().getResources(FILES)) {
                String id = String.valueOf(resource.getFilename()).replaceAll("\\.yaml$", "");
                shipped.put(id, resource.getContentAsString(StandardCharsets.UTF_8));
            }
        } catch (IOException e) {
            throw new UncheckedIOException("The procedures that ship with the application cannot be read.", e);
        }
        shipped.refuseFaults();
        return shipped;
    }

    private void refuseFaults() {
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
}
