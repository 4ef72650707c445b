package pixeron.bench;

import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.apache.commons.numbers.fraction.BigFraction;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import pixeron.number.Rational;

/** gain × r + bias for 65,536 levels with decimals of two digits: Rational against BigFraction. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class RationalBenchmark {

    private static final int LEVELS = 65536;

    private int[] gains;

    @Setup
    public void makeGains() {
        Random random = new Random(1);
        gains = random.ints(LEVELS, 1, 1000).toArray();
    }

    @Benchmark
    public int rational() {
        Rational bias = Rational.of(-1513, 100);
        int positive = 0;
        for (int level = 0; level < LEVELS; level++) {
            positive += Rational.of(gains[level], 100).times(Rational.of(level)).plus(bias).signum();
        }
        return positive;
    }

    @Benchmark
    public int bigFraction() {
        BigFraction bias = BigFraction.of(-1513, 100);
        int positive = 0;
        for (int level = 0; level < LEVELS; level++) {
            positive += BigFraction.of(gains[level], 100).multiply(level).add(bias).signum();
        }
        return positive;
    }
}
