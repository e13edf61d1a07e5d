package galecrest.server.photo;

import galecrest.server.problem.ValidationException;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Iterator;
import java.util.Locale;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.stream.ImageInputStream;
import net.coobird.thumbnailator.Thumbnails;
import net.coobird.thumbnailator.util.exif.ExifFilterUtils;
import net.coobird.thumbnailator.util.exif.ExifUtils;
import net.coobird.thumbnailator.util.exif.Orientation;

/** Takes what was uploaded for a picture only where its content is one, and makes it small. */
final class Pictures {
    private static final int MOST_BYTES = 15 * 1024 * 1024;
    /** A picture that takes more when it is opened has been made to exhaust the memory of who opens it. */
    private static final long MOST_OPENED = 256L * 1024 * 1024;

    private static final int LONGEST = 1600;
    private static final int SMALL = 320;
    /** So many are opened at once; others wait their turn, so long. */
    private static final Semaphore TURNS = new Semaphore(2);

    private static final int PATIENCE_SECONDS = 30;

    private Pictures() {}

    /** A picture without whatever else its file carried (places, names), turned the right way up. */
    record Ready(int width, int height, byte[] content, byte[] small) {}

    /**
     * The picture in a file.
     *
     * @throws ValidationException where the content is no JPEG or PNG, or too large, or too many come at once
     */
    static Ready read(byte[] file) {
        if (file.length > MOST_BYTES) {
            throw new ValidationException(
                    "file", "The photo has " + file.length / 1024 / 1024 + " MB; at most 15 MB are taken.");
        }
        boolean turn = false;
        try {
            turn = TURNS.tryAcquire(PATIENCE_SECONDS, TimeUnit.SECONDS);
            if (!turn) {
                throw new ValidationException(
                        "file", "Too many photos come in at once; send this one again in a minute.");
            }
            return opened(file);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new ValidationException("file", "The photo was not taken; send it again.");
        } catch (IOException | RuntimeException failure) {
            if (failure instanceof ValidationException bad) {
                throw bad;
            }
            throw notOne();
        } finally {
            if (turn) {
                TURNS.release();
            }
        }
    }

    private static Ready opened(byte[] file) throws IOException {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(file))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                throw notOne();
            }
            ImageReader reader = readers.next();
            try {
                String format = reader.getFormatName().toLowerCase(Locale.ROOT);
                if (!format.equals("jpeg") && !format.equals("png")) {
                    throw notOne();
                }
                reader.setInput(in, false, false);
                return shrunk(reader, format.equals("jpeg"));
            } finally {
                reader.dispose();
            }
        }
    }

    /** Reads no more dots of a picture than are wanted of it, so that a large one takes no more memory than a small one. */
    private static Ready shrunk(ImageReader reader, boolean camera) throws IOException {
        int width = reader.getWidth(0);
        int height = reader.getHeight(0);
        long whole = (long) width * height * bytesOfADot(reader);
        if (whole > MOST_OPENED) {
            throw new ValidationException(
                    "file",
                    "The photo has " + (long) width * height / 1_000_000
                            + " million dots, more than can be opened; send it smaller.");
        }
        int every = Math.max(1, Math.max(width, height) / LONGEST);
        ImageReadParam param = reader.getDefaultReadParam();
        param.setSourceSubsampling(every, every, 0, 0);
        Orientation orientation = camera ? ExifUtils.getExifOrientation(reader, 0) : null;
        BufferedImage picture = reader.read(0, param);
        if (orientation != null) {
            picture = ExifFilterUtils.getFilterForOrientation(orientation).apply(picture);
        }
        BufferedImage large = scaled(picture, LONGEST);
        return new Ready(large.getWidth(), large.getHeight(), jpeg(large), jpeg(scaled(large, SMALL)));
    }

    private static int bytesOfADot(ImageReader reader) throws IOException {
        ImageTypeSpecifier type = reader.getRawImageType(0);
        if (type == null) {
            return 4;
        }
        int bits = 0;
        for (int band = 0; band < type.getNumBands(); band++) {
            bits += type.getBitsPerBand(band);
        }
        return Math.max(1, (bits + 7) / 8);
    }

    private static BufferedImage scaled(BufferedImage image, int longest) throws IOException {
        int size = Math.min(longest, Math.max(image.getWidth(), image.getHeight()));
        return Thumbnails.of(image)
                .size(size, size)
                .imageType(BufferedImage.TYPE_INT_RGB)
                .asBufferedImage();
    }

    private static byte[] jpeg(BufferedImage image) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        Thumbnails.of(image).scale(1).outputFormat("jpg").outputQuality(0.85).toOutputStream(out);
        return out.toByteArray();
    }

    private static ValidationException notOne() {
        return new ValidationException(
                "file", "This is no photo: a JPEG or PNG picture is wanted, whatever the file is called.");
    }
}
