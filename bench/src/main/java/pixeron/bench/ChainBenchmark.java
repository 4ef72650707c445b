package pixeron.bench;

import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import pixeron.chain.Chain;
import pixeron.chain.Outcome;
import pixeron.image.Image;
import pixeron.step.Progress;
import pixeron.step.catalog.StepLine;

/** A chain of five steps on 1024 × 1024, all of it calculated anew after the first parameter changes, as under a slider. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(value = 1, jvmArgsAppend = {"-Xmx2g", "-Xms2g"})
public class ChainBenchmark {

    private static final int SIZE = 1024;

    /** M of the image. */
    @Param({"255", "65535"})
    private int maximum;

    private Chain chain;
    private int turn;

    @Setup
    public void makeChain() {
        Random random = new Random(SIZE);
        int most = maximum;
        chain = Chain.of(Image.ofLevels(SIZE, SIZE, most, n -> random.nextInt(most + 1)));
        for (String line : new String[] {"linear gain=1.15 bias=-15", "power gamma=0.8", "equalize",
            "stretch cut=2", "threshold-otsu"}) {
            chain = chain.withStep(chain.size(), StepLine.parse(line));
        }
    }

    @Benchmark
    public Outcome fiveSteps() {
        turn++;
        return chain.replaced(0, StepLine.parse("linear gain=1." + (10 + turn % 80) + " bias=-15")).last(Progress.NONE);
    }
}
