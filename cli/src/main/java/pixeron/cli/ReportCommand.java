package pixeron.cli;

import java.nio.file.Path;
import pixeron.PixeronException;
import pixeron.byhand.answer.ColorAnswer;
import pixeron.byhand.color.Abreast;
import pixeron.chain.Stage;
import pixeron.image.Components;
import pixeron.image.Result;
import pixeron.project.Origin;
import pixeron.project.Project;
import pixeron.project.ProjectFile;
import pixeron.report.ReportFile;
import pixeron.report.ReportMaker;
import pixeron.step.Progress;

/** {@code pixeron report PROJECT --out FILE}: the page that is handed in, as PDF, HTML or Markdown. */
final class ReportCommand implements Runnable {

    private final Syntax syntax;
    private final Argument<Path> file;
    private final ImageInput input;
    private final StepLines steps;
    private final Argument<Path> byHand;
    private final AnswerChoice answer;
    private final Argument<Path> out;

    ReportCommand(Syntax syntax) {
        this.syntax = syntax;
        syntax.describe("Write a report: before, by hand, after, marks, slips, workings and scores.");
        file = syntax.next("PROJECT", Path.class, "Project (.pixeron.json), or an image with --step and --by-hand.");
        input = ImageInput.withoutSwap(syntax);
        steps = new StepLines(syntax);
        byHand = syntax.option("--by-hand", "FILE", Path.class, "For an image: values by hand for the last step.");
        answer = new AnswerChoice(syntax);
        out = syntax.required("--out", "FILE", Path.class, "Output file: .pdf, .html or .md.");
    }

    @Override
    public void run() {
        ReportFile.write(out.value(), ReportMaker.of(project(), Progress.NONE));
        syntax.out().println("Wrote " + out.value());
    }

    private Project project() {
        if (file.value().getFileName().toString().endsWith(ProjectFile.ENDING)) {
            if (byHand.isGiven()) {
                throw PixeronException.of("--by-hand works with an image; %s contains its own values by hand.", file.value().getFileName());
            }
            return ProjectFile.read(file.value()).project();
        }
        String name = file.value().getFileName().toString();
        Project project = Project.of(name, Origin.of(name, input.readAsItIs(file.value())), steps.chain(input.chain(file.value()), input));
        Stage last = project.chain().stage(project.chain().size() - 1);
        Result after = last.after(Progress.NONE).required();
        if (!byHand.isGiven()) {
            return project;
        } else if (after instanceof Components color) {
            Abreast faces = new Abreast(last.bound(Progress.NONE).orElseThrow(), last.before(Progress.NONE).required(), color);
            Project written = project;
            for (var face : faces.apart(ColorAnswer.read(byHand.value(), faces)).entrySet()) {
                written = written.withByHand(last.position(), face.getKey(), none -> none.withSheet(empty -> face.getValue()));
            }
            return written;
        }
        return project.withSheet(last.position(), none -> answer.written(last.operation(Progress.NONE).orElseThrow(), byHand.value(), null).sheet());
    }
}
