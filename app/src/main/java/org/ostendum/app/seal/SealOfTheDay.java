package org.ostendum.app.seal;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.ZoneId;
import java.util.Optional;
import org.ostendum.app.ledger.Ledger;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Seals the heads of all chains once a day, and at the first start of a day, where the site keeps seals. */
@Component
class SealOfTheDay {
    private final Optional<Seals> seals;

    /**
     * @param folder outside the database, best on another disk; empty where the site keeps no seals
     * @param keyFile that signs
     */
    SealOfTheDay(
            Ledger ledger,
            Clock clock,
            ZoneId zone,
            @Value("${ostendum.seal.folder}") String folder,
            @Value("${ostendum.seal.key}") Path keyFile)
            throws IOException {
        this.seals = folder.isEmpty()
                ? Optional.empty()
                : Optional.of(new Seals(ledger, clock, zone, Path.of(folder), keyFile));
    }

    /** The demo's year is in the site by then. */
    @EventListener(ApplicationReadyEvent.class)
    @Scheduled(cron = "${ostendum.seal.at}", zone = "${ostendum.zone}")
    void seal() {
        seals.ifPresent(Seals::sealToday);
    }

    /** @return empty where the site keeps none */
    Optional<Seals> seals() {
        return seals;
    }
}
