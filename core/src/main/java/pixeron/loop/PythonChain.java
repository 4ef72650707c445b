package pixeron.loop;

import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** The steps of a chain as one program in Python. */
final class PythonChain {

    private final ChainProgram chain;
    private final StringBuilder out = new StringBuilder();
    /** The kind of numbers that a grid holds. */
    private final Map<String, Kind> kinds = new LinkedHashMap<>();

    PythonChain(ChainProgram chain) {
        this.chain = chain;
    }

    private void line(int depth, String text) {
        out.append(text.isEmpty() ? "" : "    ".repeat(depth)).append(text).append('\n');
    }

    String text() {
        StringBuilder functions = new StringBuilder();
        Set<String> helpers = new LinkedHashSet<>();
        Map<LoopProgram, String> names = chain.functions();
        names.forEach((program, name) -> {
            PythonText body = new PythonText(program);
            String loop = body.loop();
            functions.append("\n\ndef ").append(name).append('(').append(program.inputs().stream().map(LoopProgram.Input::grid).collect(Collectors.joining(", ")))
                    .append("):\n    # ").append(program.line()).append('\n').append(loop.lines().map(text -> "    " + text + "\n").collect(Collectors.joining()))
                    .append("    return after\n");
            helpers.addAll(body.helpers());
        });
        line(0, "# " + chain.name());
        line(0, "# python3 " + chain.name() + ".py " + chain.files() + " out.csv");
        line(0, "import csv");
        line(0, "import math");
        line(0, "import sys");
        line(0, "from fractions import Fraction");
        helpers.forEach(helper -> out.append("\n\n").append(PythonText.helped(helper)));
        line(0, "\n\ndef read(file, number):");
        line(1, "with open(file) as lines:");
        line(2, "return [[number(cell) for cell in row] for row in csv.reader(lines) if row]");
        line(0, "\n\ndef cells(grid, number):");
        line(1, "return [[number(cell) for cell in row] for row in grid]");
        out.append(functions).append("\n\n");
        read();
        for (ChainProgram.Call call : chain.calls()) {
            line(0, "# " + call.step());
            line(0, call.grid() + " = " + names.get(call.program()) + "(" + IntStream.range(0, call.arguments().size()).mapToObj(n -> argument(call, n))
                    .collect(Collectors.joining(", ")) + ")");
            kinds.put(call.grid(), Kind.of(call.program()).getOrDefault("s", Kind.WHOLE));
        }
        write();
        return out.toString();
    }

    private void read() {
        for (int n = 0; n < chain.sources().size(); n++) {
            ChainProgram.Source source = chain.sources().get(n);
            String file = "sys.argv[" + (n + 1) + "]";
            if (!source.isPacked()) {
                line(0, source.grids().get(0) + " = read(" + file + ", " + (source.isReal() ? "float" : "int") + ")");
            } else {
                line(0, "pixels = read(" + file + ", lambda cell: int(cell, 0))");
                for (int c = 0; c < source.grids().size(); c++) {
                    line(0, source.grids().get(c) + " = [[pixel >> " + ChainProgram.shift(c) + " & 255 for pixel in row] for row in pixels]");
                }
            }
            source.grids().forEach(grid -> kinds.put(grid, source.isReal() ? Kind.REAL : Kind.WHOLE));
        }
    }

    /** A step that reads whole numbers gets them as such, also where what made them could have made others. */
    private String argument(ChainProgram.Call call, int n) {
        String grid = call.arguments().get(n);
        boolean isReal = call.program().inputs().get(n).isReal();
        return kinds.get(grid) == (isReal ? Kind.REAL : Kind.WHOLE) ? grid : "cells(" + grid + ", " + (isReal ? "float" : "int") + ")";
    }

    private void write() {
        List<String> result = chain.result();
        // Whole numbers are written as such, whatever made them.
        result.stream().distinct().filter(grid -> chain.isWhole() && kinds.get(grid) != Kind.WHOLE).forEach(grid -> line(0, grid + " = cells(" + grid + ", int)"));
        if (chain.isPacked()) {
            String alpha = result.size() == ChainProgram.CHANNELS ? result.get(ChainProgram.CHANNELS - 1) + "[i][j]" : "255";
            line(0, "pixels = [[" + alpha + " << 24 | " + result.get(0) + "[i][j] << 16 | " + result.get(1) + "[i][j] << 8 | " + result.get(2) + "[i][j]");
            line(2, "   for j in range(len(" + result.get(0) + "[0]))] for i in range(len(" + result.get(0) + "))]");
        }
        line(0, "with open(sys.argv[" + (chain.sources().size() + 1) + "], 'w', newline='') as file:");
        line(1, "csv.writer(file).writerows(" + (chain.isPacked() ? "cells(pixels, '0x{:08X}'.format)" : result.get(0)) + ")");
    }
}
