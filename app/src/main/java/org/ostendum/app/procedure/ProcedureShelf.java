package org.ostendum.app.procedure;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.ostendum.core.procedure.Procedure;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.util.function.SingletonSupplier;

/** All procedures that ship with the application. That none of them has a fault is held by the tests of the build. */
@Component
public class ProcedureShelf {
    private static final int UNRANKED = 100;

    private final Supplier<ShippedProcedures> shipped = SingletonSupplier.of(ShippedProcedures::read);

    /** A moment after the start, so that neither it waits for them nor who opens the first job. */
    @Scheduled(initialDelay = 1, timeUnit = TimeUnit.SECONDS)
    void readAhead() {
        var unused = shipped.get();
    }

    /** @return all procedures, those done most often first */
    public List<Procedure> all() {
        return shipped.get().procedures().values().stream()
                .sorted(Comparator.comparing((Procedure p) -> rank(p.id())).thenComparing(Procedure::id))
                .toList();
    }

    private int rank(String id) {
        ProcedureFile file = shipped.get().files().get(id);
        return file == null || file.rank() == null ? UNRANKED : file.rank();
    }

    public Optional<Procedure> find(String id) {
        return Optional.ofNullable(shipped.get().procedures().get(id));
    }

    Optional<ProcedureFile> file(String id) {
        return Optional.ofNullable(shipped.get().files().get(id));
    }
}
