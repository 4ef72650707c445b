package pixeron.app.window;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import pixeron.app.model.Background;
import pixeron.app.model.Bench;
import pixeron.app.model.Seen;
import pixeron.format.ImageFiles;
import pixeron.format.LossyNote;
import pixeron.format.SafeFile;
import pixeron.format.array.ArrayNotation;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.image.Spectrum;
import pixeron.image.SpectrumFace;
import pixeron.project.Project;
import pixeron.recipe.ResultFile;
import pixeron.report.ReportFile;
import pixeron.report.ReportMaker;
import pixeron.step.Progress;
import pixeron.step.point.Depth;

/** Writes what came out of the work: the result of a step, a report. Files are written in the background. */
final class ResultActions {

    private static final List<Dialogs.Kind> RESULTS = List.of(
            new Dialogs.Kind("PNG picture", List.of("*.png")), new Dialogs.Kind("PGM picture", List.of("*.pgm")),
            new Dialogs.Kind("Other lossless pictures", List.of("*.tif", "*.bmp", "*.gif", "*.ppm", "*.pam")),
            new Dialogs.Kind("JPEG picture (changes values)", List.of("*.jpg")),
            new Dialogs.Kind("Table of numbers", List.of("*.csv", "*.tsv", "*.txt")), new Dialogs.Kind("Spreadsheet", List.of("*.xlsx")), new Dialogs.Kind("Array (.npy)", List.of("*.npy")),
            new Dialogs.Kind("Text of an array", List.of("*.py", "*.json", "*.tex", "*.md")));
    private static final List<Dialogs.Kind> REPORTS = List.of(new Dialogs.Kind("PDF", List.of("*.pdf")),
            new Dialogs.Kind("HTML", List.of("*.html")), new Dialogs.Kind("Markdown", List.of("*.md")));

    private final Bench bench;
    private final Voice voice;
    private final Consumer<RuntimeException> trouble;
    /** Apart from opening, so that no other work takes the place of a file that is being written. */
    private final Background saving = new Background();

    /** @param trouble says what went wrong */
    ResultActions(Bench bench, Voice voice, Consumer<RuntimeException> trouble) {
        this.bench = bench;
        this.voice = voice;
        this.trouble = trouble;
    }

    /** Saves what the selected step gives. */
    void saveResult() {
        if (bench.shown() == null) {
            return;
        }
        Optional<Seen> seen = bench.shown().selected();
        if (seen.isEmpty()) {
            voice.banner().show("The selected step has no result to save.");
            return;
        }
        // What is looked at is saved: the picture in color, or one channel of it.
        boolean isChannel = seen.get().hasColor() && !bench.looking().isWhole();
        String face = seen.get().name(bench.shown().channel());
        boolean isFace = isChannel || seen.get().isByComponent();
        Result result = isFace ? seen.get().face(face).image() : seen.get().result();
        // The logarithm of a spectrum is a picture as well: that from black to white.
        Optional<Spectrum> drawn = seen.get().spectrum().filter(spectrum -> face.equals(SpectrumFace.LOG.word()));
        String suggested = fileName(bench.project()) + (bench.position() < 0 ? "" : "-step-" + (bench.position() + 1))
                + (isFace ? "-" + face : "") + ImageFiles.suggestedEnding(result);
        voice.dialogs().chooseToSave("Save the result", suggested, RESULTS).ifPresent(file -> write(file, drawn.isPresent() && !ImageFiles.isTable(file)
                ? drawn.get().picture() : result, suggested));
    }

    /** A picture format without room for these levels is not chosen by a user who wants an error: what they want is asked. */
    private void write(Path file, Result result, String suggested) {
        Optional<ArrayNotation> notation = ResultFile.notation(file);
        if (notation.isPresent()) {
            saving.start(progress -> ResultFile.write(file, result, new ResultFile.Wish(Optional.empty(), false, false), notation.get()), written -> {
                voice.banner().hide();
                voice.say().accept("Saved " + file.getFileName());
            }, trouble);
            return;
        }
        boolean isWithoutRoom = result instanceof Image image && image.isLevelImage() && !ImageFiles.hasRoom(file, image.maximumLevel());
        Dialogs.Room room = isWithoutRoom ? voice.dialogs().askAboutRoom(file.getFileName().toString().replaceFirst(".*\\.", "").toUpperCase(Locale.ROOT),
                result.frame().maximumLevel()) : null;
        if (room == Dialogs.Room.KEEP_NUMBERS) {
            String other = suggested.replaceFirst("\\.[^.]*$", ".pgm");
            voice.dialogs().chooseToSave("Save the result", other, RESULTS).ifPresent(next -> save(next, result));
        } else if (room == Dialogs.Room.SPREAD) {
            save(file, Depth.to(Image.BYTE_MAXIMUM).bind((Image) result).result(Progress.NONE));
        } else if (room == null) {
            save(file, result);
        }
    }

    private void save(Path file, Result kept) {
        saving.start(progress -> {
            ImageFiles.write(file, kept, false);
            return ImageFiles.mayChange(file, kept) ? LossyNote.of(file, kept) : "";
        }, note -> {
            voice.banner().hide();
            voice.say().accept("Saved " + file.getFileName());
            if (!note.isEmpty()) {
                voice.banner().show(note);
            }
        }, trouble);
    }

    /** Returns a name for files of the project, of small letters, numbers and dashes. */
    static String fileName(Project project) {
        String name = project.name().strip().replaceAll("[^\\p{L}\\p{N}]+", "-").replaceAll("^-|-$", "").toLowerCase();
        return name.isEmpty() ? "project" : name;
    }

    /** Saves a text, such as a program, under a name that is suggested. */
    void saveText(String name, String text) {
        String ending = name.substring(name.lastIndexOf('.'));
        voice.dialogs().chooseToSave("Save the program", name, List.of(new Dialogs.Kind("Program", List.of("*" + ending)))).ifPresent(file -> saving.start(progress -> {
            SafeFile.write(file, out -> out.write(text.getBytes(StandardCharsets.UTF_8)));
            return file;
        }, written -> {
            voice.banner().hide();
            voice.say().accept("Saved " + written.getFileName());
        }, trouble));
    }

    /** Writes a report of the whole work, in the format that the file's ending names. */
    void saveReport() {
        if (!bench.isOpen()) {
            return;
        }
        Project project = bench.project();
        voice.dialogs().chooseToSave("Write a report", fileName(project) + "-report.pdf", REPORTS).ifPresent(file ->
                saving.start(progress -> {
                    ReportFile.write(file, ReportMaker.of(project, progress));
                    return file;
                }, written -> {
                    voice.banner().hide();
                    voice.say().accept("Wrote " + file.getFileName());
                }, trouble));
    }
}
