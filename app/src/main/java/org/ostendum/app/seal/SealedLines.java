package org.ostendum.app.seal;

import java.time.Instant;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What the newest seal says of one battery, for papers that lie where the database does not. */
@Component
public class SealedLines {
    private final Optional<Seals> seals;

    SealedLines(SealOfTheDay seals) {
        this.seals = seals.seals();
    }

    /**
     * The last line of a battery at the time of a seal.
     *
     * @param hash of that line
     * @param seal hash of the whole seal
     */
    public record Sealed(Instant at, int line, String hash, String seal) {}

    /** @return empty where no seal has seen the battery yet */
    public Optional<Sealed> of(long batteryId) {
        return seals.flatMap(Seals::newest).flatMap(seal -> seal.heads().stream()
                .filter(head -> head.batteryId() == batteryId)
                .findFirst()
                .map(head -> new Sealed(seal.at(), head.seq(), head.hash(), seal.hash())));
    }
}
