package pixeron.format;

import java.util.List;
import java.util.function.UnaryOperator;
import pixeron.PixeronException;

/** Numbers can be read in several ways, and a user must choose one. */
public final class UndecidedException extends PixeronException {

    private static final long serialVersionUID = 1;

    /** A way to read the numbers. */
    public enum Way {
        SIGNED_BYTES("Add 256 to negative values", options -> options.with(options.array().withSignedBytes(true))),
        KEEP("Keep the values as they are", ReadOptions::asOpen),
        PACKED("Read as packed pixels", options -> options.with(options.array().withPacked("rgb"))),
        PACKED_WITH_ALPHA("Read as packed pixels with alpha", options -> options.with(options.array().withPacked("argb")));

        private final String title;
        private final UnaryOperator<ReadOptions> change;

        Way(String title, UnaryOperator<ReadOptions> change) {
            this.title = title;
            this.change = change;
        }

        /** Returns its name for a button. */
        public String title() {
            return title;
        }

        /** Returns the options that read in this way. */
        public ReadOptions in(ReadOptions options) {
            return change.apply(options);
        }
    }

    private final transient List<Way> ways;
    private final String question;

    UndecidedException(String question, String options, Way... ways) {
        super(question + " " + options, null);
        this.question = question;
        this.ways = List.of(ways);
    }

    /** Returns what is undecided, without the options of the command line. */
    public String question() {
        return question;
    }

    /** Returns the ways that there are. */
    public List<Way> ways() {
        return ways;
    }
}
