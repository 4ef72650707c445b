package pixeron.project.demo;

import java.util.Optional;
import java.util.Random;
import java.util.function.IntUnaryOperator;
import pixeron.image.ColorImage;
import pixeron.image.Image;

/**
 * Draws what the workshop prints. Every picture is a formula of row and column, with dust from {@link Random}, whose
 * sequence for a seed the JDK specifies; {@link StrictMath} gives the same doubles on every machine.
 */
final class Workshop {

    private Workshop() {
    }

    /** Returns a type sort of three bits: a small ornament cut into metal, dark in the middle. */
    static Image sort() {
        int size = 8;
        Random random = new Random(3);
        return Image.ofLevels(size, size, 7, n -> {
            double ink = ink(n / size, n % size, size);
            return limited((int) StrictMath.floor(6.5 * (1 - ink) + 1.4 * random.nextDouble()), 7);
        });
    }

    /** Returns a proof with too little ink: levels from 96 to 164 only. */
    static Image faintProof(int size) {
        Random random = new Random(16);
        Image proof = Image.ofLevels(size, size, 255, n -> {
            double paper = 158 - 56 * ink(n / size, n % size, size);
            return limited((int) StrictMath.rint(paper + 8 * (random.nextDouble() - 0.5)), 255);
        });
        // The two ends are set, so that the exercise has round numbers: 164 − 96 = 68.
        int darkest = size / 2 * size + size / 2;
        return Image.ofLevels(size, size, 255, n -> n == darkest ? 96 : n == size - 1 ? 164
                : Math.max(97, Math.min(163, proof.level(n))));
    }

    /** Returns a small faint ornament with one bright and one dark speck of dust. */
    static Image dustyOrnament() {
        int size = 8;
        Random random = new Random(8);
        return Image.ofLevels(size, size, 255, n -> {
            double paper = 158 - 56 * ink(n / size, n % size, size) + 8 * (random.nextDouble() - 0.5);
            boolean isBright = n == 2 * size + 4;
            boolean isDark = n == 4 * size + 2;
            return isBright ? 255 : isDark ? 0 : limited((int) StrictMath.rint(paper), 255);
        });
    }

    /** Returns a proof with specks of dust: single white and black pixels. */
    static Image speckledProof() {
        int size = 48;
        Random random = new Random(48);
        return Image.ofLevels(size, size, 255, n -> {
            double paper = 214 - 150 * ink(n / size, n % size, size) + 10 * (random.nextDouble() - 0.5);
            double dust = random.nextDouble();
            return dust < 0.03 ? 255 : dust < 0.06 ? 0 : limited((int) StrictMath.rint(paper), 255);
        });
    }

    /** Returns a proof lit from one side: bright on the left, dark on the right. */
    static Image unevenlyLitProof() {
        int size = 64;
        Random random = new Random(64);
        IntUnaryOperator level = n -> {
            int column = n % size;
            double light = 1.05 - 0.75 * column / (size - 1);
            double paper = light * (226 - 150 * repeatedInk(n / size, column));
            return limited((int) StrictMath.rint(paper + 6 * (random.nextDouble() - 0.5)), 255);
        };
        return Image.ofLevels(size, size, 255, level);
    }

    /** Returns a proof in two inks, one blue and one ochre, whose corners are transparent. */
    static ColorImage colorProof() {
        int size = 24;
        return new ColorImage(channel(size, 42, 196), channel(size, 84, 132), channel(size, 160, 44),
                Optional.of(Image.ofLevels(size, size, 255, n -> {
                    int fromEdge = Math.min(Math.min(n / size, size - 1 - n / size), 4)
                            + Math.min(Math.min(n % size, size - 1 - n % size), 4);
                    return Math.min(255, 64 * fromEdge);
                })));
    }

    /** Returns a corner of a sheet in tinted stock, 8 × 8 and opaque, on which marks are set: a little darker from column to column. */
    static ColorImage stock() {
        int size = 8;
        int[] tint = {232, 220, 196};
        Image[] channels = new Image[tint.length];
        for (int c = 0; c < tint.length; c++) {
            int level = tint[c];
            channels[c] = Image.ofLevels(size, size, 255, n -> level - 3 * (n % size) - n / size % 2);
        }
        return new ColorImage(channels[0], channels[1], channels[2], Optional.empty());
    }

