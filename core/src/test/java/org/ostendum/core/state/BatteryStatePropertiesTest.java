package org.ostendum.core.state;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.ostendum.core.defect.DefectKind;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.core.event.Ending;
import org.ostendum.core.event.FullSign;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.measure.Level;
import org.ostendum.core.measure.Round;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.Millilitres;
import org.ostendum.core.quantity.SpecificGravity;
import org.ostendum.core.quantity.Volts;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.state.fact.Facts;
import org.ostendum.core.state.fact.Sheet;

/** What must hold of the fold, whatever happens to a battery and in whichever order it is told. */
class BatteryStatePropertiesTest {
    private static final Instant START = Instant.parse("2026-01-01T06:00:00Z");
    /** Minutes between two events. */
    private static final int SHORTEST = 15;

    private static final int LONGEST = 2880;
    private static final int KINDS = 23;
    /** Generators whose seeds lie close together begin alike. */
    private static final long MIXED = 0x9E3779B97F4A7C15L;

    private static final Sheet SHEET = new Sheet(Told.SIX, Rules.standard());

    private static BatteryFold fold(List<BatteryEvent> events) {
        return BatteryFold.of(SHEET, ZoneOffset.UTC, events);
    }

    /** Events a quarter of an hour to two days apart, of any kind; one number draws one event, so that a history is drawn quickly. */
    @Provide
    Arbitrary<List<BatteryEvent>> histories() {
        return Arbitraries.longs().list().ofMaxSize(30).map(drawn -> {
            List<BatteryEvent> events = new ArrayList<>();
            Instant at = START;
            for (long one : drawn) {
                Random random = new Random(one * MIXED);
                at = at.plus(Duration.ofMinutes(SHORTEST + random.nextInt(LONGEST - SHORTEST + 1)));
                events.add(event(random.nextInt(KINDS), at, random));
            }
            return events;
        });
    }

    private static BatteryEvent event(int kind, Instant at, Random random) {
        Ending[] endings = Ending.values();
        return switch (kind) {
            case 0, 1, 2 ->
                new BatteryEvent.Worked(at, random.nextInt(5) == 0 ? null : AmpHours.of(random.nextInt(260)));
            case 3, 4 -> new BatteryEvent.ChargeStarted(at, ChargeKind.CONVENTIONAL, null);
            case 5, 6, 7 ->
                new BatteryEvent.ChargeEnded(
                        at,
                        endings[random.nextInt(endings.length)],
                        Set.of(FullSign.values()[random.nextInt(4)]),
                        random.nextBoolean() ? null : AmpHours.of(random.nextInt(300)));
            case 8 -> new BatteryEvent.Equalised(at, Duration.ofHours(random.nextInt(40)));
            case 9, 10 ->
                new BatteryEvent.Watered(
                        at,
                        random.nextBoolean() ? null : new Millilitres(random.nextInt(1200)),
                        random.nextInt(3) > 0 ? null : (Integer) (1 + random.nextInt(6)),
                        BatteryEvent.Fill.values()[random.nextInt(3)]);
            case 11 ->
                new BatteryEvent.DrewOff(at, null, random.nextBoolean() ? null : (Integer) (1 + random.nextInt(6)));
            case 12 -> new BatteryEvent.LevelRead(at, 1 + random.nextInt(6), random.nextInt(60) - 20);
            case 13 -> new BatteryEvent.TemperatureRead(at, Celsius.of(random.nextInt(80) - 15));
            case 14 -> new BatteryEvent.HottestOfCharge(at, Celsius.of(20 + random.nextInt(40)));
            case 15 -> new BatteryEvent.StoodFlat(at, Duration.ofHours(random.nextInt(100)));
            case 16 -> new BatteryEvent.CellReplaced(at, 1 + random.nextInt(6), null);
            case 17 ->
                new BatteryEvent.DefectFound(
                        at, "d" + random.nextInt(3), DefectKind.values()[random.nextInt(DefectKind.values().length)]);
            case 18 -> new BatteryEvent.DefectRighted(at, "d" + random.nextInt(3));
            case 19 -> random.nextBoolean() ? new BatteryEvent.Held(at, "waits") : new BatteryEvent.Released(at);
            case 20 ->
                random.nextBoolean()
                        ? new BatteryEvent.Arrived(at, random.nextBoolean())
                        : new BatteryEvent.Commissioned(at);
            case 21 -> new BatteryEvent.RestVoltageRead(at, Volts.of(1.9 + random.nextInt(25) / 100.0));
            default -> new BatteryEvent.RoundTaken(round(at, random));
        };
    }

