package org.ostendum.standins;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.ostendum.core.device.ChargerStatus;
import org.ostendum.core.device.HandOrder;

class SimulatedRoomTest {
    @TempDir
    private Path folder;

    private SimulatedRoom room;

    @BeforeEach
    void readBank() throws IOException {
        room = new SimulatedRoom(
                bank("C1,TAPER_WITH_FINISH,18,100,1.6,", "C2,TIMER,12 18,60,1.6,stops_early"), Map.of(), air());
    }

    private List<org.ostendum.sim.SimulatedCharger> bank(String... lines) throws IOException {
        Path file = folder.resolve("chargers.csv");
        Files.writeString(file, "code,kind,cells,amperes,senses_from,defect\n" + String.join("\n", lines) + "\n");
        return BankFile.read(file);
    }

    private static RoomAir air() {
        return new RoomAir(200, 600);
    }

    private static HandOrder plug(int place, long tag) {
        return new HandOrder(HandOrder.Act.PLUG, place, tag, 18, 6000, 1140, 1285, 600, 0, 0, 0);
    }

    private ChargerStatus at(int place) {
        return room.chargerStatus(place).orElseThrow();
    }

    @Test
    void aPluggedBatteryChargesAndItsTagTellsTheSame() {
        room.obey(plug(0, 17));
        room.pass(Duration.ofMinutes(30));

        assertThat(at(0).state()).isEqualTo(ChargerStatus.State.BULK);
        assertThat(at(0).amperes().amperes()).isEqualTo(100);
        assertThat(room.tagStatus(17).orElseThrow().amperes()).isEqualTo(100);
        assertThat(room.tagStatus(17).orElseThrow().volts()).isEqualTo(at(0).volts());
        assertThat(room.tagStatus(18)).isEmpty();
    }

    @Test
    void whatWasPluggedInHoursAgoHasChargedMeanwhile() {
        room.obey(plug(0, 17).begun(Duration.ofHours(3)));

        assertThat(at(0).running()).isEqualTo(Duration.ofHours(3));
        assertThat(at(0).ampHours().ampHours()).isBetween(200.0, 300.0);
    }

    @Test
    void aBatteryIsNeverOnTwoChargers() {
        room.obey(plug(0, 17));
        room.obey(plug(1, 17));
        room.pass(Duration.ofMinutes(2));

        assertThat(at(0).state()).isEqualTo(ChargerStatus.State.EMPTY);
        assertThat(at(1).state()).isEqualTo(ChargerStatus.State.BULK);
        assertThat(room.obey(plug(2, 17))).as("there is no third charger").isFalse();
    }

    @Test
    void hydrogenGathersWithTheFanOffAndGoesWithItOn() {
        room.obey(HandOrder.of(HandOrder.Act.FAN_OFF, 0));
        room.obey(new HandOrder(HandOrder.Act.PLUG, 0, 17, 18, 6000, 1140, 1285, 0, 600, 600, 0));
        room.pass(Duration.ofHours(4));
        double gathered = room.airStatus().fraction();
        room.obey(HandOrder.of(HandOrder.Act.FAN_ON, 0));
        room.pass(Duration.ofHours(2));

        // 18 cells × 60 A × 0.45 l an hour into 200 m³, a third of it going through the cracks each hour
        assertThat(gathered).isBetween(0.004, 0.012);
        assertThat(room.airStatus().fraction()).isLessThan(gathered / 3);
    }

    @Test
    void theCartCountsWhatItPours() {
        room.obey(plug(0, 17));
        room.obey(HandOrder.pour(17, 100));
        room.pass(Duration.ofMinutes(1));
        assertThat(room.cartStatus().millilitres()).isEqualTo(900);
        room.pass(Duration.ofMinutes(5));
        assertThat(room.cartStatus().millilitres()).isEqualTo(1800);
        assertThat(room.cartStatus().perMinute()).isZero();
    }

    @Test
    void theHydrometerHandsOverARoundOfEveryCell() throws IOException {
        room.obey(plug(0, 17));
        Path file = folder.resolve("hydrometer.csv");
        HydrometerMemory memory =
                new HydrometerMemory(file, () -> Instant.parse("2026-05-04T06:00:00Z"), tag -> "T-17");
        memory.measure(17, room.battery(17).orElseThrow());

        List<String> lines = Files.readAllLines(file);
        assertThat(lines).hasSize(19).first().isEqualTo("battery,taken_at,state,cell,sg,temperature_c");
        assertThat(lines.get(1)).matches("T-17,2026-05-04T06:00:00Z,unknown,1,1\\.1[5-9]\\d,25\\.0");
    }

    @Test
    void aLineOfTheBankThatCannotBeIsNamed() {
        assertThatThrownBy(() -> bank("C1,TAPER_WITH_FINISH,18,100,1.6,", "C2,NONSENSE,12,60,1.6,"))
                .isInstanceOf(IOException.class)
                .hasMessageContaining("line 3")
                .hasMessageContaining("NONSENSE");
    }

    @Test
    void batteriesStandInTheRoomFromTheStart() throws IOException {
        Path file = folder.resolve("batteries.csv");
        Files.writeString(file, "tag,code,cells,capacity_ah,empty,full,missing\n17,T-17,18,600.0,1140,1285,650\n");
        Map<Long, BatteriesFile.Named> standing = BatteriesFile.read(file);

        assertThat(standing.get(17L).code()).isEqualTo("T-17");
        assertThat(standing.get(17L).battery().lacking()).isBetween(380.0, 400.0);
        assertThat(BatteriesFile.read(folder.resolve("none.csv"))).isEmpty();
    }
}