    /** One channel of the color proof: petals in the first ink, the dot in the middle in the second, on paper. */
    private static Image channel(int size, int petals, int dot) {
        return Image.ofLevels(size, size, 255, n -> {
            double y = (n / size - (size - 1) / 2.0) / size;
            double x = (n % size - (size - 1) / 2.0) / size;
            double color = x * x + y * y < 0.02 ? dot : petals;
            return limited((int) StrictMath.rint(240 + (color - 240) * ink(n / size, n % size, size)), 255);
        });
    }

    /**
     * Returns one pull of a forme of 12 × 12 with paper around it, 16 × 16.
     *
     * @param shift how many rows and columns too far down and to the right
     * @param hasHair whether a hair lay on the forme: a short bright line
     */
    static Image pull(int shift, boolean hasHair) {
        int size = 16;
        return Image.ofLevels(size, size, 255, n -> {
            int row = n / size - 2 - shift;
            int column = n % size - 2 - shift;
            boolean isHair = hasHair && row == column + 1 && row >= 4 && row <= 8;
            return isHair ? 230 : limited((int) StrictMath.rint(214 - 150 * ink(row, column, size - 4)), 255);
        });
    }

    /** Returns a proof of even ink, 16 × 16. */
    static Image evenProof() {
        int size = 16;
        return Image.ofLevels(size, size, 255, n -> limited((int) StrictMath.rint(190 - 110 * ink(n / size, n % size, size)), 255));
    }

    /** Returns a scrap of laid paper, 4 × 4 with 3 bits: ribs from column to column, every other row a little brighter. */
    static Image laidPaper() {
        int[] ribs = {3, 5, 3, 1};
        return Image.ofLevels(4, 4, 7, n -> ribs[n % 4] + (n / 4 % 2 == 0 ? 1 : 0));
    }

    /** Returns the corner of a border, 6 × 6 with 3 bits: a line along two edges, a leaf between them. */
    static Image corner() {
        int size = 6;
        return Image.ofLevels(size, size, 7, n -> {
            int row = n / size;
            int column = n % size;
            boolean isLine = row == 0 || column == 0 && row < 4;
            double leaf = StrictMath.abs(row - column - 0.5) + StrictMath.abs(row + column - 6) / 2.5;
            return isLine ? 1 : limited((int) StrictMath.rint(2 + 2 * leaf), 7);
        });
    }

    /** Returns a border strip of 12 × 24 made of corners, with a few specks of dust. */
    static Image dustyStrip() {
        Image corner = corner();
        int size = corner.rows();
        Random random = new Random(24);
        return Image.ofLevels(2 * size, 4 * size, 255, n -> {
            int i = n / (4 * size);
            int j = n % (4 * size);
            int row = i < size ? i : 2 * size - 1 - i;
            int column = j / size % 2 == 0 ? j % size : size - 1 - j % size;
            double dust = random.nextDouble();
            return dust < 0.02 ? 250 : 30 * corner.level(row * size + column) + (int) (6 * random.nextDouble());
        });
    }

    /** Ornaments of 16 × 16 set side by side. */
    private static double repeatedInk(int row, int column) {
        return ink(row % 16, column % 16, 16);
    }

    /** Returns how much ink an ornament of eight petals around a dot leaves at a place, 0–1. */
    private static double ink(int row, int column, int size) {
        double y = (row - (size - 1) / 2.0) / (size / 2.0);
        double x = (column - (size - 1) / 2.0) / (size / 2.0);
        double radius = StrictMath.sqrt(x * x + y * y);
        double angle = StrictMath.atan2(y, x);
        double petal = 0.28 + 0.62 * StrictMath.pow(StrictMath.abs(StrictMath.cos(2 * angle)), 1.5);
        double edge = 2.2 / size;
        return Math.max(0, Math.min(1, (petal - radius) / (2 * edge) + 0.5));
    }

    private static int limited(int level, int maximum) {
        return Math.max(0, Math.min(maximum, level));
    }
}
