package pixeron.cli;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import pixeron.PixeronException;
import pixeron.byhand.Check;
import pixeron.byhand.slip.search.Findings;
import pixeron.byhand.slip.search.SlipFinder;
import pixeron.byhand.work.ColorWork;
import pixeron.byhand.work.StepWork;
import pixeron.byhand.work.WrittenFaces;
import pixeron.chain.Stage;
import pixeron.format.ImageFiles;
import pixeron.format.SafeFile;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.image.Spectrum;
import pixeron.project.OtherImage;
import pixeron.project.Project;
import pixeron.project.ProjectFile;
import pixeron.project.ProjectWork;
import pixeron.project.SavedProject;
import pixeron.project.demo.DemoCase;
import pixeron.project.demo.DemoCases;
import pixeron.report.Report;
import pixeron.report.ReportFile;
import pixeron.report.ReportMaker;
import pixeron.step.Progress;
import pixeron.working.Working;
import pixeron.working.WorkingText;

/** {@code pixeron demo}: a full example on the demo data: images, workings, checks, projects, a report. */
final class DemoCommand implements Runnable {

    private final Syntax syntax;
    private final Argument<Path> folder;

    DemoCommand(Syntax syntax) {
        this.syntax = syntax;
        syntax.describe("Run all demo cases and write the results.");
        folder = syntax.option("--out", "FOLDER", Path.class, "pixeron-demo", "Output folder; created if missing; default: ${DEFAULT-VALUE}.");
    }
    private final StringBuilder report = new StringBuilder("# The demo cases\n");

    @Override
    public void run() {
        PrintWriter out = syntax.out();
        NewFolder.make(folder.value());
        int files = 0;
        for (DemoCase demo : DemoCases.all()) {
            files += write(demo);
            out.printf("%-20s %s%n", demo.id(), demo.sentence());
        }
        files += DemoClass.write(folder.value().resolve("class"));
        report.append(String.format("%n## A class%n%nSix answers to one exercise, `box size=3 border=replicate` on the three-bit sort, in the "
                + "folder class. Output of `pixeron check --by-hand class --out results.csv`:%n%n```%n%s```%n",
                read(folder.value().resolve("class").resolve("results.csv"))));
        files += DemoExercise.write(folder.value().resolve("exercises"));
        report.append(String.format("%n## Exercises%n%nThe folder exercises contains all exercises of the library, worksheets for one of them (`equalize-threshold`), "
                + "and twelve answers to it. Output of `pixeron mark`:%n%n```%n%s```%n", read(folder.value().resolve("exercises").resolve("results-slips.csv"))));
        writeText("report.md", report.toString());
        out.printf("Wrote %d files to %s. Start with report.md.%n", files + 1, folder.value());
    }

    /** Returns the number of files written. */
    private int write(DemoCase demo) {
        SavedProject saved = demo.saved();
        Project project = saved.project();
        Result source = project.chain().input();
        ImageFiles.write(folder.value().resolve(demo.id() + ending(source, ".pgm")), source, false);
        ProjectFile.write(folder.value().resolve(demo.id() + ProjectFile.ENDING), saved);
        report.append(String.format("%n## %s%n%n%s%n%n%s.%n", demo.title(), demo.sentence(), source instanceof Image ? source : source.frame().size() + " in color"));
        int files = 2;
        for (OtherImage image : project.images()) {
            ImageFiles.write(folder.value().resolve(demo.id() + "-" + image.name() + ending(image.input(), ".pgm")), image.input(), false);
            files++;
        }
        for (Project each : project.withEachOpen()) {
            for (Stage stage : each.chain().stages()) {
                files += write(demo.id() + each.open().map(name -> "-" + name).orElse(""), each, saved.view().picked(), stage);
            }
        }
        Report page = ReportMaker.of(project, Progress.NONE);
        ReportFile.write(folder.value().resolve(demo.id() + "-report.pdf"), page);
        ReportFile.write(folder.value().resolve(demo.id() + "-report.html"), page);
        report.append(String.format("%nReport: `%s-report.pdf` and `.html`.%n", demo.id()));
        return files + 2;
    }

    private int write(String id, Project project, Pixel wanted, Stage stage) {
        Result after = stage.after(Progress.NONE).required();
        // A result may be smaller than the image that was looked at.
        Pixel picked = after.frame().nearest(wanted);
        String name = id + "-step-" + (stage.position() + 1);
        String title = project.open().map(image -> "Of the image " + image + ", step ").orElse("Step ") + (stage.position() + 1) + ": `" + stage.link().step().line() + "`";
        ImageFiles.write(folder.value().resolve(name + ending(after, ".csv")), after, false);
        List<StepWork> works = ProjectWork.of(project, Progress.NONE);
        Optional<ColorWork> color = ProjectWork.color(project, stage.position(), works, Progress.NONE);
        if (color.isPresent()) {
            ColorWork work = color.get();
            Findings found = work.findings(new SlipFinder(work.faces()), Progress.NONE);
            return 1 + write(name, title, work.faces().whole().explain(picked)) + write(name, work.check(), Json.colorCheck(work.check(), found,
                    work.faces()), CheckText.of(work.check(), found, work.faces()));
        }
        int files = 1;
        List<StepWork> faces = works.stream().filter(work -> work.position() == stage.position()).toList();
        // Of a spectrum the faces that were written; without any its magnitude.
        for (StepWork work : WrittenFaces.of(faces)) {
            String face = work.channel().map(channel -> "-" + channel).orElse("");
            Findings found = work.findings(Progress.NONE);
            files += write(name + face, title + work.channel().map(channel -> ", " + channel).orElse(""), work.operation().explain(picked))
                    + write(name + face, work.check(), Json.withFace(Json.check(work.check(), found), work.channel()), CheckText.of(work.check(), found, cell -> Optional.empty()));
        }
        return files;
    }

    private static String ending(Result result, String ofImages) {
        return result instanceof Image ? ofImages : result instanceof Spectrum ? ImageFiles.suggestedEnding(result) : ".png";
    }

    /** Writes the working of one pixel. */
    private int write(String name, String title, Working working) {
        String text = WorkingText.plain(working);
        writeText(name + "-working.txt", text);
        report.append(String.format("%n### %s%n%nWorking of one pixel:%n%n```%n%s```%n", title, text));
        return 1;
    }

    /** Writes the check where something was filled in by hand. */
    private int write(String name, Check check, ObjectNode json, String text) {
        if (check.filled() == 0) {
            return 0;
        }
        writeText(name + "-check.json", Json.text(json) + "\n");
        report.append(String.format("%nBy hand:%n%n```%n%s```%n", text));
        return 1;
    }

    private static String read(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException trouble) {
            throw PixeronException.because(trouble, "Cannot read %s.", file);
        }
    }

    private void writeText(String name, String text) {
        SafeFile.write(folder.value().resolve(name), out -> out.write(text.getBytes(StandardCharsets.UTF_8)));
    }
}
