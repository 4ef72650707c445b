package pixeron.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;
import pixeron.PixeronException;
import pixeron.byhand.Check;
import pixeron.byhand.HandSheet;
import pixeron.byhand.slip.search.Findings;
import pixeron.byhand.slip.search.SlipFinder;
import pixeron.chain.Stage;
import pixeron.format.ImageFiles;
import pixeron.format.SafeFile;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.project.Project;
import pixeron.project.ProjectFile;
import pixeron.project.SavedProject;
import pixeron.project.demo.DemoCase;
import pixeron.project.demo.DemoCases;
import pixeron.report.Report;
import pixeron.report.ReportFile;
import pixeron.report.ReportMaker;
import pixeron.step.Explained;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.gray.GraySource;
import pixeron.working.WorkingText;

/** {@code pixeron demo}: a full example on the demo data: images, workings, checks, projects, a report. */
@Command(name = "demo", mixinStandardHelpOptions = true, description = "Runs every demo case and writes what came out.")
final class DemoCommand implements Runnable {

    @Spec
    private CommandSpec spec;

    @Option(names = "--out", paramLabel = "FOLDER", defaultValue = "pixeron-demo",
            description = "Where to write; default ${DEFAULT-VALUE}. It is made when it is missing.")
    private Path folder;

    private final StringBuilder report = new StringBuilder("# The demo cases\n");

    @Override
    public void run() {
        PrintWriter out = spec.commandLine().getOut();
        makeFolder();
        int files = 0;
        for (DemoCase demo : DemoCases.all()) {
            files += write(demo);
            out.printf("%-20s %s%n", demo.id(), demo.sentence());
        }
        files += DemoClass.write(folder.resolve("class"));
        DemoColour colour = new DemoColour(DemoCases.all().stream().flatMap(demo -> demo.saved().project().gray().stream())
                .findFirst().orElseThrow().picture(), folder);
        report.append(colour.write(this::writeText));
        files += colour.files();
        report.append(String.format("%n## A class%n%nSix answers to one exercise, `box size=3 border=repeat` on the three-bit sort, in the "
                + "folder class. What `pixeron check --by-hand class --out results.csv` says of them:%n%n```%n%s```%n",
                read(folder.resolve("class").resolve("results.csv"))));
        writeText("report.md", report.toString());
        out.printf("Wrote %d files to %s; begin with report.md.%n", files + 1, folder);
    }

    private void makeFolder() {
        try {
            Files.createDirectories(folder);
        } catch (IOException trouble) {
            throw PixeronException.because(trouble,
                    "The folder %s cannot be made; is there a file of that name, or no permission?",
                    folder);
        }
    }

    /** @return the number of files written */
    private int write(DemoCase demo) {
        SavedProject saved = demo.saved();
        Project project = saved.project();
        Image source = project.chain().source();
        ImageFiles.write(folder.resolve(demo.id() + ".pgm"), source, false);
        ProjectFile.write(folder.resolve(demo.id() + ProjectFile.ENDING), saved);
        report.append(String.format("%n## %s%n%n%s%n%n%s.%n", demo.title(), demo.sentence(), source));
        int files = 2;
        if (project.gray().isPresent()) {
            GraySource gray = project.gray().get();
            files += write(demo.id() + "-gray", "Gray by " + gray.rule().word(), gray, saved.view().picked(),
                    project.sheet(Project.SOURCE), Findings.NONE);
        }
        for (Stage stage : project.chain().stages()) {
            files += write(demo.id(), saved, stage);
        }
        Report page = ReportMaker.of(project, Progress.NONE);
        ReportFile.write(folder.resolve(demo.id() + "-report.pdf"), page);
        ReportFile.write(folder.resolve(demo.id() + "-report.html"), page);
        report.append(String.format("%nThe report of it: `%s-report.pdf` and `.html`.%n", demo.id()));
        return files + 2;
    }

    private int write(String id, SavedProject saved, Stage stage) {
        Project project = saved.project();
        Operation operation = stage.operation(Progress.NONE).orElseThrow();
        String name = id + "-step-" + (stage.position() + 1);
        ImageFiles.write(folder.resolve(name + ".csv"), stage.after(Progress.NONE).image(), false);
        HandSheet sheet = project.sheet(stage.position());
        return 1 + write(name, "Step " + (stage.position() + 1) + ": `" + stage.link().step().line() + "`", operation,
                saved.view().picked(), sheet,
                SlipFinder.find(Check.of(sheet, operation), operation));
    }

    /** Writes the working of one pixel, and the check where something was filled in by hand. */
    private int write(String name, String title, Explained step, Pixel picked, HandSheet sheet,
            Findings found) {
        String working = WorkingText.plain(step.explain(picked));
        writeText(name + "-working.txt", working);
        report.append(String.format("%n### %s%n%nOne pixel worked out:%n%n```%n%s```%n", title, working));
        Check check = Check.of(sheet, step);
        if (check.filled() == 0) {
            return 1;
        }
        writeText(name + "-check.json", Json.text(Json.check(check, found)) + "\n");
        report.append(String.format("%nBy hand:%n%n```%n%s```%n", CheckText.of(check, found, cell -> Optional.empty())));
        return 2;
    }

    private static String read(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException trouble) {
            throw PixeronException.because(trouble, "%s cannot be read.", file);
        }
    }

    private void writeText(String name, String text) {
        SafeFile.write(folder.resolve(name), out -> out.write(text.getBytes(StandardCharsets.UTF_8)));
    }
}
