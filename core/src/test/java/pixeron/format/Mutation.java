package pixeron.format;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Collections;
import java.util.Random;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;

/** Changes files as accidents and malice do: bits, lengths, pieces that are missing, doubled or of another file. */
public final class Mutation {

    private static final int[] EXTREMES = {0, 1, -1, 127, 128, 255, 256, 0x7FFF, 0xFFFF, Integer.MAX_VALUE, Integer.MIN_VALUE};
    private static final String[] WORDS = {"-1", "0", "99999999999", "1e999", "null", "\"\"", "[]", "{}", "NaN", "1/0", "\u0000", "=", ",", "true",
            "2147483648", "-0.5", "é"};

    private final Random random;

    public Mutation(Random random) {
        this.random = random;
    }

    /** Returns the bytes with one to four changes; where they have an inner form with sums, often changed within it. */
    public byte[] of(byte[] bytes) throws IOException {
        if (random.nextInt(3) > 0 && bytes.length > 8) {
            if (bytes[0] == (byte) 0x89 && bytes[1] == 'P') {
                return insidePng(bytes);
            } else if (bytes[0] == 'P' && bytes[1] == 'K') {
                return insideArchive(bytes);
            }
        }
        return plain(bytes);
    }

    private byte[] plain(byte[] bytes) {
        byte[] changed = bytes;
        for (int n = random.nextInt(4); n >= 0; n--) {
            changed = once(changed);
        }
        return changed;
    }

    private byte[] once(byte[] bytes) {
        if (bytes.length == 0) {
            return bytes;
        }
        int at = random.nextInt(random.nextBoolean() ? Math.min(64, bytes.length) : bytes.length);
        int end = Math.min(bytes.length, at + 1 + random.nextInt(40));
        byte[] copy = bytes.clone();
        switch (random.nextInt(7)) {
            case 0 -> copy[at] ^= (byte) (1 << random.nextInt(8));
            case 1 -> copy[at] = (byte) random.nextInt();
            case 2 -> {
                int size = Math.min(1 << random.nextInt(3), bytes.length - at);
                int extreme = EXTREMES[random.nextInt(EXTREMES.length)];
                boolean isLargeFirst = random.nextBoolean();
                for (int n = 0; n < size; n++) {
                    copy[at + n] = (byte) (extreme >> 8 * (isLargeFirst ? size - 1 - n : n));
                }
            }
            case 3 -> copy = Arrays.copyOf(bytes, at);
            case 4 -> copy = joined(bytes, at, new byte[0], end);
            case 5 -> copy = joined(bytes, end, Arrays.copyOfRange(bytes, at, end), end);
            default -> copy = joined(bytes, at, WORDS[random.nextInt(WORDS.length)].getBytes(StandardCharsets.UTF_8), random.nextBoolean() ? at : end);
        }
        return copy;
    }

    private static byte[] joined(byte[] bytes, int until, byte[] between, int from) {
        return ByteBuffer.allocate(until + between.length + bytes.length - from).put(bytes, 0, until).put(between)
                .put(bytes, from, bytes.length - from).array();
    }

    /** Changes the content of one part and makes its sum right again, so that the decoder gets to see it. */
    private byte[] insidePng(byte[] bytes) {
        ByteBuffer in = ByteBuffer.wrap(bytes);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(bytes, 0, 8);
        int chosen = random.nextInt(3);
        for (int at = 8, part = 0; at + 12 <= bytes.length; part++) {
            int length = in.getInt(at);
            byte[] kind = Arrays.copyOfRange(bytes, at + 4, at + 8);
            byte[] data = Arrays.copyOfRange(bytes, at + 8, at + 8 + length);
            byte[] changed = part == chosen ? plain(data) : data;
            CRC32 sum = new CRC32();
            sum.update(kind);
            sum.update(changed);
            out.writeBytes(ByteBuffer.allocate(12 + changed.length).putInt(changed.length).put(kind).put(changed).putInt((int) sum.getValue()).array());
            at += 12 + length;
        }
        return out.toByteArray();
    }

    private byte[] insideArchive(byte[] bytes) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        int chosen = random.nextInt(8);
        // The list at the end of an archive is what says how long its parts are; only a file can be read from there.
        Path file = Files.createTempFile("original", ".zip");
        try (ZipFile in = new ZipFile(Files.write(file, bytes).toFile()); ZipOutputStream to = new ZipOutputStream(out)) {
            int part = 0;
            for (ZipEntry entry : Collections.list(in.entries())) {
                byte[] data = in.getInputStream(entry).readAllBytes();
                to.putNextEntry(new ZipEntry(entry.getName()));
                to.write(part++ == chosen || data.length > 600 && random.nextBoolean() ? plain(data) : data);
                to.closeEntry();
            }
        } finally {
            Files.delete(file);
        }
        return out.toByteArray();
    }
}
