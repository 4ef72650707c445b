package pixeron.app.model;

/**
 * From a value to a color: anchors at even distances, straight lines between them. All but the last are made so that
 * lightness rises from end to end; so they can be read without seeing color.
 */
public enum Scale {
    GRAY("Gray", 0x000000, 0xFFFFFF),
    /** Blue to ochre: distinguished with every common kind of color blindness, and rising in lightness. */
    DUSK("Dusk", 0x0B1437, 0x2C4A8C, 0x6F7C96, 0xB99A57, 0xE9C765, 0xFFF6D2),
    /** One ink, from full to paper. */
    INK("Ink", 0x0E2240, 0x23508F, 0x7FA0CC, 0xF5F2EA),
    /** For values around a middle, such as differences: blue below, paper in the middle, ochre above. */
    TWO_SIDED("Two-sided", 0x163E78, 0x7FA0CC, 0xF5F2EA, 0xD9A24F, 0x7A4300);

    /** Colors between the two ends; more than the eye tells apart. */
    public static final int STEPS = 256;

    private final String title;
    private final int[] colors = new int[STEPS];

    Scale(String title, int... anchors) {
        this.title = title;
        for (int n = 0; n < STEPS; n++) {
            double place = (double) n * (anchors.length - 1) / (STEPS - 1);
            int from = Math.min(anchors.length - 2, (int) place);
            colors[n] = 0xFF000000 | mixed(anchors[from], anchors[from + 1], place - from);
        }
    }

    private static int mixed(int a, int b, double part) {
        int mixed = 0;
        for (int shift = 0; shift <= 16; shift += 8) {
            double channel = (a >> shift & 0xFF) * (1 - part) + (b >> shift & 0xFF) * part;
            mixed |= (int) Math.rint(channel) << shift;
        }
        return mixed;
    }

    public String title() {
        return title;
    }

    /** Returns the color at a place 0 to {@link #STEPS} − 1 between the ends, as 0xAARRGGBB. */
    public int color(int place) {
        return colors[place];
    }
}
