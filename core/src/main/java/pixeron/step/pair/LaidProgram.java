package pixeron.step.pair;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import pixeron.image.Area;
import pixeron.loop.Code;
import pixeron.loop.Ending;
import pixeron.loop.LoopProgram;
import pixeron.loop.Statement;
import pixeron.step.Step;

/**
 * Two images in one frame as a program, for images of any size: a {@link Laid} over rows and columns that are not known yet.
 *
 * @param rows of the result
 * @param columns of the result
 * @param first where the first pixel of the image before lies in it
 * @param from the first pixel of the part of the other image that is laid
 * @param size rows and columns of that part
 * @param at where its first pixel lies
 */
record LaidProgram(Code rows, Code columns, Place first, Place from, Place size, Place at) {

    /** A row and a column, or numbers of them. */
    record Place(Code row, Code column) {

        static final Place START = new Place(Code.of(0), Code.of(0));
    }

    /** Returns rows and columns of the other image. */
    static Place other() {
        return new Place(new Code.Rows("other"), new Code.Columns("other"));
    }

    /**
     * @param isOwn whether what is laid is a piece of the image before itself
     * @param area outside which nothing is laid
     */
    LoopProgram of(Step step, boolean isOwn, Optional<Area> area) {
        Code i = Code.name("i");
        Code j = Code.name("j");
        List<Code> isLaid = new ArrayList<>(Code.inside(i, at.row, at.row.plus(size.row)));
        isLaid.addAll(Code.inside(j, at.column, at.column.plus(size.column)));
        area.map(Ending::inside).ifPresent(isLaid::addAll);
        Code laid = new Code.Cell(isOwn ? "before" : "other", i.minus(at.row).plus(from.row), j.minus(at.column).plus(from.column));
        Statement body = new Statement.When(new Code.All(isLaid), List.of(Statement.set("s", laid)),
                List.of(Statement.set("s", Code.before(i.minus(first.row), j.minus(first.column)))));
        return new LoopProgram(step.type().name(), step.line(), isOwn ? LoopProgram.BEFORE : LoopProgram.BEFORE_AND_OTHER, List.of(), rows, columns, List.of(body));
    }
}
