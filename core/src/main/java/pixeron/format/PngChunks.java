package pixeron.format;

import java.nio.ByteBuffer;
import java.util.zip.CRC32;
import pixeron.PixeronException;

/** The parts of a PNG file. The JDK's decoder is content with half a picture; this is not. */
final class PngChunks {

    private static final int SIGNATURE_LENGTH = 8;
    /** Length, kind and checksum of a part: four bytes each. */
    private static final int FRAME = 12;
    /** The letters IEND as one number. */
    private static final int END_MARK = 0x49454E44;

    private PngChunks() {
    }

    /** @throws PixeronException if a part up to the end mark is missing or has a wrong checksum */
    static void requireWhole(byte[] bytes) {
        ByteBuffer file = ByteBuffer.wrap(bytes);
        int at = SIGNATURE_LENGTH;
        boolean isEnd = false;
        while (!isEnd) {
            long length = at + (long) FRAME <= bytes.length ? file.getInt(at) & 0xFFFFFFFFL : Integer.MAX_VALUE;
            if (at + FRAME + length > bytes.length) {
                throw PixeronException.of("The PNG file is incomplete: its end is missing.");
            }
            CRC32 sum = new CRC32();
            sum.update(bytes, at + 4, (int) length + 4);
            if ((int) sum.getValue() != file.getInt(at + 8 + (int) length)) {
                throw PixeronException.of("The PNG file is damaged: a checksum at byte %d is wrong.", at);
            }
            isEnd = file.getInt(at + 4) == END_MARK;
            at += FRAME + (int) length;
        }
    }
}