    private static Round round(Instant at, Random random) {
        RoundState[] states = RoundState.values();
        int middle = 1150 + random.nextInt(140);
        List<CellReading> readings = IntStream.rangeClosed(1, 6)
                .filter(cell -> random.nextInt(5) > 0)
                .mapToObj(cell -> new CellReading(
                        cell,
                        random.nextInt(6) == 0 ? null : SpecificGravity.ofPoints(middle + random.nextInt(70) - 40),
                        false,
                        random.nextBoolean(),
                        null,
                        null,
                        false,
                        random.nextInt(3) == 0 ? null : Level.values()[random.nextInt(4)],
                        null))
                .toList();
        return new Round(at, states[random.nextInt(states.length)], Celsius.of(10 + random.nextInt(40)), readings);
    }

    @Property(tries = 10_000)
    void contradictionsCannotBeSaid(@ForAll("histories") List<BatteryEvent> events, @ForAll Random random) {
        Instant last = events.isEmpty() ? START : events.get(events.size() - 1).at();
        Instant now = last.plus(Duration.ofMinutes(random.nextInt(3) == 0 ? 0 : random.nextInt(60 * 24 * 50)));
        assertThat(Contradictions.in(fold(events).at(now, Surroundings.NOTHING)))
                .isEmpty();
    }

    /** The test above can fail: one half of each pair is said somewhere. */
    @Example
    void oneHalfOfEachPairIsSaidSomewhere() {
        Set<String> said = new HashSet<>();
        Random random = new Random(7);
        for (int i = 0; i < 3000 && said.size() < Contradictions.names().size(); i++) {
            List<BatteryEvent> events = new ArrayList<>();
            Instant at = START;
            for (int n = 0; n < 12; n++) {
                at = at.plus(Duration.ofMinutes(15 + random.nextInt(1400)));
                events.add(event(random.nextInt(KINDS), at, random));
                said.addAll(Contradictions.half(fold(events).at(at, Surroundings.NOTHING)));
            }
        }
        assertThat(said).containsAll(Contradictions.names());
    }

    @Property(tries = 500)
    void theFoldOfABeginningAndThenOfTheRestIsTheFoldOfAll(
            @ForAll("histories") List<BatteryEvent> events, @ForAll Random random) {
        int cut = events.isEmpty() ? 0 : random.nextInt(events.size());
        BatteryFold beginning = fold(events.subList(0, cut));
        List<BatteryEvent> log = new ArrayList<>(events.subList(0, cut));
        log.removeIf(BatteryEvent.RoundTaken.class::isInstance);
        BatteryFold rest = BatteryFold.resume(SHEET, ZoneOffset.UTC, beginning.snapshot(), beginning.rounds(), log);
        events.subList(cut, events.size()).forEach(rest::fold);
        assertThat(rest.snapshot()).isEqualTo(fold(events).snapshot());
    }

    @Property(tries = 500)
    void lateEventsFoldAsIfInTime(@ForAll("histories") List<BatteryEvent> events, @ForAll Random random) {
        List<BatteryEvent> told = new ArrayList<>(events);
        Collections.shuffle(told, random);
        assertThat(fold(told).snapshot()).isEqualTo(fold(events).snapshot());
    }

    /** A note, a move and a wash say nothing of charge, water and findings. */
    @Property(tries = 500)
    void eventsWithoutEvidenceAboutAFactLeaveIt(@ForAll("histories") List<BatteryEvent> events) {
        BatteryFold fold = fold(events);
        Facts before = fold.snapshot().facts();
        Findings findings = fold.snapshot().findings();
        Instant at = fold.snapshot().upTo() == null ? START : fold.snapshot().upTo();
        fold.fold(new BatteryEvent.Washed(at)).fold(new BatteryEvent.Moved(at, "A 3", null));
        assertThat(fold.snapshot().facts().charge()).isEqualTo(before.charge());
        assertThat(fold.snapshot().facts().water()).isEqualTo(before.water());
        assertThat(fold.snapshot().findings()).isEqualTo(findings);
    }

    @Property(tries = 200)
    void aRoundSentTwiceIsOneRound(@ForAll("histories") List<BatteryEvent> events) {
        List<BatteryEvent> twice = new ArrayList<>(events);
        events.stream().filter(BatteryEvent.RoundTaken.class::isInstance).forEach(twice::add);
        twice.sort(Comparator.comparing(BatteryEvent::at));
        assertThat(fold(twice).snapshot()).isEqualTo(fold(events).snapshot());
    }
}
