package pixeron.working;

import java.util.OptionalDouble;

/**
 * Calculates sums as they are written on paper, by a few lines of its own that share nothing with the program: numbers,
 * + − × ÷ ^ √ | |, brackets, a sign in front. Anything else is no sum.
 */
final class PlainSums {

    private final String text;
    private int at;
    private boolean isSum = true;

    private PlainSums(String text) {
        this.text = text.replace(" ", "").replace('/', '÷');
    }

    /** Returns what the sum is worth; empty where it is none, or has numbers beyond those of a double. */
    static OptionalDouble worth(String text) {
        PlainSums sums = new PlainSums(text);
        double value = sums.sum();
        return sums.isSum && sums.at == sums.text.length() && !sums.text.isEmpty() && Double.isFinite(value)
                ? OptionalDouble.of(value) : OptionalDouble.empty();
    }

    private boolean takes(char sign) {
        if (at < text.length() && text.charAt(at) == sign) {
            at++;
            return true;
        }
        return false;
    }

    private double sum() {
        double value = product();
        while (isSum) {
            if (takes('+')) {
                value += product();
            } else if (takes('−')) {
                value -= product();
            } else {
                return value;
            }
        }
        return value;
    }

    private double product() {
        double value = signed();
        while (isSum) {
            if (takes('×')) {
                value *= signed();
            } else if (takes('÷')) {
                value /= signed();
            } else {
                return value;
            }
        }
        return value;
    }

    private double signed() {
        return takes('−') ? -signed() : power();
    }

    private double power() {
        double base = number();
        return takes('^') ? Math.pow(base, signed()) : base;
    }

    private double number() {
        if (takes('(')) {
            double value = sum();
            isSum &= takes(')');
            return value;
        } else if (takes('|')) {
            double value = sum();
            isSum &= takes('|');
            return Math.abs(value);
        } else if (takes('√')) {
            return Math.sqrt(number());
        }
        int from = at;
        while (at < text.length() && (Character.isDigit(text.charAt(at)) || text.charAt(at) == '.')) {
            at++;
        }
        isSum &= text.substring(from, at).matches("\\d+(\\.\\d+)?");
        double number = isSum ? Double.parseDouble(text.substring(from, at)) : 0;
        isSum &= Double.isFinite(number);
        return number;
    }
}
