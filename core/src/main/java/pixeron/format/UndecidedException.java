package pixeron.format;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import pixeron.PixeronException;

/** Numbers can be read in several ways, and a user must choose one. */
public final class UndecidedException extends PixeronException {

    private static final long serialVersionUID = 1;

    /** A way to read the numbers. */
    public enum Way {
        SIGNED_BYTES("Add 256 to negative values", options -> options.with(with(options.array(), true, Optional.empty()))),
        KEEP("Keep the values as they are", ReadOptions::asOpen),
        PACKED("Read as packed pixels", options -> options.with(with(options.array(), false, Optional.of("rgb")))),
        PACKED_WITH_ALPHA("Read as packed pixels with alpha", options -> options.with(with(options.array(), false, Optional.of("argb"))));

        private final String title;
        private final UnaryOperator<ReadOptions> change;

        Way(String title, UnaryOperator<ReadOptions> change) {
            this.title = title;
            this.change = change;
        }

        private static ArrayOptions with(ArrayOptions array, boolean areSignedBytes, Optional<String> packed) {
            return new ArrayOptions(array.columns(), array.channels(), array.arePlanes(), areSignedBytes, packed);
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

    UndecidedException(String question, String options, Way... ways) {
        super(question + " " + options, null);
        this.ways = List.of(ways);
    }

    /** Returns the ways that there are. */
    public List<Way> ways() {
        return ways;
    }
}
