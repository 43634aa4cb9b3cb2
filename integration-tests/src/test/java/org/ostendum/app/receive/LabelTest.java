package org.ostendum.app.receive;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import java.awt.image.BufferedImage;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.AsPerson;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;

class LabelTest extends ApplicationTest {
    @Autowired
    private MockMvc mvc;

    /** A phone's camera would read the printed square as the battery's page. */
    @Test
    void thePrintedSquareOpensTheBatterysPage() throws Exception {
        opens("/batteries/T-07", "T-07", "36 V", "600");
    }

    /** And a truck's label as the page that offers its next battery. */
    @Test
    void theSquareOnATruckOpensTheTrucksPage() throws Exception {
        opens("/machines/F1", "F1", "36 V", "goes in next");
        assertThat(AsPerson.tom(mvc).ask(get("/machines/F-none/label.pdf")).getStatus())
                .isEqualTo(404);
    }

    private void opens(String page, String... printed) throws Exception {
        byte[] pdf = AsPerson.tom(mvc).ask(get(page + "/label.pdf")).getContentAsByteArray();
        try (PDDocument document = Loader.loadPDF(pdf)) {
            assertThat(new PDFTextStripper().getText(document)).contains(printed);
            BufferedImage image = new PDFRenderer(document).renderImageWithDPI(0, 200);
            int[] dots = image.getRGB(0, 0, image.getWidth(), image.getHeight(), null, 0, image.getWidth());
            BinaryBitmap bitmap = new BinaryBitmap(
                    new HybridBinarizer(new RGBLuminanceSource(image.getWidth(), image.getHeight(), dots)));
            assertThat(new QRCodeReader().decode(bitmap).getText()).isEqualTo("http://localhost" + page);
        }
    }

    @Test
    void theDrawnLabelCarriesNoScript() throws Exception {
        var answer = AsPerson.tom(mvc).ask(get("/batteries/T-07/label.svg"));
        assertThat(answer.getContentType()).startsWith("image/svg+xml");
        assertThat(answer.getContentAsString()).contains(">T-07<", "<path").doesNotContain("script");
    }
}
