package pixeron.app.help;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import pixeron.help.Searched;

/** What people call the actions of the menu besides their titles. */
public final class ActionWords {

    private static final Map<String, List<String>> WORDS = """
            Open: load, import, read a file, browse
            New image: create image, generate, blank image, synthetic, test image
            New image from the clipboard: paste image, paste as new
            Open another image for this project: second image, add image, import another
            Paste as another image: paste second image
            Save result to shelf: keep result, shelf, reuse result
            Save: store, write project
            Save as: copy of project, rename project
            Save result: export, download, write picture, export CSV, export PNG
            Write a report: PDF, print, HTML, document, hand in
            Apply to files: batch, many images, folder, bulk
            Opening view: start page, home, close project, welcome
            Quit: exit, close program, leave
            Undo: revert, back, take back
            Redo: repeat, undo the undo
            Add a step: insert step, operation, filter, effect, apply
            Copy values of the sheet: copy table, clipboard numbers
            Copy as Python list: nested list, list literal, source code
            Copy as NumPy array: np.array, numpy
            Copy as Java array: array literal, 2D array
            Copy as C array: array literal, header file
            Copy as rows with semicolons: matrix, semicolons
            Copy as JSON: JSON array
            Copy as LaTeX matrix: TeX, bmatrix
            Copy as Markdown table: Markdown, table with bars
            Copy as aligned columns: printed columns, console
            Copy the sheet as a picture: screenshot, copy image
            Paste values: insert values, paste table
            Open values by hand: import answers, load my values, homework
            Run your program: code, script, external program, Python script, test my code
            Next difference: next error, next mistake, wrong cell
            Copy working: copy calculation, copy steps as text
            Copy working as LaTeX: TeX, formula for a paper
            Larger: zoom in, magnify
            Smaller: zoom out
            Whole image: fit, fit to window, zoom reset
            Go to pixel: coordinates, jump, position
            Track the picked pixel: follow, watch, observe pixel
            Next highlighted pixel: next match
            Color scale or gray: false color, pseudocolor, heat map, colormap
            Sheets: grid, numbers
            Table: levels table, lookup values
            Histogram: distribution, frequency of levels, counts, bar chart
            Curve: tone curve, transfer function, mapping
            Compare: PSNR, MSE, difference, side by side
            Enlarge one sheet, or show all: full screen, maximize sheet
            Dark: dark mode, night, theme, light mode
            Large text: font size, bigger text, accessibility, magnify text
            Reduce motion: animation, accessibility motion, no animation
            Start or close the walk: step through, animate, play loop, simulate, trace
            Play or pause: animation, run walk, stop walk
            Lecture: presentation, projector, teach, slides
            Practice: exercises, train, quiz, drill, learn
            Create an exercise from this: make exercise, worksheet, assignment, homework sheet, task
            Mark a class: grade, grading, correct answers, score, assessment
            Find anything: search, look for, help search
            Explain the focused control: help, what is this, context help
            Shortcuts: keyboard, hotkeys, keys
            Quick start: tutorial, tips, getting started, introduction""".lines().map(line -> line.split(": ", 2))
            .collect(Collectors.toUnmodifiableMap(line -> line[0], line -> List.of(line[1].split(", "))));

    private ActionWords() {
    }

    /**
     * Returns the texts by which an action is found.
     *
     * @param label of the menu item
     * @param within the menus that it is in
     */
    public static Searched searched(String label, String within) {
        String title = label.replace("…", "");
        return new Searched(title, List.of(), WORDS.getOrDefault(title, List.of()), List.of(within));
    }
}
