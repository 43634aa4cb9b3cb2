package org.ostendum.web.judgement;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.judge.Case;
import org.ostendum.core.judge.Judge;
import org.ostendum.core.judge.PastRound;
import org.ostendum.core.judge.Verdict;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Coverage;
import org.ostendum.core.measure.EventLog;
import org.ostendum.core.measure.Reliability;
import org.ostendum.core.measure.Round;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.web.store.Battery;
import org.ostendum.web.store.EntryKind;
import org.ostendum.web.store.Ledger;
import org.ostendum.web.store.NewEntry;
import org.ostendum.web.store.Payload;
import org.ostendum.web.store.Rounds;
import org.ostendum.web.store.VerdictText;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Puts rounds on record: judged, written into the ledger with the verdict and its rules' values, readings stored. */
@Service
public class RoundRecord {
    private final Bench bench;
    private final Ledger ledger;
    private final Rounds rounds;

    public RoundRecord(Bench bench, Ledger ledger, Rounds rounds) {
        this.bench = bench;
        this.ledger = ledger;
        this.rounds = rounds;
    }

    /** Puts a round that was taken through the drawing on record. */
    @Transactional
    public void close(Battery battery, long roundId, Round round, Coverage coverage, long personId) {
        Case judged = bench.caseOf(battery, round);
        long entry = write(battery, judged, coverage, personId);
        rounds.close(roundId, entry, coverage, judged.latest());
        bench.refresh(battery);
    }

    /** Puts a round that comes from elsewhere on record; the battery's present state is left for {@link Bench#refresh}. */
    @Transactional
    public void record(Battery battery, Round round, Coverage coverage, long personId) {
        Case judged = bench.caseOf(battery, round);
        long entry = write(battery, judged, coverage, personId);
        rounds.record(battery.id(), personId, entry, coverage, judged.latest());
    }

    /**
     * Puts many old rounds of a battery on record at once. They are kept as they were read; the battery's present state is
     * judged once, from the newest. Needs a transaction.
     *
     * @param rounds none of them on record yet, in the order of time
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void takeIn(Battery battery, List<Round> rounds, EventLog events, long personId) {
        Rules rules = bench.rulesFor(battery);
        List<Long> entries = ledger.append(
                battery.id(),
                rounds.stream().map(round -> taken(battery, round, personId)).toList());
        List<Rounds.Taken> taken = new ArrayList<>();
        for (int i = 0; i < rounds.size(); i++) {
            Round round = rounds.get(i);
            PastRound past = new PastRound(round, Reliability.doubts(round, events.happenings(round.takenAt()), rules));
            taken.add(new Rounds.Taken(entries.get(i), coverage(battery, round), past));
        }
        this.rounds.recordAll(battery.id(), personId, taken);
        bench.refresh(battery);
    }

    private static NewEntry taken(Battery battery, Round round, long personId) {
        ObjectNode payload = readings(round);
        payload.put("coverage", coverage(battery, round).name());
        payload.put("imported", true);
        return new NewEntry(
                EntryKind.ROUND,
                round.takenAt(),
                personId,
                null,
                BigDecimal.valueOf(round.cellsRead()),
                null,
                payload.toString());
    }

    private static Coverage coverage(Battery battery, Round round) {
        int cells = battery.type().model().cells();
        if (round.readings().size() >= cells) {
            return Coverage.WHOLE;
        }
        return round.readings().size() == 1 ? Coverage.PILOT : Coverage.PARTIAL;
    }

    private long write(Battery battery, Case judged, Coverage coverage, long personId) {
        Round round = judged.latest().round();
        Verdict verdict = Judge.judge(judged);
        ObjectNode payload = readings(round);
        payload.put("coverage", coverage.name());
        payload.set("verdict", VerdictText.write(verdict));
        return ledger.append(
                        battery.id(),
                        List.of(new NewEntry(
                                EntryKind.ROUND,
                                round.takenAt(),
                                personId,
                                null,
                                BigDecimal.valueOf(round.cellsRead()),
                                null,
                                payload.toString())))
                .get(0);
    }

    /** The readings as a ledger line keeps them, so that readings changed behind its back show. */
    static ObjectNode readings(Round round) {
        ObjectNode node = Payload.object();
        node.put("state", round.state().name());
        if (round.temperature() != null) {
            node.put("celsiusTenths", round.temperature().tenths());
        }
        ArrayNode cells = node.putArray("cells");
        round.readings().forEach(r -> cells.add(reading(r)));
        return node;
    }

    static ObjectNode reading(CellReading reading) {
        ObjectNode node = Payload.object();
        node.put("cell", reading.cell());
        put(node, "sg", reading.gravity() == null ? null : reading.gravity().points());
        put(
                node,
                "celsiusTenths",
                reading.temperature() == null ? null : reading.temperature().tenths());
        put(node, "millivolts", reading.volts() == null ? null : reading.volts().millivolts());
        put(node, "level", reading.level() == null ? null : reading.level().name());
        put(node, "colour", reading.colour() == null ? null : reading.colour().name());
        flag(node, "tooLow", reading.tooLow());
        flag(node, "confirmed", reading.confirmed());
        flag(node, "onCharge", reading.onCharge());
        return node;
    }

    private static void put(ObjectNode node, String name, @Nullable Integer value) {
        if (value != null) {
            node.put(name, value);
        }
    }

    private static void put(ObjectNode node, String name, @Nullable String value) {
        if (value != null) {
            node.put(name, value);
        }
    }

    private static void flag(ObjectNode node, String name, boolean value) {
        if (value) {
            node.put(name, true);
        }
    }
}
