package pixeron.app.window;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.IntFunction;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import pixeron.PixeronException;
import pixeron.app.bench.BenchView;
import pixeron.app.bench.FaceBar;
import pixeron.app.bench.parts.Copy;
import pixeron.app.bench.parts.MiddlePane.View;
import pixeron.app.bench.parts.Withheld;
import pixeron.app.bench.sheets.SheetsPane.Kind;
import pixeron.app.model.Bench;
import pixeron.app.model.ColorView;
import pixeron.app.model.Display;
import pixeron.app.model.Scale;
import pixeron.app.model.Seen;
import pixeron.app.model.Shown;
import pixeron.app.model.Walking;
import pixeron.format.CellTable;
import pixeron.format.array.ArrayNotation;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.look.PackedPixel;
import pixeron.make.Drawing;
import pixeron.number.Decimals;
import pixeron.step.key.ChannelsParameter;

/** What menus, buttons and keys do with the bench, beside files. */
final class Commands {

    private final Bench bench;
    private final Supplier<BenchView> view;
    private final Banner banner;
    private final Runnable pasteImage;
    private final CopyAs copyAs = new CopyAs(this::copyAs);
    private final Runnable lecture;
    private final AnswerActions answers;
    private Scale lastScale = Scale.DUSK;

    /** @param lecture shows sheets and working large, or everything again */
    Commands(Bench bench, Supplier<BenchView> view, Banner banner, AnswerActions answers, Runnable pasteImage,
            Runnable lecture) {
        this.pasteImage = pasteImage;
        this.answers = answers;
        this.lecture = lecture;
        this.bench = bench;
        this.view = view;
        this.banner = banner;
    }

    boolean isOpen() {
        return bench.isOpen() && bench.shown() != null;
    }

    void undo() {
        if (bench.past().undoableProperty().get()) {
            banner.hide();
            bench.undo();
        }
    }

    void redo() {
        if (bench.past().redoableProperty().get()) {
            banner.hide();
            bench.redo();
        }
    }

    void zoom(boolean isIn) {
        if (isOpen()) {
            view.get().zoom(isIn);
        }
    }

    void fit() {
        if (isOpen()) {
            view.get().fit();
        }
    }

    void addStep() {
        if (isOpen()) {
            view.get().openSearch();
        }
    }

    void goToPixel() {
        if (isOpen()) {
            view.get().goToPixel();
        }
    }

    void followPixel() {
        if (isOpen()) {
            bench.looking().toggleWatched(bench.pickedProperty().get());
        }
    }

    /** A scale of colors in place of gray: the one that was chosen last; or gray again. */
    void toggleScale() {
        Display display = bench.looking().display();
        if (display.scale() != Scale.GRAY) {
            lastScale = display.scale();
        }
        bench.looking().displayProperty().set(display.with(display.scale() == Scale.GRAY ? lastScale : Scale.GRAY));
    }

    void nextLit() {
        if (isOpen() && bench.pickNextLit().isEmpty()) {
            view.get().say("No pixel is highlighted");
        }
    }

    void copyWorking(boolean isLatex) {
        if (isOpen()) {
            view.get().copyWorking(isLatex);
        }
    }

    void nextDifference() {
        if (isOpen() && bench.hand().pickNextDifference().isEmpty()) {
            view.get().say("All filled cells agree");
        }
    }

    void show(View middle) {
        if (isOpen()) {
            view.get().show(middle);
        }
    }

    /** Does something with the walk, or begins one. */
    void walk(Consumer<Walking> action) {
        if (isOpen()) {
            if (bench.walking().isPossible()) {
                action.accept(bench.walking());
            } else {
                view.get().say("Select a step with a result to start the walk");
            }
        }
    }

    /** Does something with the walk; begins it when there is none. */
    void onWalk(Consumer<Walking> action) {
        walk(walking -> {
            if (walking.isOn()) {
                action.accept(walking);
            } else {
                walking.toggle();
            }
        });
    }

    /** One pixel forward or back; in a table that is walked down one row. */
    void step(boolean isForward) {
        if (isOpen() && !view.get().step(isForward ? 1 : -1)) {
            onWalk(isForward ? Walking::forward : Walking::back);
        }
    }

