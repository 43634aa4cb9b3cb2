package org.ostendum.app.battery;

import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.draw.BatteryDrawing;
import org.ostendum.app.draw.BatteryPlotter;
import org.ostendum.app.draw.TrendDrawing;
import org.ostendum.app.draw.TrendPlotter;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.Ledger;
import org.ostendum.app.procedure.DoneAt;
import org.ostendum.app.round.CellFigure;
import org.ostendum.app.round.CellFigures;
import org.ostendum.app.round.OpenRound;
import org.ostendum.app.round.OpenRounds;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.state.ClosedRound;
import org.ostendum.app.state.Rounds;
import org.ostendum.app.words.Words;
import org.ostendum.core.electrolyte.TemperatureCorrection;
import org.ostendum.core.judge.DatedGravities;
import org.ostendum.core.judge.Forecast;
import org.ostendum.core.judge.Gravities;
import org.ostendum.core.judge.SharedShift;
import org.ostendum.core.judge.Verdict;
import org.ostendum.core.life.BreakIn;
import org.ostendum.core.life.Cycles;
import org.ostendum.core.life.Prices;
import org.ostendum.core.life.RepairOrReplace;
import org.ostendum.core.measure.Round;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.next.NextThing;
import org.ostendum.core.next.NextThings;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.rulebook.Rulebook;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.state.BatteryState;
import org.springframework.stereotype.Service;

/** Puts together what a battery's page shows. */
@Service
class BatteryViews {
    static final double DRAWN_WIDTH = 840;
    private static final double DRAWN_HEIGHT = 390;
    private static final double TREND_HEIGHT = 210;
    /** A year of weekly rounds. */
    private static final int ROUNDS_PLOTTED = 52;

    private static final int LINES_TOLD = 12;

    private final BatteryStates batteryStates;
    private final Rounds rounds;
    private final OpenRounds openRounds;
    private final Ledger ledger;
    private final ZoneId zone;

    BatteryViews(BatteryStates batteryStates, Rounds rounds, OpenRounds openRounds, Ledger ledger, ZoneId zone) {
        this.batteryStates = batteryStates;
        this.rounds = rounds;
        this.openRounds = openRounds;
        this.ledger = ledger;
        this.zone = zone;
    }

    /**
     * What a battery's page shows.
     *
     * @param last the newest round on record, null for none
     * @param shift of the readings of its room, where it may be why this battery reads low; null for none
     * @param trend null where no gravity is on record
     * @param open a round being taken, null for none
     * @param zone of the site
     */
    record BatteryView(
            Battery battery,
            BatteryDrawing drawing,
            List<CellFigure> cells,
            @Nullable ClosedRound last,
            BatteryState state,
            List<NextThing> things,
            Rules rules,
            @Nullable SharedShift shift,
            @Nullable TrendDrawing trend,
            @Nullable OpenRound open,
            List<LedgerLine> lines,
            ZoneId zone,
            LocalDate today) {

        public Verdict verdict() {
            return state.verdict();
        }

        /** @return null for one that is broken in */
        public @Nullable BreakIn breakIn() {
            return BreakIn.of(
                            battery.inServiceOn(),
                            today,
                            state.charging().cycles().onRecord(),
                            rules)
                    .orElse(null);
        }

        /** @return the forecast that comes true first, null where nothing is forecast */
        public @Nullable Forecast forecast() {
            return state.verdict().firstForecast().orElse(null);
        }

        public long daysTo(LocalDate day) {
            return Math.max(0, ChronoUnit.DAYS.between(today, day));
        }

        /** @return as far as they are on record */
        public Cycles cycles() {
            return state.charging().cycles();
        }

        public int cyclesDone() {
            return cycles().done(battery.inServiceOn(), today, zone);
        }

        public BatteryState.Phase phase() {
            return state.phase();
        }

        public int cellsToRepair() {
            return state.cellsToRenew().size();
        }

        /** @return the sums; null where no cell is to be repaired or nobody has said what the model costs */
        public @Nullable RepairOrReplace repairOrReplace() {
            @Nullable Prices prices = battery.type().prices();
            return prices == null || cellsToRepair() == 0
                    ? null
                    : RepairOrReplace.of(prices, cyclesDone(), cellsToRepair());
        }

        /** @return whether what its last round has of a cell can be put right on the drawing: not where blocks have moved since */
        public boolean isCorrectable() {
            ClosedRound newest = last;
            return newest != null
                    && state.cells()
                            .blocksMovedAt()
                            .filter(moved -> moved.isAfter(newest.past().round().takenAt()))
                            .isEmpty();
        }

        public Celsius reference() {
            return rules.temperatureCorrection().reference();
        }

        /** @return what has to be done before anything that its readings call for; null for nothing */
        public @Nullable NextThing moreUrgent() {
            return NextThings.moreUrgent(things, verdict()).orElse(null);
        }

        /** @return the first thing that is done on a page of its own; null for none */
        public @Nullable NextThing firstJob() {
            return things.stream()
                    .filter(thing -> jobAt(thing) != null)
                    .findFirst()
                    .orElse(null);
        }

        /** @return the page on which a thing is done on this battery; null where none does it */
        public @Nullable String jobAt(NextThing thing) {
            return DoneAt.page(thing);
        }

        public List<String> stateWords(Words words) {
            return StateWords.of(state, words);
        }

        public int minutesForRound() {
            return 3 + battery.type().model().cells() / 4;
        }

        public int cellsRead() {
            return open == null ? 0 : open.sheet(battery.type().model().cells()).cellsRead();
        }
    }

