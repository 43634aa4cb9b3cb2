package org.ostendum.app.aircraft;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.ledger.LedgerEvents;
import org.ostendum.app.ledger.LedgerPayload;
import org.ostendum.app.ledger.NewEntry;
import org.ostendum.app.ledger.WrittenLine;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.EntryKind;
import org.ostendum.core.people.Person;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * A licensed mechanic's name under the work on a battery. It names the hash of the last line that it covers, and with that, by the
 * chain, everything before it.
 */
@Service
public class Signing {
    private final Ledger ledger;
    private final BatteryRecord record;
    private final BatteryStates states;

    Signing(Ledger ledger, BatteryRecord record, BatteryStates states) {
        this.ledger = ledger;
        this.record = record;
        this.states = states;
    }

    /**
     * A signature on record.
     *
     * @param covers the last line that it covers
     * @param holds whether that line still has the hash that was signed
     */
    public record Signature(int seq, WrittenLine line, int covers, String seal, String licence, boolean holds) {}

    /** @return lines since the last signature, oldest first: what would be signed for now */
    public List<WrittenLine> unsigned(Battery battery) {
        List<WrittenLine> lines = ledger.written(battery.id());
        int last = 0;
        for (int i = 0; i < lines.size(); i++) {
            last = lines.get(i).entry().kind() == EntryKind.SIGNED ? i + 1 : last;
        }
        return lines.subList(last, lines.size());
    }

    /** Signs for every line so far. */
    @Transactional
    public void sign(Battery battery, String licence, Person by) {
        record.lock(battery);
        List<WrittenLine> lines = ledger.written(battery.id());
        WrittenLine last = lines.get(lines.size() - 1);
        BatteryEvent signed = new BatteryEvent.Signed(states.instant(), last.hash());
        NewEntry line = LedgerEvents.entry(signed, by.id(), by.name() + ", " + licence);
        record.record(battery, List.of(line.with(new LedgerPayload.Signature(last.seq(), licence))));
    }

    /** @return every signature, newest first */
    public List<Signature> of(Battery battery) {
        List<WrittenLine> lines = ledger.written(battery.id());
        return lines.stream()
                .filter(line -> line.entry().kind() == EntryKind.SIGNED)
                .map(line -> signature(line, lines))
                .sorted((a, b) -> Integer.compare(b.seq(), a.seq()))
                .toList();
    }

    private static Signature signature(WrittenLine line, List<WrittenLine> lines) {
        LedgerPayload.Signature signed = line.entry().told(LedgerPayload.Signature.class);
        String seal = Objects.requireNonNullElse(
                line.entry().told(LedgerPayload.Seal.class).seal(), "");
        Optional<WrittenLine> covered =
                lines.stream().filter(one -> one.seq() == signed.covers()).findFirst();
        @Nullable String hash = covered.map(WrittenLine::hash).orElse(null);
        return new Signature(
                line.seq(),
                line,
                signed.covers(),
                seal,
                Objects.requireNonNullElse(signed.licence(), ""),
                Objects.equals(hash, seal));
    }
}