    /** To the end of a row or column of the walk; of what is counted by hand to the end of a row. */
    void nextLine() {
        if (isOpen() && !view.get().nextLine()) {
            onWalk(Walking::nextLine);
        }
    }

    void walkToPicked() {
        Pixel picked = bench.pickedProperty().get();
        onWalk(walking -> walking.to(picked));
    }

    void lecture() {
        if (isOpen()) {
            lecture.run();
        }
    }

    void large() {
        if (isOpen()) {
            view.get().show(View.SHEETS);
            view.get().sheets().toggleLarge();
        }
    }

    /** Returns whether the sheet is shown now. */
    boolean toggle(Kind kind) {
        if (isOpen()) {
            view.get().sheets().toggle(kind);
        }
        return !isOpen() || view.get().sheets().visibleProperty(kind).get();
    }

    private void pasteSamples(CellTable block) {
        try {
            Image pasted = Drawing.paste(bench.project().chain().source(), bench.pickedProperty().get(), block);
            bench.draw(null, on -> pasted);
            view.get().say("Pasted from " + bench.pickedProperty().get() + " on");
        } catch (PixeronException doesNotFit) {
            banner.show(doesNotFit.getMessage());
        }
    }

    /** Copies the values of the sheet that has the keyboard, After when none has it. */
    void copyValues() {
        if (!isOpen()) {
            return;
        }
        Shown shown = bench.shown();
        if (view.get().sheets().sheet(Kind.BY_HAND).isFocused()) {
            Frame grid = shown.grid();
            copy("values by hand", grid, n -> bench.hand().text(grid.pixel(n)));
            return;
        }
        boolean isBefore = isBeforeMeant();
        if (!isBefore && bench.isWithheld()) {
            view.get().say(Withheld.WORDS);
            return;
        }
        (isBefore ? shown.seenBefore() : shown.seenAfter()).ifPresent(seen -> copy(isBefore ? "values of Before" : "values of After", seen.frame(),
                n -> text(seen, seen.frame().pixel(n))));
    }

    /** Returns the menus that copy a sheet as the text of an array. */
    CopyAs copyAs() {
        return copyAs;
    }

    /** Copies a sheet as the text of an array; without one After, or Before where the image is selected, or the sheet that has the keyboard. */
    private void copyAs(Kind kind, ArrayNotation notation) {
        if (!isOpen()) {
            return;
        }
        boolean isByHand = kind == null ? view.get().sheets().sheet(Kind.BY_HAND).isFocused() : kind == Kind.BY_HAND;
        boolean isBefore = kind == null ? isBeforeMeant() : kind == Kind.BEFORE;
        if (isByHand) {
            copyByHand(notation);
        } else if (!isBefore && bench.isWithheld()) {
            view.get().say(Withheld.WORDS);
        } else {
            (isBefore ? bench.shown().seenBefore() : bench.shown().seenAfter()).ifPresent(seen -> copyAs(notation, seen));
        }
    }

    private void copyByHand(ArrayNotation notation) {
        Frame grid = bench.shown().grid();
        if (grid.count() > Copy.MOST_VALUES) {
            tooMany(grid);
            return;
        }
        try {
            Copy.text(notation.writeByHand(grid.rows(), grid.columns(), n -> bench.hand().text(grid.pixel(n))));
            view.get().say("Copied the values by hand as " + notation.title());
        } catch (PixeronException hasEmptyCells) {
            view.get().say(hasEmptyCells.getMessage());
        }
    }

    private void copyAs(ArrayNotation notation, Seen seen) {
        Frame frame = seen.frame();
        if (frame.count() > Copy.MOST_VALUES) {
            tooMany(frame);
            return;
        }
        boolean isColor = seen.hasColor() && bench.looking().isWhole();
        try {
            Copy.text(notation.write(isColor ? seen.result() : seen.face(bench.shown().channel()).image(), false));
            view.get().say("Copied " + frame.rows() + " × " + frame.columns() + " values as " + notation.title());
        } catch (PixeronException oneChannelOnly) {
            view.get().say(notation.title() + " holds one channel: look at one first, with Alt+1 to Alt+4");
        }
    }

    private void tooMany(Frame frame) {
        banner.show(String.format("%d × %d values are too many for the clipboard. Save the result as a table instead.", frame.rows(), frame.columns()));
    }

