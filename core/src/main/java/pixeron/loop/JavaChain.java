package pixeron.loop;

import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** The steps of a chain as one program in Java. What is no whole number goes from step to step as a double. */
final class JavaChain {

    private static final String READ = """
            static long[][] wholes(String file) throws Exception {
                return Files.readAllLines(Path.of(file)).stream().filter(line -> !line.isBlank())
                        .map(line -> Arrays.stream(line.split(",")).mapToLong(cell -> Long.decode(cell.strip())).toArray()).toArray(long[][]::new);
            }
            static double[][] reals(String file) throws Exception {
                return Files.readAllLines(Path.of(file)).stream().filter(line -> !line.isBlank())
                        .map(line -> Arrays.stream(line.split(",")).mapToDouble(cell -> Double.parseDouble(cell.strip())).toArray()).toArray(double[][]::new);
            }
            """;
    private static final String CONVERT = """
            static double[][] reals(long[][] grid) {
                return Arrays.stream(grid).map(row -> Arrays.stream(row).asDoubleStream().toArray()).toArray(double[][]::new);
            }
            static long[][] wholes(double[][] grid) {
                return Arrays.stream(grid).map(row -> Arrays.stream(row).mapToLong(Math::round).toArray()).toArray(long[][]::new);
            }
            """;
    private static final String CHANNELS = """
            static long[][] channel(long[][] pixels, int shift) {
                return Arrays.stream(pixels).map(row -> Arrays.stream(row).map(pixel -> pixel >> shift & 255).toArray()).toArray(long[][]::new);
            }
            """;

    private final ChainProgram chain;
    private final StringBuilder out = new StringBuilder();
    private final Map<String, Kind> kinds = new LinkedHashMap<>();

    JavaChain(ChainProgram chain) {
        this.chain = chain;
    }

    private void line(int depth, String text) {
        out.append(text.isEmpty() ? "" : "    ".repeat(depth)).append(text).append('\n');
    }

    private static String type(Kind kind) {
        return kind == Kind.WHOLE ? "long" : "double";
    }

    String text() {
        line(0, "// " + chain.name());
        line(0, "// java " + chain.className() + ".java " + chain.files() + " out.csv");
        List.of("nio.file.Files", "nio.file.Path", "util.ArrayList", "util.Arrays", "util.Collections", "util.List", "util.stream.Collectors").forEach(name ->
                line(0, "import java." + name + ";"));
        line(0, "");
        line(0, "public class " + chain.className() + " {");
        line(1, "public static void main(String[] files) throws Exception {");
        read();
        Map<LoopProgram, String> names = chain.functions();
        for (ChainProgram.Call call : chain.calls()) {
            line(2, "// " + call.step());
            Kind kind = Kind.of(call.program()).getOrDefault("s", Kind.WHOLE);
            kinds.put(call.grid(), kind == Kind.WHOLE ? Kind.WHOLE : Kind.REAL);
            line(2, type(kind) + "[][] " + call.grid() + " = " + names.get(call.program()) + "(" + IntStream.range(0, call.arguments().size())
                    .mapToObj(n -> argument(call, n)).collect(Collectors.joining(", ")) + ");");
        }
        write();
        line(1, "}");
        functions(names);
        line(0, "}");
        return out.toString();
    }

    private void read() {
        for (int n = 0; n < chain.sources().size(); n++) {
            ChainProgram.Source source = chain.sources().get(n);
            String file = "(files[" + n + "])";
            if (!source.isPacked()) {
                line(2, (source.isReal() ? "double[][] " : "long[][] ") + source.grids().get(0) + " = " + (source.isReal() ? "reals" : "wholes") + file + ";");
            }
            for (int c = 0; source.isPacked() && c < source.grids().size(); c++) {
                line(2, "long[][] " + source.grids().get(c) + " = channel(wholes" + file + ", " + ChainProgram.shift(c) + ");");
            }
            source.grids().forEach(grid -> kinds.put(grid, source.isReal() ? Kind.REAL : Kind.WHOLE));
        }
    }

    private String argument(ChainProgram.Call call, int n) {
        String grid = call.arguments().get(n);
        Kind wanted = call.program().inputs().get(n).isReal() ? Kind.REAL : Kind.WHOLE;
        return kinds.get(grid) == wanted ? grid : (wanted == Kind.REAL ? "reals(" : "wholes(") + grid + ")";
    }

    /** Whole numbers are written as such, whatever made them. */
    private String written(String grid) {
        return chain.isWhole() && kinds.get(grid) == Kind.REAL ? "wholes(" + grid + ")" : grid;
    }

    private void write() {
        List<String> result = chain.result();
        if (chain.isPacked()) {
            result.stream().distinct().filter(grid -> !written(grid).equals(grid)).forEach(grid -> line(2, "long[][] " + grid + "_whole = " + written(grid) + ";"));
            result = result.stream().map(grid -> written(grid).equals(grid) ? grid : grid + "_whole").toList();
        }
        String first = result.get(0);
        if (chain.isPacked()) {
            String alpha = result.size() == ChainProgram.CHANNELS ? result.get(ChainProgram.CHANNELS - 1) + "[i][j]" : "255L";
            line(2, "List<String> lines = new ArrayList<>();");
            line(2, "for (int i = 0; i < " + first + ".length; i++) {");
            line(3, "List<String> cells = new ArrayList<>();");
            line(3, "for (int j = 0; j < " + first + "[0].length; j++) {");
            line(4, "cells.add(String.format(\"0x%08X\", " + alpha + " << 24 | " + first + "[i][j] << 16 | " + result.get(1) + "[i][j] << 8 | " + result.get(2)
                    + "[i][j]));");
            line(3, "}");
            line(3, "lines.add(String.join(\",\", cells));");
            line(2, "}");
        } else {
            line(2, "List<String> lines = Arrays.stream(" + written(first) + ").map(row -> Arrays.stream(row).mapToObj(String::valueOf).collect(Collectors.joining(\",\"))).toList();");
        }
        line(2, "Files.write(Path.of(files[" + chain.sources().size() + "]), lines);");
    }

    private void functions(Map<LoopProgram, String> names) {
        Set<String> helpers = new LinkedHashSet<>();
        boolean[] hasFractions = {false};
        names.forEach((program, name) -> {
            JavaText body = new JavaText(program);
            Kind kind = body.kinds.getOrDefault("s", Kind.WHOLE);
            String loop = body.loop(type(kind), kind == Kind.FRACTION ? "s.value()" : "s");
            line(0, "");
            line(1, "/** " + program.line().replace("*/", "* /") + " */");
            line(1, "static " + type(kind) + "[][] " + name + "(" + program.inputs().stream().map(input -> (input.isReal() ? "double" : "long") + "[][] " + input.grid())
                    .collect(Collectors.joining(", ")) + ") {");
            loop.lines().forEach(text -> line(2, text));
            line(2, "return after;");
            line(1, "}");
            helpers.addAll(body.helpers());
            hasFractions[0] |= loop.contains("Fraction");
        });
        for (String group : List.of(READ, CONVERT, CHANNELS)) {
            line(0, "");
            group.lines().forEach(text -> line(1, text));
        }
        if (!names.isEmpty()) {
            JavaText own = new JavaText(names.keySet().iterator().next());
            own.helpers(helpers, hasFractions[0]);
            out.append(own.written());
        }
    }
}
