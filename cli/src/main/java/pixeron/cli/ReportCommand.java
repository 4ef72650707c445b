package pixeron.cli;

import java.nio.file.Path;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import pixeron.PixeronException;
import pixeron.byhand.answer.ColourAnswer;
import pixeron.byhand.colour.Abreast;
import pixeron.chain.Stage;
import pixeron.image.ColourImage;
import pixeron.image.Result;
import pixeron.project.Origin;
import pixeron.project.Project;
import pixeron.project.ProjectFile;
import pixeron.report.ReportFile;
import pixeron.report.ReportMaker;
import pixeron.step.Progress;

/** {@code pixeron report PROJECT --out FILE}: the page that is handed in, as PDF, HTML or Markdown. */
@Command(name = "report", mixinStandardHelpOptions = true,
        description = "Writes a report: before, by hand, after, marks, slips in words, workings and scores.")
final class ReportCommand implements Runnable {

    @Spec
    private CommandSpec spec;

    @Parameters(paramLabel = "PROJECT", description = "A project (.pixeron.json), or an image with --step and --by-hand.")
    private Path file;

    @Mixin
    private ImageInput input;

    @Mixin
    private StepLines steps;

    @Option(names = "--by-hand", paramLabel = "FILE", description = "For an image: values by hand for the last step.")
    private Path byHand;

    @Mixin
    private AnswerChoice answer;

    @Option(names = "--out", paramLabel = "FILE", required = true, description = "What is written: .pdf, .html or .md.")
    private Path out;

    @Override
    public void run() {
        ReportFile.write(out, ReportMaker.of(project(), Progress.NONE));
        spec.commandLine().getOut().println("Wrote " + out);
    }

    private Project project() {
        if (file.getFileName().toString().endsWith(ProjectFile.ENDING)) {
            if (byHand != null) {
                throw PixeronException.of("--by-hand is for an image; %s brings its own values by hand.", file.getFileName());
            }
            return ProjectFile.read(file).project();
        }
        String name = file.getFileName().toString();
        Project project = Project.of(name, Origin.of(name, input.readAsItIs(file)), steps.chain(input.chain(file), input));
        Stage last = project.chain().stage(project.chain().size() - 1);
        Result after = last.after(Progress.NONE).required();
        if (byHand == null) {
            return project;
        } else if (after instanceof ColourImage colour) {
            Abreast faces = new Abreast(last.bound(Progress.NONE).orElseThrow(), last.before(Progress.NONE).required(), colour);
            Project written = project;
            for (var face : faces.apart(ColourAnswer.read(byHand, faces)).entrySet()) {
                written = written.withByHand(last.position(), face.getKey(), none -> none.withSheet(empty -> face.getValue()));
            }
            return written;
        }
        return project.withSheet(last.position(), none -> answer.written(last.operation(Progress.NONE).orElseThrow(), byHand, null).sheet());
    }
}
