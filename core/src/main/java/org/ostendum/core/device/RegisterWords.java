package org.ostendum.core.device;

import java.util.List;

/** Writes and reads the fields of a block one after the other. Numbers of 32 bits take two words, the higher first. */
final class RegisterWords {
    /** A contact: open, closed. */
    static final List<Boolean> CONTACT = List.of(false, true);

    private static final int WORD = 0xFFFF;

    private final int[] words;
    private int next;
    private boolean sound = true;

    private RegisterWords(int[] words) {
        this.words = words;
    }

    static RegisterWords toWrite(int length) {
        return new RegisterWords(new int[length]);
    }

    /** @param length that the block must have at least */
    static RegisterWords toRead(int[] words, int length) {
        RegisterWords reading = new RegisterWords(words.clone());
        reading.sound = words.length >= length;
        return reading;
    }

    RegisterWords put(long value) {
        words[next++] = (int) (value & WORD);
        return this;
    }

    /** Puts the place of a value in the order of the wire. */
    <E> RegisterWords put(E value, List<E> values) {
        return put(values.indexOf(value));
    }

    RegisterWords putLong(long value) {
        return put(value >> 16).put(value);
    }

    int[] written() {
        return words.clone();
    }

    /** @return 0 to 65535 */
    int word() {
        if (next >= words.length) {
            sound = false;
            return 0;
        }
        return words[next++] & WORD;
    }

    /** @return −32768 to 32767 */
    int signed() {
        return (short) word();
    }

    long doubleWord() {
        long high = word();
        return high << 16 | word();
    }

    /** @return one of the values by its place; the last, and the block is unsound, where there is none */
    <E> E oneOf(List<E> values) {
        int at = word();
        expect(at < values.size());
        return values.get(Math.min(at, values.size() - 1));
    }

    void expect(boolean holds) {
        sound &= holds;
    }

    /** @return whether all that was read so far can be */
    boolean isSound() {
        return sound;
    }
}
