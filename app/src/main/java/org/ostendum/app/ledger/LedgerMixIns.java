package org.ostendum.app.ledger;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonProperty;
import com.fasterxml.jackson.annotation.JsonValue;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.SpecificGravity;
import org.ostendum.core.quantity.Volts;

/** How the ledger writes what the core knows nothing of writing: as one word, as one whole number, under the names it has always had. */
final class LedgerMixIns {
    private LedgerMixIns() {}

    interface OneWord {
        @JsonValue
        String word();
    }

    abstract static class Points {
        @JsonValue
        int points;

        @JsonCreator(mode = JsonCreator.Mode.DELEGATING)
        Points(int points) {}
    }

    abstract static class Tenths {
        @JsonValue
        int tenths;

        @JsonCreator(mode = JsonCreator.Mode.DELEGATING)
        Tenths(int tenths) {}
    }

    abstract static class Millivolts {
        @JsonValue
        int millivolts;

        @JsonCreator(mode = JsonCreator.Mode.DELEGATING)
        Millivolts(int millivolts) {}
    }

    /** A cell's reading; a flag only where it is set. */
    abstract static class Reading {
        @JsonProperty("sg")
        @Nullable
        SpecificGravity gravity;

        @JsonProperty("celsiusTenths")
        @Nullable
        Celsius temperature;

        @JsonProperty("millivolts")
        @Nullable
        Volts volts;

        @JsonInclude(JsonInclude.Include.NON_DEFAULT)
        boolean tooLow;

        @JsonInclude(JsonInclude.Include.NON_DEFAULT)
        boolean confirmed;

        @JsonInclude(JsonInclude.Include.NON_DEFAULT)
        boolean onCharge;
    }
}
