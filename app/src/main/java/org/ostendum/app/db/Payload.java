package org.ostendum.app.db;

import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** The JSON a ledger line carries. Written once and hashed as text, so never written again from a tree. */
public final class Payload {
    private static final JsonMapper JSON = JsonMapper.shared();

    private Payload() {}

    public static ObjectNode object() {
        return JSON.createObjectNode();
    }

    public static String remark(String remark) {
        return remark.isBlank() ? "{}" : object().put("remark", remark).toString();
    }

    public static JsonNode read(String payload) {
        return JSON.readTree(payload);
    }
}
