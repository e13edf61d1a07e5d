package galecrest.server.photo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.sun.management.ThreadMXBean;
import galecrest.server.problem.ValidationException;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.zip.CRC32;
import java.util.zip.DeflaterOutputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is uploaded as a photo: small files that are huge when they are opened, and pictures as cameras make them. */
class PicturesTest {
    private static final int MEGABYTE = 1024 * 1024;
    private static final int SPOILT = 300;

    /** A PNG (W3C, third edition) of one colour, of so many dots a side and bits a sample; nothing of it is held whole. */
    private static byte[] png(int side, int bits, int colourType, int samples) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(new byte[] {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1a, '\n'});
        ByteArrayOutputStream header = new ByteArrayOutputStream();
        DataOutputStream head = new DataOutputStream(header);
        head.writeInt(side);
        head.writeInt(side);
        head.write(new byte[] {(byte) bits, (byte) colourType, 0, 0, 0});
        chunk(out, "IHDR", header.toByteArray());
        ByteArrayOutputStream packed = new ByteArrayOutputStream();
        try (DeflaterOutputStream rows = new DeflaterOutputStream(packed)) {
            byte[] row = new byte[1 + side * samples * bits / 8];
            for (int y = 0; y < side; y++) {
                rows.write(row);
            }
        }
        chunk(out, "IDAT", packed.toByteArray());
        chunk(out, "IEND", new byte[0]);
        return out.toByteArray();
    }

    private static void chunk(ByteArrayOutputStream out, String type, byte[] data) throws IOException {
        DataOutputStream to = new DataOutputStream(out);
        to.writeInt(data.length);
        byte[] name = type.getBytes(StandardCharsets.US_ASCII);
        to.write(name);
        to.write(data);
        CRC32 sum = new CRC32();
        sum.update(name);
        sum.update(data);
        to.writeInt((int) sum.getValue());
    }

    private static long allocated(Runnable work) {
        ThreadMXBean threads = (ThreadMXBean) ManagementFactory.getThreadMXBean();
        long id = Thread.currentThread().getId();
        long before = threads.getThreadAllocatedBytes(id);
        work.run();
        return threads.getThreadAllocatedBytes(id) - before;
    }

    /** 60 million dots of four samples of 16 bits would take 480 MB: refused by its header alone. */
    @Test
    void whatWouldTakeHalfAGigabyteIsNotOpened() throws IOException {
        byte[] file = png(7745, 16, 6, 4);
        assertThat(file.length).isLessThan(MEGABYTE);
        long taken = allocated(() -> assertThatThrownBy(() -> Pictures.read(file))
                .isInstanceOf(ValidationException.class)
                .hasMessageContaining("send it smaller"));
        assertThat(taken).isLessThan(8L * MEGABYTE);
    }

    /** As many dots in one sample of 16 bits, 120 MB if it were opened whole: read small, without ever holding it. */
    @Test
    void aLargePictureTakesNoMoreMemoryThanASmallOne() throws IOException {
        byte[] file = png(7745, 16, 0, 1);
        Pictures.Ready[] ready = new Pictures.Ready[1];
        long taken = allocated(() -> ready[0] = Pictures.read(file));
        assertThat(Math.max(ready[0].width(), ready[0].height())).isEqualTo(1600);
        assertThat(taken)
                .as("bytes taken one after another, most of them rows that are gone again")
                .isLessThan(160L * MEGABYTE);
    }

    @Test
    void aPictureKeepsItsShape() throws IOException {
        BufferedImage image = new BufferedImage(3000, 1500, BufferedImage.TYPE_INT_RGB);
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        ImageIO.write(image, "jpg", file);
        Pictures.Ready ready = Pictures.read(file.toByteArray());
        assertThat(ready.width()).isEqualTo(1600);
        assertThat(ready.height()).isEqualTo(800);
        BufferedImage small = ImageIO.read(new ByteArrayInputStream(ready.small()));
        assertThat(small.getWidth()).isEqualTo(320);
        BufferedImage large = ImageIO.read(new ByteArrayInputStream(ready.content()));
        assertThat(large.getWidth()).isEqualTo(1600);
    }

    @Test
    void aSmallPictureIsNotBlownUp() throws IOException {
        Pictures.Ready ready = Pictures.read(png(90, 8, 2, 3));
        assertThat(ready.width()).isEqualTo(90);
    }

    private static byte[] picture(String format) throws IOException {
        BufferedImage picture = new BufferedImage(90, 60, BufferedImage.TYPE_INT_RGB);
        for (int i = 0; i < 90 * 60; i++) {
            picture.setRGB(i % 90, i / 90, i * 2_654_435);
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(picture, format, out);
        return out.toByteArray();
    }

    /** Bytes turned, cut off, doubled: it is a picture or none, and nothing else goes wrong. */
    @ParameterizedTest
    @ValueSource(strings = {"jpg", "png", "gif", "bmp"})
    @Timeout(value = 120, unit = TimeUnit.SECONDS, threadMode = Timeout.ThreadMode.SEPARATE_THREAD)
    void spoiltPicturesAreTakenOrRefused(String format) throws IOException {
        Random random = new Random(20);
        byte[] whole = picture(format);
        int taken = 0;
        for (int i = 0; i < SPOILT; i++) {
            byte[] file = random.nextInt(4) == 0 ? Arrays.copyOf(whole, random.nextInt(whole.length)) : whole.clone();
            for (int k = random.nextInt(6); k > 0 && file.length > 0; k--) {
                // Most of what can be said wrongly is said at the beginning.
                int at = random.nextInt(random.nextBoolean() ? Math.min(64, file.length) : file.length);
                file[at] = (byte) random.nextInt(256);
            }
            try {
                Pictures.Ready ready = Pictures.read(file);
                assertThat(Math.max(ready.width(), ready.height())).isBetween(1, 1600);
                taken++;
            } catch (ValidationException refused) {
                assertThat(refused.problems()).hasSize(1);
            }
        }
        assertThat(taken).isBetween(format.length() == 3 && "jpgpng".contains(format) ? 20 : 0, SPOILT - 20);
    }
}
