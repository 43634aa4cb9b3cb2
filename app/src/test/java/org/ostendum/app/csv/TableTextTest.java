package org.ostendum.app.csv;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;

class TableTextTest {
    private static String csv(String table) {
        return new String(TableText.csv(table.getBytes(StandardCharsets.UTF_8)), StandardCharsets.UTF_8);
    }

    @Test
    void aTableOfASpreadsheetBecomesCommas() {
        assertThat(csv("room\tname\r\nannex\tBehind, left\r\n")).isEqualTo("room,name\r\nannex,\"Behind, left\"\r\n");
        assertThat(csv("\uFEFFroom;name\nannex;Behind\n")).isEqualTo("room,name\r\nannex,Behind\r\n");
    }

    @Test
    void whatHasCommasStaysAsItIs() {
        String table = "room,name\nannex,\"a;b\"\n";
        assertThat(csv(table)).isEqualTo(table);
        assertThat(csv("no table at all")).isEqualTo("no table at all");
        assertThat(csv("")).isEmpty();
    }

    @Test
    void theFirstColumnTellsWhatItIs() {
        assertThat(TableText.firstColumn("\uFEFF\"Battery\",model\n".getBytes(StandardCharsets.UTF_8)))
                .isEqualTo("battery");
        assertThat(TableText.firstColumn(new byte[0])).isEmpty();
    }
}
