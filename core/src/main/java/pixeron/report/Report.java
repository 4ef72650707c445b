package pixeron.report;

import java.util.List;

/** A page that is handed in, made of blocks. */
public record Report(List<Block> blocks) {

    public Report {
        blocks = List.copyOf(blocks);
    }
}
