package org.ostendum.core.judge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.ostendum.core.judge.Cases.BLOCKS;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.ostendum.core.event.BatteryEvent;
import org.ostendum.core.event.BatteryEvent.ChargeEnded;
import org.ostendum.core.event.BatteryEvent.Worked;
import org.ostendum.core.measure.RoundState;
import org.ostendum.core.quantity.AmpHours;

/**
 * What the judge says of hundreds of small histories, each a step away from its neighbour, held against the pages of
 * {@code src/test/resources/casebook}: where a limit moves, the page shows which batteries are told something else. A page is
 * written anew with {@code -Dcasebook.write=true}, and is then to be read line by line before it is kept.
 */
class CasebookTest {
    private static final Path PAGES = Path.of("src/test/resources/casebook");
    private static final int CELL = 3;
    private static final double USUAL = 2.62;

    private final List<String> lines = new ArrayList<>();

    private void tell(String of, History history) {
        lines.add(of + ": " + VerdictLine.of(history.judged()));
    }

    private void isAsOn(String page) throws IOException {
        Path file = PAGES.resolve(page + ".txt");
        if (Boolean.getBoolean("casebook.write")) {
            Files.write(file, lines);
        }
        assertThat(lines).isEqualTo(Files.readAllLines(file));
    }

    private static History six(int rounds) {
        return new History(Cases.SIX, rounds);
    }

    /** A meter that scatters by so many mV, the same in each run. */
    private static double noise(int round, int cell, double millivolts) {
        return millivolts * (Math.floorMod(31 * round + 17 * cell, 7) - 3) / 3000;
    }

    @Test
    void aCellThatFallsEvenly() throws IOException {
        for (int rounds : new int[] {5, 6, 7, 9, 12, 20}) {
            for (int tenths : new int[] {5, 10, 12, 15, 20, 25, 30, 40, 60}) {
                tell(rounds + " rounds, " + tenths / 10.0 + " points a round", falling(rounds, tenths, 0));
            }
        }
        for (int since : new int[] {2, 4, 6, 7, 8, 9}) {
            for (int tenths : new int[] {10, 20, 30, 40, 60}) {
                tell("since round " + since + ", " + tenths / 10.0 + " points a round", falling(12, tenths, since));
            }
        }
        isAsOn("falling");
    }

    private static History falling(int rounds, int tenths, int since) {
        return six(rounds)
                .drawnTwice(CELL)
                .below((round, cell) -> cell == CELL ? tenths * Math.max(0, round - since) / 10 : 0);
    }

    @Test
    void aFallThatEndsOrTurns() throws IOException {
        for (int last : new int[] {0, 4, 6, 8, 10, 12, 16, 20, 24}) {
            tell(
                    "falls by 2 to 20 points, then reads " + last,
                    six(12).drawnTwice(CELL).below((round, cell) -> cell != CELL ? 0 : round == 11 ? last : 2 * round));
        }
        for (int turns = 4; turns <= 11; turns++) {
            int at = turns;
            tell(
                    "falls by 3 points a round until round " + at,
                    six(12).drawnTwice(CELL).below((round, cell) -> cell == CELL ? 3 * Math.min(at, round) : 0));
        }
        for (int hop = 2; hop <= 10; hop += 2) {
            int by = hop;
            tell(
                    "falls by 2 points a round among readings that hop by " + hop,
                    six(12).drawnTwice(CELL)
                            .below((round, cell) ->
                                    (cell == CELL ? 2 * round : 0) + Math.floorMod(5 * round + 3 * cell, by)));
        }
        isAsOn("falls-that-turn");
    }

    @Test
    void aCellThatDropsInOneStep() throws IOException {
        for (int at = 1; at <= 11; at++) {
            for (int step : new int[] {12, 16, 20, 40}) {
                int round = at;
                tell("by " + step + " points at round " + at + " of 12", dropping(12, round, step, 0, 0));
            }
        }
        for (int rounds = 6; rounds <= 9; rounds++) {
            tell("by 20 points at round 4 of " + rounds, dropping(rounds, 4, 20, 0, 0));
        }
        for (int before = 0; before <= 8; before++) {
            tell("by 20 points, " + before + " of them the round before", dropping(12, 6, 20, before, 0));
        }
        for (int after = -8; after <= 8; after += 2) {
            tell("by 20 points, then " + after + " more", dropping(12, 6, 20, 0, after));
        }
        isAsOn("steps");
    }

