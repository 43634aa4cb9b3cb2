package org.ostendum.app.photo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.ostendum.app.support.ApplicationTest;
import org.ostendum.app.support.AsPerson;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.MockMvc;

/** What somebody may try to put to a job in place of a photo. */
class PhotosTest extends ApplicationTest {
    @Autowired
    private MockMvc mvc;

    @Autowired
    private Photos photos;

    private AsPerson tom;

    @BeforeEach
    void people() {
        tom = AsPerson.tom(mvc);
    }

    private long job(String code) throws Exception {
        String to = tom.send("/batteries/" + code + "/jobs/receive").getRedirectedUrl();
        return Long.parseLong(to.substring("/jobs/".length()));
    }

    private MockHttpServletResponse upload(long job, String name, String type, byte[] content) throws Exception {
        return tom.ask(multipart("/jobs/" + job + "/photos").file(new MockMultipartFile("photo", name, type, content)));
    }

    private static byte[] picture(int width, int height, String format) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB), format, out);
        return out.toByteArray();
    }

    @Test
    void aPhotoIsKeptOnceSmallerAndWithItsThumbnail() throws Exception {
        long job = job("T-19");
        byte[] large = picture(3000, 1500, "jpeg");
        upload(job, "C:\\pictures\\left side.jpg", "image/jpeg", large);
        upload(job, "again.jpg", "image/jpeg", large);
        List<Photos.PhotoName> kept = photos.of(new Photos.Of(Photos.Subject.JOB, job));
        assertThat(kept).hasSize(1);
        assertThat(kept.get(0).name()).isEqualTo("left side.jpg");
        assertThat(kept.get(0).width()).isEqualTo(2000);
        String page = tom.page("/jobs/" + job);
        assertThat(page).contains("/photos/" + kept.get(0).id() + "?small=true", "alt=\"left side.jpg\"");
        var small = ImageIO.read(new ByteArrayInputStream(
                photos.image(kept.get(0).id(), true).orElseThrow().bytes()));
        assertThat(small.getWidth()).isEqualTo(240);
        assertThat(tom.ask(get("/photos/" + kept.get(0).id())).getContentType()).isEqualTo("image/jpeg");
    }

    /** 40 million dots of 16 bits in a small file: what is unpacked is little more than what is kept. */
    @Test
    void aSmallFileWithManyDotsIsThinnedWhileItIsRead() throws Exception {
        ByteArrayOutputStream many = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(6300, 6300, BufferedImage.TYPE_USHORT_GRAY), "png", many);
        assertThat(many.size()).isLessThan(1_000_000);
        UploadedPhoto.Read read = UploadedPhoto.read("many.png", many.toByteArray());
        assertThat(read.photo()).isNotNull();
        assertThat(read.photo().width()).isEqualTo(2000);
    }

    /** A phone's picture of 12 million dots is read whole; whatever needs more than 64 MB is thinned. */
    @ParameterizedTest
    @CsvSource({
        "4000, 3000, 24, 1",
        "6300, 6300, 16, 2",
        "6300, 6300, 64, 3",
        "8000, 5000, 24, 2",
        "40000, 1000, 64, 3",
        "10, 10, 8, 1"
    })
    void howMuchIsThinnedFollowsFromWhatItWouldNeed(int width, int height, int bits, int each) {
        assertThat(UploadedPhoto.thinning(width, height, bits)).isEqualTo(each);
        assertThat((long) width / each * (height / each) * bits / 8).isLessThanOrEqualTo(UploadedPhoto.MOST_UNPACKED);
    }

    static Stream<Arguments> tricks() throws IOException {
        byte[] sound = picture(40, 30, "png");
        return Stream.of(
                Arguments.of("nothing.jpg", new byte[0], "is empty"),
                Arguments.of("script.svg", utf8("<svg xmlns='x'><script>alert(1)</script></svg>"), "no JPEG or PNG"),
                Arguments.of("page.jpg", utf8("<html><script>alert(1)</script></html>"), "no JPEG or PNG"),
                Arguments.of("program.png", new byte[] {'M', 'Z', 0, 1, 2}, "no JPEG or PNG"),
                Arguments.of("moving.jpg", picture(4, 4, "gif"), "no JPEG or PNG"),
                Arguments.of("cut.png", Arrays.copyOf(sound, 60), "cannot be read"),
                Arguments.of("bomb.png", bomb(60_000, 60_000), "million dots"),
                Arguments.of("zip.jpg", zip(), "no JPEG or PNG"),
                Arguments.of("huge.jpg", new byte[UploadedPhoto.MOST_BYTES + 1], "larger than 8 MB"));
    }

    private static byte[] utf8(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    private static byte[] zip() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            zip.putNextEntry(new ZipEntry("../../etc/passwd"));
            zip.write(new byte[1_000_000]);
        }
        return out.toByteArray();
    }

    /** A few bytes that promise gigabytes of dots. */
    private static byte[] bomb(int width, int height) throws IOException {
        byte[] png = picture(1, 1, "png");
        ByteBuffer buffer = ByteBuffer.wrap(png);
        buffer.putInt(16, width).putInt(20, height);
        CRC32 crc = new CRC32();
        crc.update(png, 12, 17);
        buffer.putInt(29, (int) crc.getValue());
        return png;
    }

    @ParameterizedTest
    @MethodSource("tricks")
    void whatIsNoPhotoIsRefusedByItsContent(String name, byte[] content, String told) throws Exception {
        long job = job("T-22");
        for (String type : List.of("image/jpeg", "image/png", "text/html")) {
            assertThat(upload(job, name, type, content).getRedirectedUrl()).isEqualTo("/jobs/" + job);
        }
        assertThat(photos.of(new Photos.Of(Photos.Subject.JOB, job))).isEmpty();
        MockMultipartFile file = new MockMultipartFile("photo", name, "image/jpeg", content);
        var result = mvc.perform(multipart("/jobs/" + job + "/photos")
                        .file(file)
                        .with(user("tom").roles("TECHNICIAN"))
                        .with(csrf()))
                .andReturn();
        assertThat(String.valueOf(result.getFlashMap().get("fault"))).contains(name, told);
    }

    @Test
    void anyBytesAtAllAreAPhotoOrRefused() throws IOException {
        byte[] sound = picture(60, 40, "jpeg");
        Random random = new Random(11);
        for (int i = 0; i < 400; i++) {
            byte[] bent = sound.clone();
            for (int hits = 0; hits <= i % 9; hits++) {
                bent[random.nextInt(bent.length)] = (byte) random.nextInt(256);
            }
            UploadedPhoto.Read read = UploadedPhoto.read("x", Arrays.copyOf(bent, 1 + random.nextInt(bent.length)));
            assertThat(read.photo() == null).isNotEqualTo(read.fault() == null);
        }
    }

    @ParameterizedTest
    @CsvSource({
        "../../etc/passwd, passwd",
        "..\\..\\boot.ini, boot.ini",
        "<b>x</b>.png, b_.png",
        "...., photo",
        "'', photo",
        "été 3.jpg, été 3.jpg",
    })
    void aNameIsOnlyAName(String sent, String kept) {
        assertThat(UploadedPhoto.cleanName(sent)).isEqualTo(kept);
    }

    @Test
    void aJobTakesTwelve() throws Exception {
        long job = job("T-17");
        for (int i = 1; i <= 14; i++) {
            upload(job, i + ".png", "image/png", picture(10 + i, 10, "png"));
        }
        assertThat(photos.of(new Photos.Of(Photos.Subject.JOB, job))).hasSize(12);
    }

    @Test
    void whoOnlyLooksOnAddsNone() throws Exception {
        long job = job("T-24");
        AsPerson vera = new AsPerson(mvc, "vera", "VIEWER");
        assertThat(vera.ask(multipart("/jobs/" + job + "/photos")
                                .file(new MockMultipartFile("photo", "a.png", "image/png", picture(5, 5, "png"))))
                        .getStatus())
                .isEqualTo(403);
    }
}
