package pixeron.exercise.answer;

import java.util.List;
import java.util.Optional;
import pixeron.PixeronException;
import pixeron.exercise.Code;
import pixeron.exercise.Variant;
import pixeron.format.CellTable;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.project.Project;
import pixeron.step.Bound;
import pixeron.step.Progress;

/**
 * An answer that came in.
 *
 * @param source the file, and the sheet of it where it has several
 * @param name of the user, as far as it is known
 * @param codes that are in it, most telling first
 * @param content what was filled in
 */
public record Received(String source, String name, List<Code> codes, Content content) {

    /** What was filled in. */
    @FunctionalInterface
    public interface Content {
        /**
         * Returns the variant's project with the values by hand.
         *
         * @throws PixeronException if they do not belong to the variant
         */
        Project on(Variant variant);
    }

    /** Cells of a table. */
    record OfCells(CellTable cells) implements Content {
        @Override
        public Project on(Variant variant) {
            return AnswerTable.read(cells, variant);
        }
    }

    /** A user's project. */
    record OfProject(Project project) implements Content {
        @Override
        public Project on(Variant variant) {
            Project work = variant.project();
            Frame frame = work.chain().input().frame();
            if (!project.chain().input().equals(work.chain().input())) {
                Frame theirs = project.chain().input().frame();
                throw PixeronException.of("The image (%d × %d) differs from that of variant %s%s.", theirs.rows(), theirs.columns(), variant.code(),
                        theirs.equals(frame) ? "; some of its values were changed" : ", which has " + frame.rows() + " × " + frame.columns());
            }
            for (int n = 0; n < work.chain().size() && n < project.chain().size(); n++) {
                int position = n;
                for (String face : work.chain().stage(n).bound(Progress.NONE).map(Bound::faces).orElse(List.of(Image.VALUE))) {
                    work = work.withByHand(n, face, none -> project.byHand(position, face));
                }
            }
            return work;
        }
    }

    /** Returns the code that belongs to an exercise; empty where there is none, or two different ones. */
    public Optional<Code> code(String exercise) {
        List<Code> own = codes.stream().filter(code -> code.exercise().equals(exercise)).distinct().toList();
        return own.size() == 1 ? Optional.of(own.get(0)) : Optional.empty();
    }
}