    private static History dropping(int rounds, int at, int step, int before, int after) {
        return six(rounds).drawnTwice(CELL).below((round, cell) -> {
            if (cell != CELL || round < at - 1) {
                return 0;
            }
            return round == at - 1 ? before : step + (round >= at + 2 ? after : 0);
        });
    }

    @Test
    void aCellThatIsAwayOnCharge() throws IOException {
        for (int fall : new int[] {0, 2}) {
            for (int millivolts :
                    new int[] {-200, -199, -80, -51, -50, -49, -30, 0, 30, 49, 50, 51, 80, 199, 200, 300}) {
                for (int since : new int[] {0, 3, 6, 8, 9}) {
                    tell(
                            "falls by " + fall + ", " + millivolts + " mV since round " + since,
                            away(10, fall, millivolts, since, 0));
                }
            }
        }
        isAsOn("on-charge");
    }

    private static History away(int rounds, int fall, int millivolts, int since, double scatter) {
        return six(rounds)
                .drawnTwice(CELL)
                .below((round, cell) -> cell == CELL ? fall * round : 0)
                .onCharge((round, cell) -> USUAL
                        + (cell == CELL && round >= since ? millivolts / 1000.0 : 0)
                        + noise(round, cell, scatter));
    }

    @Test
    void aMeterThatScatters() throws IOException {
        for (int scatter : new int[] {5, 10, 15, 20, 30}) {
            for (int millivolts : new int[] {-150, -100, -80, -60, 60, 80, 100, 150}) {
                tell(scatter + " mV of scatter, " + millivolts + " mV away", away(10, 2, millivolts, 5, scatter));
            }
        }
        for (int rounds = 1; rounds <= 7; rounds++) {
            tell(rounds + " rounds, 80 mV below since the last", away(rounds, 0, -80, rounds - 1, 0));
            tell(rounds + " rounds, 80 mV below always", away(rounds, 4, -80, 0, 0));
        }
        isAsOn("scattering-meter");
    }

    @Test
    void blocksThatFallTogether() throws IOException {
        for (int tenths : new int[] {3, 5, 6, 8, 10, 20}) {
            for (int cells : new int[] {2, 3, 6, 7, 9}) {
                for (boolean minus : new boolean[] {false, true}) {
                    int from = minus ? 19 - cells : 1;
                    tell(
                            "cells " + from + " to " + (from + cells - 1) + ", " + tenths / 10.0 + " points a round",
                            new History(BLOCKS, 10)
                                    .below((round, cell) ->
                                            cell >= from && cell < from + cells ? tenths * round / 10 : 0));
                }
            }
        }
        for (int last : new int[] {0, 2, 4, 6, 8, 12}) {
            tell(
                    "the third of three falls by " + last + " of 8",
                    new History(BLOCKS, 10).below((round, cell) -> cell > 3 ? 0 : (cell == 3 ? last : 8) * round / 9));
        }
        for (int points : new int[] {8, 10, 12, 13, 14, 16, 20}) {
            tell(
                    "a block at once by " + points,
                    new History(BLOCKS, 10).below((round, cell) -> cell <= 3 && round == 9 ? points : 0));
        }
        for (int rounds = 4; rounds <= 7; rounds++) {
            tell(
                    rounds + " rounds, a block by 2 a round",
                    new History(BLOCKS, rounds).below((round, cell) -> cell <= 3 ? 2 * round : 0));
        }
        for (int lifted = 0; lifted <= 8; lifted += 2) {
            int lift = lifted;
            tell(
                    "a block by 8, equalised each third round and lifted by " + lift,
                    new History(BLOCKS, 12)
                            .state((round, cell) -> round % 3 == 2 ? RoundState.AFTER_EQUALISE : RoundState.FULL_CHARGE)
                            .below((round, cell) -> cell > 3 || round < 2 ? 0 : round % 3 == 2 ? 8 - lift : 8));
        }
        isAsOn("tapped");
    }

