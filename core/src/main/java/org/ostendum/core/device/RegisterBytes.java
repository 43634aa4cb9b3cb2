package org.ostendum.core.device;

import java.nio.ByteBuffer;

/** Registers as they travel: two bytes each, the higher first. */
public final class RegisterBytes {
    private RegisterBytes() {}

    public static byte[] of(int[] registers) {
        ByteBuffer bytes = ByteBuffer.allocate(2 * registers.length);
        for (int register : registers) {
            bytes.putShort((short) register);
        }
        return bytes.array();
    }

    public static int[] registers(byte[] bytes) {
        ByteBuffer buffer = ByteBuffer.wrap(bytes);
        int[] registers = new int[bytes.length / 2];
        for (int i = 0; i < registers.length; i++) {
            registers[i] = buffer.getShort() & 0xFFFF;
        }
        return registers;
    }
}
