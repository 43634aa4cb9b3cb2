package org.ostendum.core.measure;

import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.SpecificGravity;

/** What one entry on a round's sheet says. */
public sealed interface SheetValue {
    /** Which field of the sheet it stands in. */
    SheetField field();

    /** A gravity as read. */
    record Gravity(SpecificGravity gravity) implements SheetValue {
        @Override
        public SheetField field() {
            return SheetField.GRAVITY;
        }
    }

    /** The level was too low to draw a sample. */
    record TooLow() implements SheetValue {
        @Override
        public SheetField field() {
            return SheetField.TOO_LOW;
        }
    }

    record Seen(Level level) implements SheetValue {
        @Override
        public SheetField field() {
            return SheetField.LEVEL;
        }
    }

    record Coloured(Colour colour) implements SheetValue {
        @Override
        public SheetField field() {
            return SheetField.COLOUR;
        }
    }

    /** Of a cell, or on cell 0 of the whole round. */
    record Warm(Celsius celsius) implements SheetValue {
        @Override
        public SheetField field() {
            return SheetField.TEMPERATURE;
        }
    }

    /** Passed over on purpose. */
    record Skipped() implements SheetValue {
        @Override
        public SheetField field() {
            return SheetField.SKIPPED;
        }
    }
}
