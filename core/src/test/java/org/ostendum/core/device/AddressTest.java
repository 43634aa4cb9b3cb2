package org.ostendum.core.device;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class AddressTest {
    @Test
    void blocksOfTheBankBeginAtEverySixteenthRegister() {
        assertThat(Address.ofCharger(0).block()).isZero();
        assertThat(Address.ofCharger(31).block()).isEqualTo(31);
        assertThat(Address.ofTag(4095).block()).isEqualTo(4095);
        assertThat(new Address(1, 17).block()).isEqualTo(-1);
    }

    @Test
    void registersTravelAsTwoBytesTheHigherFirst() {
        int[] registers = {0, 1, 0x1234, 0xFFFF};
        byte[] bytes = RegisterBytes.of(registers);
        assertThat(bytes).containsExactly(0, 0, 0, 1, 0x12, 0x34, 0xFF, 0xFF);
        assertThat(RegisterBytes.registers(bytes)).containsExactly(registers);
    }
}
