package pixeron.look;

import java.math.BigInteger;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;

/** How a number is written. Values that are no whole number from 0 stay decimal in base 2 and 16. */
public enum NumberBase {
    DECIMAL("decimal") {
        @Override
        public String text(Value value, int maximumLevel) {
            return Decimals.cell(value);
        }
    },
    HEXADECIMAL("hexadecimal") {
        @Override
        public String text(Value value, int maximumLevel) {
            return inBase(value, maximumLevel, 16);
        }
    },
    BINARY("binary") {
        @Override
        public String text(Value value, int maximumLevel) {
            return inBase(value, maximumLevel, 2);
        }
    },
    /** The value divided by M, with at most three decimals. */
    SHARE("fraction of M") {
        @Override
        public String text(Value value, int maximumLevel) {
            double share = value.asDouble() / maximumLevel;
            return new java.math.BigDecimal(share).setScale(3, java.math.RoundingMode.HALF_UP).toPlainString()
                    .replace('-', Decimals.MINUS);
        }
    };

    private final String title;

    NumberBase(String title) {
        this.title = title;
    }

    public String title() {
        return title;
    }

    /**
     * Returns the value in this base, without a prefix.
     *
     * @param value any
     * @param maximumLevel M ≥ 1; every level from 0 to M gets as many digits as M has
     */
    public abstract String text(Value value, int maximumLevel);

    private static String inBase(Value value, int maximumLevel, int base) {
        if (!(value instanceof Rational r && r.isWhole() && r.signum() >= 0)) {
            return Decimals.cell(value);
        }
        String digits = r.numerator().toString(base).toUpperCase(java.util.Locale.ROOT);
        int width = BigInteger.valueOf(maximumLevel).toString(base).length();
        return "0".repeat(Math.max(0, width - digits.length())) + digits;
    }
}