    /** A value; of a pixel with color a number for each channel, or the packed value where those are seen. */
    private String text(Seen seen, Pixel pixel) {
        if (!seen.hasColor() || !bench.looking().isWhole()) {
            return Decimals.table(seen.face(bench.shown().channel()).image().value(pixel));
        }
        Optional<PackedPixel> packed = bench.looking().display().cells() == Display.Cells.PACKED ? PackedPixel.find(seen.result(), pixel)
                : Optional.empty();
        return packed.map(PackedPixel::hexadecimal).orElseGet(() -> seen.faces().stream().map(face -> Decimals.table(face.image().value(pixel)))
                .collect(Collectors.joining(" ")));
    }

    private boolean isBeforeMeant() {
        return view.get().sheets().sheet(Kind.BEFORE).isFocused() || bench.shown().seenAfter().isEmpty();
    }

    /** Copies After, or Before where the image is selected or Before has the keyboard, as a picture of 256 levels. */
    void copyPicture() {
        if (isOpen() && !isBeforeMeant() && bench.isWithheld()) {
            view.get().say(Withheld.WORDS);
        } else if (isOpen()) {
            (isBeforeMeant() ? bench.shown().seenBefore() : bench.shown().seenAfter()).ifPresent(seen -> {
                boolean isColor = seen.hasColor() && bench.looking().isWhole();
                Image face = seen.face(bench.shown().channel()).image();
                ClipboardContent content = new ClipboardContent();
                content.putImage(isColor ? ClipboardPicture.of(seen.color().orElseThrow()) : ClipboardPicture.of(face));
                Clipboard.getSystemClipboard().setContent(content);
                view.get().say("Copied the picture" + (face.isLevelImage() && face.maximumLevel() == Image.BYTE_MAXIMUM ? ""
                        : isColor ? ", its values as 256 levels" : ", its values as 256 grays"));
            });
        }
    }

    /** Looks at an image with color in another way; of a spectrum at the face that is in the same place. */
    void lookAt(ColorView how, String channel) {
        if (isOpen() && bench.shown().hasSpectrum()) {
            int place = how == ColorView.APART ? ChannelsParameter.ALL.size() : ChannelsParameter.ALL.indexOf(channel);
            bench.looking().channelProperty().set(FaceBar.ORDER.get(Math.max(0, place)).word());
        } else if (isOpen() && bench.shown().model().isPresent()) {
            List<String> names = bench.shown().model().orElseThrow().names();
            bench.looking().channelProperty().set(names.get(Math.max(0, Math.min(names.size() - 1, ChannelsParameter.ALL.indexOf(channel)))));
        } else if (isOpen() && bench.shown().hasColor()) {
            if (!channel.isEmpty()) {
                bench.looking().channelProperty().set(channel);
            }
            bench.looking().colorViewProperty().set(how);
        } else if (isOpen()) {
            view.get().say("This step has no color: its input and result are gray");
        }
    }

    private void copy(String what, Frame image, IntFunction<String> text) {
        if (image.count() > Copy.MOST_VALUES) {
            tooMany(image);
            return;
        }
        Copy.table(image.rows(), image.columns(), text);
        view.get().say("Copied " + image.rows() + " × " + image.columns() + " " + what);
    }

    /**
     * Writes the block on the clipboard from the picked cell on: into the image itself when Before has the keyboard and
     * can be drawn on, else by hand. Where nothing is open, it becomes an image.
     */
    void pasteValues() {
        if (!isOpen()) {
            pasteImage.run();
            return;
        }
        // A choice for an earlier block does not apply to this one.
        banner.hide();
        String text = Clipboard.getSystemClipboard().getString();
        if (text != null && view.get().sheets().sheet(Kind.BEFORE).isFocused() && bench.isDrawable() && bench.project().chain().input() instanceof Image) {
            pasteSamples(CellTable.parse(text));
            return;
        }
        if (text == null || text.isBlank()) {
            banner.show("The clipboard contains no cells; copy a block from a spreadsheet first.");
        } else if (bench.shown().operation().isEmpty()) {
            banner.show("Values by hand belong to a step. First select a step with a result.");
        } else {
            answers.paste(CellTable.parse(text));
        }
    }
}