    @Test
    void aBlockAwayOnCharge() throws IOException {
        for (int brothers : new int[] {-80, -40, -20, -19, 0, 20, 80}) {
            tell(
                    "one cell 80 mV below, its brothers " + brothers,
                    new History(BLOCKS, 10)
                            .drawnTwice(4)
                            .below((round, cell) -> cell == 4 ? 2 * round : 0)
                            .onCharge((round, cell) -> USUAL
                                    + (round < 4
                                            ? 0
                                            : cell == 4 ? -0.08 : cell == 5 || cell == 6 ? brothers / 1000.0 : 0)));
        }
        isAsOn("block-on-charge");
    }

    /** Each day of the last weeks 150 Ah out and so much of it back. */
    private static List<BatteryEvent> returns(int percent, int days) {
        return IntStream.rangeClosed(1, days)
                .mapToObj(day -> List.<BatteryEvent>of(
                        new Worked(History.daysAgo(day), AmpHours.of(150)),
                        ChargeEnded.unstated(History.daysAgo(day - 0.5), AmpHours.of(150 * percent / 100.0))))
                .flatMap(List::stream)
                .toList();
    }

    /** Each so many rounds one follows an equalising charge. */
    private static History equalised(int rounds, int each, int below, int lifted) {
        return six(rounds)
                .state((round, cell) ->
                        isEqualised(rounds, round, each) ? RoundState.AFTER_EQUALISE : RoundState.FULL_CHARGE)
                .below((round, cell) -> below - (isEqualised(rounds, round, each) ? lifted : 0));
    }

    private static boolean isEqualised(int rounds, int round, int each) {
        return (rounds - 1 - round) % each == each - 1;
    }

    @Test
    void allCellsLow() throws IOException {
        for (int below : new int[] {10, 14, 16, 17, 18, 25}) {
            for (int percent : new int[] {0, 100, 104, 105, 112}) {
                tell(
                        below + " below, " + percent + " % back",
                        equalised(6, 99, below, 0).happened(percent == 0 ? List.of() : returns(percent, 29)));
            }
        }
        for (int days = 6; days <= 10; days++) {
            tell(
                    "25 below, 100 % back in " + days + " charges",
                    equalised(6, 99, 25, 0).happened(returns(100, days)));
        }
        isAsOn("low");
    }

    @Test
    void allCellsLowAndEqualised() throws IOException {
        for (int percent : new int[] {0, 112}) {
            for (int below : new int[] {10, 25}) {
                for (int lifted : new int[] {0, 3, 5, 6, 7, 8, 10, 12, 14, 16, 20, 25}) {
                    for (int each : new int[] {2, 3}) {
                        tell(
                                percent + " % back, " + below + " below, lifted by " + lifted + " each " + each,
                                equalised(9, each, below, lifted)
                                        .happened(percent == 0 ? List.of() : returns(percent, 29)));
                    }
                }
            }
        }
        for (int rounds = 2; rounds <= 8; rounds++) {
            tell(rounds + " rounds, lifted by 25", equalised(rounds, 2, 25, 25).happened(returns(112, 29)));
            tell(rounds + " rounds, lifted by 0", equalised(rounds, 2, 25, 0).happened(returns(112, 29)));
        }
        for (int days : new int[] {7, 14, 28, 29, 40, 46, 60, 75, 80, 120}) {
            tell(
                    "each " + days + " days, lifted by 25",
                    equalised(9, 2, 25, 25).every(days).happened(returns(112, 29)));
            tell(
                    "each " + days + " days, once in nine",
                    equalised(9, 9, 25, 25).every(days).happened(returns(112, 29)));
        }
        isAsOn("low-equalised");
    }

    @Test
    void allCellsLowSinceTheEqualising() throws IOException {
        for (int drop : new int[] {8, 12, 15, 16, 17, 18, 20, 25}) {
            for (int days : new int[] {14, 22, 23, 45, 46}) {
                tell(
                        "by " + drop + " points in " + 2 * days + " days",
                        six(8).every(days)
                                .state((round, cell) -> round == 5 ? RoundState.AFTER_EQUALISE : RoundState.FULL_CHARGE)
                                .below((round, cell) -> round > 5 ? drop : 0)
                                .happened(returns(112, 29)));
            }
        }
        isAsOn("low-since-equalising");
    }

