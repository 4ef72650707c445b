package pixeron.bench;

import java.io.PrintStream;
import java.util.Collection;
import java.util.Map;
import java.util.TreeMap;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;

/** Runs the measurements and prints each group as multiples of one of its members. */
public final class Ratios {

    private Ratios() {
    }

    /**
     * @param words a pattern for the groups to run; none: all
     * @throws RunnerException if a measurement cannot be run
     */
    public static void main(String... words) throws RunnerException {
        String pattern = words.length == 0 ? "pixeron.bench.*" : words[0];
        Collection<RunResult> results = new Runner(new OptionsBuilder().include(pattern).build()).run();
        Map<String, Map<String, Double>> groups = new TreeMap<>();
        for (RunResult result : results) {
            String[] name = result.getPrimaryResult().getLabel().split("\\.");
            String group = result.getParams().getBenchmark().replaceAll(".*\\.([^.]+)\\.[^.]+$", "$1");
            for (String key : result.getParams().getParamsKeys()) {
                group += ", " + result.getParams().getParam(key);
            }
            groups.computeIfAbsent(group, g -> new TreeMap<>())
                    .put(name[name.length - 1], result.getPrimaryResult().getScore());
        }
        groups.forEach((group, times) -> print(System.out, group, times));
    }

    private static void print(PrintStream out, String group, Map<String, Double> times) {
        double ours = times.getOrDefault("pixeron", times.getOrDefault("rational", Double.NaN));
        out.printf("%n%s%n", group);
        times.forEach((name, time) -> out.printf("    %-14s %10.0f µs   ours takes %5.2f times as long%n", name, time,
                ours / time));
    }
}
