package pixeron.loop;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A whole program for the steps of a chain, one after the other: it reads each image once, from a CSV, and writes the last result. Each step is a function
 * of grids; an image in color is read and written as packed pixels, and its channels are grids of their own.
 *
 * @param name of the program
 * @param sources the images that are read, in the order of the files behind the program
 * @param calls what is calculated, in order
 * @param result the grid that is written, or the channels of the packed pixels: red, green, blue and perhaps alpha
 * @param isWhole whether what is written is whole numbers
 */
public record ChainProgram(String name, List<Source> sources, List<Call> calls, List<String> result, boolean isWhole) {

    /** The largest number of channels whose levels are packed into one number. */
    static final int CHANNELS = 4;

    /**
     * An image that is read.
     *
     * @param file what it is called where the program is explained
     * @param grids one for a gray image; of packed pixels one for each channel
     * @param isReal whether its numbers need not be whole
     */
    public record Source(String file, List<String> grids, boolean isReal) {

        boolean isPacked() {
            return grids.size() > 1;
        }
    }

    /**
     * A grid that a step makes of others.
     *
     * @param grid its name
     * @param step the findings about the step where it is done
     * @param program what is done
     * @param arguments the grids that it reads, in its order
     */
    public record Call(String grid, String step, LoopProgram program, List<String> arguments) {
    }

    public ChainProgram {
        sources = List.copyOf(sources);
        calls = List.copyOf(calls);
        result = List.copyOf(result);
    }

    /** Returns it in Python, with the standard library only. */
    public String python() {
        return new PythonChain(this).text();
    }

    /** Returns it in Java, for {@code java File.java}. */
    public String java() {
        return new JavaChain(this).text();
    }

    /** Returns a name for the class in Java. */
    public String className() {
        StringBuilder title = new StringBuilder();
        for (String part : name.split("[^A-Za-z0-9]+")) {
            title.append(part.isEmpty() ? "" : Character.toUpperCase(part.charAt(0)) + part.substring(1));
        }
        return title.isEmpty() || !Character.isLetter(title.charAt(0)) ? "Chain" + title : title.toString();
    }

    /** The functions by their programs: channels for which the same is done share one. */
    Map<LoopProgram, String> functions() {
        Map<LoopProgram, String> names = new LinkedHashMap<>();
        calls.forEach(call -> names.putIfAbsent(call.program, "make_" + call.grid));
        return names;
    }

    /** What is read, as it is in a command. */
    String files() {
        List<String> files = new ArrayList<>();
        sources.forEach(source -> files.add(source.file));
        return String.join(" ", files);
    }

    boolean isPacked() {
        return result.size() > 1;
    }

    /** By how many bits the level of a channel is shifted; alpha, which is last, has the highest ones. */
    static int shift(int channel) {
        return channel == CHANNELS - 1 ? 24 : 16 - 8 * channel;
    }
}
