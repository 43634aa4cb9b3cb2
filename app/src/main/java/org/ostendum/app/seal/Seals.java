package org.ostendum.app.seal;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.seal.SealFiles.Kept;

/** Each day's seal in a folder: makes them, and tells those that are there. */
class Seals {
    private final Ledger ledger;
    private final Clock clock;
    private final ZoneId zone;
    private final SealFiles files;
    private final SealKey key;

    /**
     * @param folder outside the database, best on another disk
     * @param keyFile that signs
     */
    Seals(Ledger ledger, Clock clock, ZoneId zone, Path folder, Path keyFile) throws IOException {
        this.ledger = ledger;
        this.clock = clock;
        this.zone = zone;
        this.files = new SealFiles(folder);
        this.key = SealKey.of(keyFile, folder);
    }

    synchronized void sealToday() {
        Instant now = clock.instant();
        LocalDate today = LocalDate.ofInstant(now, zone);
        if (!files.has(today)) {
            String previous = newest().map(Seal::hash).orElse(Seal.FIRST);
            files.keep(today, Seal.signed(now, previous, ledger.heads(), key.secret()));
        }
    }

    List<Kept> all() {
        return files.all();
    }

    Optional<Seal> newest() {
        List<Kept> all = files.all();
        return all.isEmpty() ? Optional.empty() : all.get(all.size() - 1).seal();
    }

    boolean isMailed(String day) {
        return files.isMailed(day);
    }

    void mailed(String day) {
        files.mailed(day);
    }

    SealCheck check() {
        return new SealCheck(all(), key.open());
    }

    String openKey() {
        return key.openText();
    }
}
