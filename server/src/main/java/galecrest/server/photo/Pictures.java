package galecrest.server.photo;

import galecrest.server.problem.BadInput;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Iterator;
import java.util.Locale;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import net.coobird.thumbnailator.Thumbnails;

/** Takes what was uploaded for a picture only where its content is one, and makes it small. */
final class Pictures {
    private static final int MOST_BYTES = 15 * 1024 * 1024;
    /** A picture of more has been made to exhaust the memory of who opens it. */
    private static final long MOST_PIXELS = 60_000_000;

    private static final int LONGEST = 1600;
    private static final int SMALL = 320;

    private Pictures() {}

    /** A picture without whatever else its file carried (places, names), turned the right way up. */
    record Ready(int width, int height, byte[] content, byte[] small) {}

    /**
     * The picture in a file.
     *
     * @throws BadInput where the content is no JPEG or PNG, or too large
     */
    static Ready read(byte[] file) {
        if (file.length > MOST_BYTES) {
            throw new BadInput("file", "The photo has " + file.length / 1024 / 1024 + " MB; at most 15 MB are taken.");
        }
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(file))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                throw notOne();
            }
            ImageReader reader = readers.next();
            String format = reader.getFormatName().toLowerCase(Locale.ROOT);
            if (!format.equals("jpeg") && !format.equals("png")) {
                throw notOne();
            }
            reader.setInput(in, true, true);
            long pixels = (long) reader.getWidth(0) * reader.getHeight(0);
            reader.dispose();
            if (pixels > MOST_PIXELS) {
                throw new BadInput(
                        "file", "The photo has " + pixels / 1_000_000 + " million dots; at most 60 are taken.");
            }
            byte[] content = scaled(file, LONGEST);
            BufferedImage image = ImageIO.read(new ByteArrayInputStream(content));
            return new Ready(image.getWidth(), image.getHeight(), content, scaled(content, SMALL));
        } catch (IOException | RuntimeException failure) {
            if (failure instanceof BadInput bad) {
                throw bad;
            }
            throw notOne();
        }
    }

    private static byte[] scaled(byte[] file, int longest) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        BufferedImage image =
                Thumbnails.of(new ByteArrayInputStream(file)).scale(1).asBufferedImage();
        int size = Math.min(longest, Math.max(image.getWidth(), image.getHeight()));
        Thumbnails.of(image)
                .size(size, size)
                .imageType(BufferedImage.TYPE_INT_RGB)
                .outputFormat("jpg")
                .outputQuality(0.85)
                .toOutputStream(out);
        return out.toByteArray();
    }

    private static BadInput notOne() {
        return new BadInput("file", "This is no photo: a JPEG or PNG picture is wanted, whatever the file is called.");
    }
}
