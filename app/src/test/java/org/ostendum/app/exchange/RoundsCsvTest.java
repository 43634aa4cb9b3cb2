package org.ostendum.app.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.StringReader;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.ostendum.app.csv.FileRead;

class RoundsCsvTest {
    private static final String SOUND = "battery,taken_at,state,cell,sg,temperature_c,volts,on_charge,level_mm,note\n"
            + "T-01,2024-03-01T08:00:00Z,full_charge,1,1.265,20,2.12,true,8,\"a \"\"note\"\"\"\n";

    /** Quotes, line ends and strange characters anywhere: lines or problems, never a fault of ours. */
    @Test
    void anyFileIsReadOrRefused() {
        Random random = new Random(4);
        int read = 0;
        int refused = 0;
        for (int i = 0; i < 5000; i++) {
            StringBuilder text = new StringBuilder(SOUND);
            for (int k = 0; k <= random.nextInt(5); k++) {
                text.setCharAt(random.nextInt(text.length()), "\",\n\r;\u0000é9x".charAt(random.nextInt(9)));
            }
            FileRead<RoundsCsv.Line> file = RoundsCsv.read(new StringReader(text.toString()));
            if (file.problems().count() == 0) {
                read++;
            } else {
                refused++;
            }
        }
        assertThat(read).as("some pass").isGreaterThan(20);
        assertThat(refused).as("some do not").isGreaterThan(1000);
    }
}
