package org.ostendum.app.ledger;

import com.fasterxml.jackson.annotation.JsonInclude;
import org.ostendum.app.db.RecordJson;
import org.ostendum.core.event.BatteryEvent.Fill;
import org.ostendum.core.event.Ending;
import org.ostendum.core.event.FullSign;
import org.ostendum.core.measure.CellReading;
import org.ostendum.core.quantity.Celsius;
import org.ostendum.core.quantity.CorrectedGravity;
import org.ostendum.core.quantity.SpecificGravity;
import org.ostendum.core.quantity.Volts;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.MapperFeature;
import tools.jackson.databind.cfg.EnumFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** What a line keeps, as JSON and back. Written once and hashed as text, so never written again from what was read. */
public final class LedgerText {
    private static final String NOTHING = "{}";

    private static final JsonMapper JSON = RecordJson.builder()
            .changeDefaultPropertyInclusion(kept -> kept.withValueInclusion(JsonInclude.Include.NON_NULL))
            .disable(MapperFeature.SORT_PROPERTIES_ALPHABETICALLY)
            // Lines of older versions keep less, and those of a newer one perhaps other words.
            .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .enable(EnumFeature.READ_UNKNOWN_ENUM_VALUES_AS_NULL)
            .addMixIn(Ending.class, LedgerMixIns.OneWord.class)
            .addMixIn(FullSign.class, LedgerMixIns.OneWord.class)
            .addMixIn(Fill.class, LedgerMixIns.OneWord.class)
            .addMixIn(SpecificGravity.class, LedgerMixIns.Points.class)
            .addMixIn(CorrectedGravity.class, LedgerMixIns.Tenths.class)
            .addMixIn(Celsius.class, LedgerMixIns.Tenths.class)
            .addMixIn(Volts.class, LedgerMixIns.Millivolts.class)
            .addMixIn(CellReading.class, LedgerMixIns.Reading.class)
            .build();

    private LedgerText() {}

    /** @return one JSON object with the members of all; of two of the same name the later one */
    public static String write(LedgerPayload... parts) {
        return text(JSON.createObjectNode(), parts);
    }

    /** @return what a new line keeps, and more */
    static String with(String payload, LedgerPayload... more) {
        return text((ObjectNode) JSON.readTree(payload), more);
    }

    private static String text(ObjectNode all, LedgerPayload... parts) {
        for (LedgerPayload part : parts) {
            all.setAll(JSON.<ObjectNode>valueToTree(part));
        }
        return all.isEmpty() ? NOTHING : all.toString();
    }

    /** @return that part of what a line keeps; its members are null where the line does not keep them */
    public static <P extends LedgerPayload> P read(String payload, Class<P> part) {
        return JSON.readValue(payload, part);
    }
}
