package pixeron.cli;

import java.nio.file.Path;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import pixeron.PixeronException;
import pixeron.chain.Chain;
import pixeron.format.LoadedImage;
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
        LoadedImage loaded = input.read(file);
        Project project = Project.of(name, Origin.of(name, loaded), loaded.image());
        Chain chain = steps.chain(project.chain());
        chain.last(Progress.NONE).image();
        Project made = project.withChain(empty -> chain);
        return byHand == null ? made : made.withSheet(chain.size() - 1, none -> answer.written(steps.last(
                project.chain()).operation(Progress.NONE).orElseThrow(), byHand, null).sheet());
    }
}
