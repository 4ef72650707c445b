import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Rectangle2D;
import java.awt.geom.RoundRectangle2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import javax.imageio.ImageIO;

/**
 * Draws the icon, nine pixels of a sheet of which the middle one is picked, and writes it as the systems want it: PNG for Linux and
 * the window, ICO for Windows, ICNS for macOS. Usage: {@code java Icon.java FOLDER}.
 */
final class Icon {

    /** Levels from slate over ink to paper, row by row; the middle one is paper, so that its frame is seen. */
    private static final Color[] PIXELS = {new Color(0x23508F), new Color(0x5E7DA8), new Color(0xA9B7CC), new Color(0x5E7DA8), new Color(0xFFFDF8),
        new Color(0xC9CED6), new Color(0x3B4048), new Color(0x59626E), new Color(0xDDD6C8)};
    private static final Color PICKED = new Color(0xE0A100);
    private static final Color SHEET = new Color(0xFFFDF8);
    private static final Color EDGE = new Color(0xB9B09C);
    private static final int[] ICO_SIZES = {16, 32, 48, 256};
    private static final int[] ICNS_SIZES = {128, 256, 512};
    private static final String[] ICNS_NAMES = {"ic07", "ic08", "ic09"};

    private Icon() {
    }

    public static void main(String... words) throws IOException {
        Path folder = Files.createDirectories(Path.of(words[0]));
        Files.write(folder.resolve("pixeron.png"), png(256));
        Files.write(folder.resolve("pixeron.ico"), ico());
        Files.write(folder.resolve("pixeron.icns"), icns());
    }

    private static byte[] png(int size) throws IOException {
        BufferedImage icon = new BufferedImage(size, size, BufferedImage.TYPE_INT_ARGB);
        Graphics2D pen = icon.createGraphics();
        pen.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        double unit = size / 16.0;
        pen.setColor(EDGE);
        pen.fill(new RoundRectangle2D.Double(0, 0, size, size, 4 * unit, 4 * unit));
        pen.setColor(SHEET);
        pen.fill(new RoundRectangle2D.Double(unit / 2, unit / 2, size - unit, size - unit, 3.4 * unit, 3.4 * unit));
        double cell = 4 * unit;
        for (int n = 0; n < PIXELS.length; n++) {
            pen.setColor(PIXELS[n]);
            pen.fill(new Rectangle2D.Double(2 * unit + n % 3 * cell, 2 * unit + n / 3 * cell, cell, cell));
        }
        pen.setColor(PICKED);
        pen.setStroke(new BasicStroke((float) Math.max(1.5, unit)));
        pen.draw(new Rectangle2D.Double(2 * unit + cell, 2 * unit + cell, cell, cell));
        pen.dispose();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(icon, "png", out);
        return out.toByteArray();
    }

    /** A directory of pictures, each a PNG. */
    private static byte[] ico() throws IOException {
        ByteBuffer file = ByteBuffer.allocate(1 << 20).order(ByteOrder.LITTLE_ENDIAN);
        file.putShort((short) 0).putShort((short) 1).putShort((short) ICO_SIZES.length);
        int at = 6 + 16 * ICO_SIZES.length;
        for (int size : ICO_SIZES) {
            byte[] picture = png(size);
            // 256 is written as 0.
            file.put((byte) size).put((byte) size).putShort((short) 0).putShort((short) 1).putShort((short) 32).putInt(picture.length).putInt(at);
            at += picture.length;
        }
        for (int size : ICO_SIZES) {
            file.put(png(size));
        }
        byte[] bytes = new byte[file.position()];
        file.flip().get(bytes);
        return bytes;
    }

    /** Parts with a name of four letters and a length, each a PNG. */
    private static byte[] icns() throws IOException {
        ByteArrayOutputStream parts = new ByteArrayOutputStream();
        DataOutputStream out = new DataOutputStream(parts);
        for (int n = 0; n < ICNS_SIZES.length; n++) {
            byte[] picture = png(ICNS_SIZES[n]);
            out.write(ICNS_NAMES[n].getBytes(StandardCharsets.US_ASCII));
            out.writeInt(picture.length + 8);
            out.write(picture);
        }
        return ByteBuffer.allocate(8 + parts.size()).put("icns".getBytes(StandardCharsets.US_ASCII)).putInt(8 + parts.size())
                .put(parts.toByteArray()).array();
    }
}