    BatteryView view(Battery battery, Words words) {
        Rulebook book = batteryStates.rulebook();
        Rules rules = book.rulesFor(battery.type().id());
        BatteryState state = batteryStates
                .statesOf(List.of(battery), book)
                .values()
                .iterator()
                .next();
        List<ClosedRound> history = rounds.history(battery.id(), ROUNDS_PLOTTED);
        @Nullable ClosedRound last = history.isEmpty() ? null : history.get(history.size() - 1);
        BatteryDrawing drawing =
                BatteryPlotter.plot(battery.layout(), battery.type().cablesLeft(), DRAWN_WIDTH, DRAWN_HEIGHT);
        Round round = last == null
                ? new Round(batteryStates.instant(), RoundState.UNKNOWN, null, List.of())
                : state.cells().asTheyStand(last.past()).round();
        TemperatureCorrection correction = rules.temperatureCorrection();
        return new BatteryView(
                battery,
                drawing,
                CellFigures.corrected(
                        drawing,
                        round,
                        correction,
                        state.verdict(),
                        state.cells().bridged().keySet(),
                        words),
                last,
                state,
                NextThings.of(battery.code(), state),
                rules,
                state.doubt(),
                trend(battery, history, correction, state, words),
                openRounds.of(battery.id()).orElse(null),
                ledger.ofBattery(battery.id(), null, LINES_TOLD).stream()
                        .map(entry -> LedgerLine.of(entry, words))
                        .toList(),
                zone,
                LocalDate.ofInstant(batteryStates.instant(), zone));
    }

    private @Nullable TrendDrawing trend(
            Battery battery,
            List<ClosedRound> history,
            TemperatureCorrection correction,
            BatteryState state,
            Words words) {
        List<DatedGravities> sound = history.stream()
                .map(closed -> state.cells().asTheyStand(closed.past()))
                .filter(past -> past.isSound() && past.round().state().isFull())
                .map(past -> new DatedGravities(
                        past.round().takenAt(), past.round().state(), Gravities.of(past.round(), correction)))
                .filter(dated -> !dated.gravities().isEmpty())
                .toList();
        return sound.isEmpty()
                ? null
                : TrendPlotter.plot(
                        sound,
                        battery.type().model().marks(),
                        CellFigures.held(state.verdict()),
                        words,
                        zone,
                        DRAWN_WIDTH,
                        TREND_HEIGHT);
    }
}
