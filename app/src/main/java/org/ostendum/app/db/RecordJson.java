package org.ostendum.app.db;

import com.fasterxml.jackson.annotation.JsonAutoDetect.Visibility;
import tools.jackson.databind.json.JsonMapper;

/** Records as JSON: their components, and nothing that is only worked out from them. */
public final class RecordJson {
    private RecordJson() {}

    public static JsonMapper.Builder builder() {
        return JsonMapper.builder().changeDefaultVisibility(seen -> seen.withGetterVisibility(Visibility.NONE)
                .withIsGetterVisibility(Visibility.NONE)
                .withFieldVisibility(Visibility.ANY)
                .withCreatorVisibility(Visibility.ANY));
    }
}
