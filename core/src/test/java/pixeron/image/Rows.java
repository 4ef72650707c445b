package pixeron.image;

/** An image as one text, to be compared with numbers written down in a test. */
public final class Rows {

    private Rows() {
    }

    /** Returns {@code 0 1 2 | 3 4 5}: rows with a stroke between them. */
    public static String of(Image image) {
        StringBuilder text = new StringBuilder();
        for (int n = 0; n < image.count(); n++) {
            text.append(n == 0 ? "" : n % image.columns() == 0 ? " | " : " ").append(image.value(n));
        }
        return text.toString();
    }
}
