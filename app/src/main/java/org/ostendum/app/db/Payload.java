package org.ostendum.app.db;

import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** JSON as a tree, where what is in it is not known beforehand. */
public final class Payload {
    private static final JsonMapper JSON = JsonMapper.shared();

    private Payload() {}

    public static ObjectNode object() {
        return JSON.createObjectNode();
    }

    public static JsonNode read(String payload) {
        return JSON.readTree(payload);
    }
}