    @Test
    void allCellsHaveComeDown() throws IOException {
        for (int fall : new int[] {6, 8, 9, 10, 11, 12, 15, 20}) {
            for (int percent : new int[] {0, 100, 112}) {
                for (int rounds : new int[] {5, 6, 9, 12}) {
                    tell(
                            fall + " points over " + rounds + " rounds, " + percent + " % back",
                            six(rounds)
                                    .below((round, cell) -> fall * round / (rounds - 1) - 3)
                                    .happened(percent == 0 ? List.of() : returns(percent, 29)));
                }
            }
            for (int lifted : new int[] {6, 8, 10, 14}) {
                tell(
                        fall + " points, lifted by " + lifted,
                        equalised(12, 3, 0, lifted)
                                .below((round, cell) -> fall * round / 11 - 3)
                                .happened(returns(112, 29)));
            }
        }
        isAsOn("come-down");
    }

    @Test
    void allCellsAwayOnCharge() throws IOException {
        for (int below : new int[] {10, 25}) {
            for (int risen : new int[] {-60, -50, -49, -20, 0, 49, 50, 60}) {
                for (double volts : new double[] {2.38, 2.449, 2.45, 2.62}) {
                    tell(
                            below + " below, " + risen + " mV risen to " + volts,
                            six(9).below((round, cell) -> below)
                                    .onCharge((round, cell) -> volts - (round < 4 ? risen / 1000.0 : 0))
                                    .happened(returns(112, 29)));
                }
            }
        }
        for (int celsius : new int[] {15, 25, 35}) {
            tell(
                    "at " + celsius + " °C",
                    six(9).at(celsius)
                            .below((round, cell) -> 25)
                            .onCharge((round, cell) -> 2.41 + (round < 5 ? 0 : 0.045)));
        }
        isAsOn("all-on-charge");
    }

    @Test
    void aCellFarBelowTheOthers() throws IOException {
        for (int below : new int[] {15, 24, 25, 29, 30, 31, 50}) {
            for (RoundState state : List.of(RoundState.FULL_CHARGE, RoundState.AFTER_EQUALISE, RoundState.IN_SERVICE)) {
                for (int all : new int[] {0, 25}) {
                    for (int percent : new int[] {100, 112}) {
                        tell(
                                below + " below, " + state + ", all " + all + " below full, " + percent + " % back",
                                six(6).drawnTwice(CELL)
                                        .state((round, cell) -> round == 5 ? state : RoundState.FULL_CHARGE)
                                        .below((round, cell) -> all + (cell == CELL && round == 5 ? below : 0))
                                        .happened(returns(percent, 29)));
                    }
                }
            }
        }
        isAsOn("far-below");
    }

    /** Readings that hop by whole divisions of the float; then one cell leaps. */
    @Test
    void aReadingThatLeaps() throws IOException {
        for (int division : new int[] {1, 2, 5, 10}) {
            for (int leap : new int[] {10, 19, 20, 21, 22, 24, 30, 40, 41, 42, 50}) {
                for (int rounds : new int[] {2, 3, 6, 16}) {
                    tell(
                            "divisions of " + division + ", round " + rounds + " leaps by " + leap,
                            six(rounds)
                                    .below((round, cell) -> (cell + round) % 2
                                            + ((round + cell) % 5 == 0 ? division : 0)
                                            + (cell == CELL && round == rounds - 1 ? leap : 0)));
                }
            }
        }
        for (int leap : new int[] {-60, -50, -49, -20, 20, 29, 30, 49, 50, 51}) {
            for (int others : new int[] {0, 28, 29, 30}) {
                tell(
                        "the first round, " + leap + " off, the others within " + (others + 1),
                        six(1).below((round, cell) -> cell == CELL ? leap : cell == 6 ? others : 0));
            }
        }
        for (int again : new int[] {0, 10, 20, 25, 26, 40}) {
            tell(
                    "read 40 off, then " + again,
                    six(8).below((round, cell) -> cell != CELL || round < 6 ? 0 : round == 6 ? 40 : again));
        }
        isAsOn("leaps");
    }
}
