package pixeron.cli;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.PrintWriter;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import pixeron.byhand.slip.search.Findings;
import pixeron.byhand.table.TableSlip;
import pixeron.byhand.work.Start;
import pixeron.byhand.work.StepWork;
import pixeron.image.Pixel;
import pixeron.project.Project;
import pixeron.project.ProjectWork;
import pixeron.step.Progress;
import pixeron.step.table.PixelTable;

/** All values by hand of a project, step by step: what differs, what follows, and where it starts. */
final class ProjectCheck {

    private ProjectCheck() {
    }

    /** Returns the exit code. */
    static int write(Project project, boolean isJson, PrintWriter out) {
        List<Checked> all = project.withEachOpen().stream().map(Checked::of).toList();
        if (isJson) {
            ObjectNode node = json(all.get(0));
            all.stream().skip(1).forEach(image -> node.withArray("images").add(json(image).put("name", image.project.open().orElseThrow())));
            out.print(Json.text(node) + System.lineSeparator());
        } else {
            all.forEach(image -> write(image, out));
        }
        return all.stream().anyMatch(image -> image.start.isPresent()) ? Pixeron.DIFFERS : 0;
    }

    /**
     * The findings about the values by hand for one of the images.
     *
     * @param project with that image open
     * @param works the findings about its steps that have values by hand
     * @param start where it first goes wrong, if it does
     */
    private record Checked(Project project, List<StepWork> works, Optional<Start> start) {

        static Checked of(Project project) {
            List<StepWork> works = ProjectWork.of(project, Progress.NONE).stream().filter(work -> !work.isEmpty()).toList();
            return new Checked(project, works, Start.of(works));
        }
    }

    private static void write(Checked image, PrintWriter out) {
        if (image.works.isEmpty()) {
            return;
        }
        image.project.open().ifPresent(name -> out.printf("%nThe image %s%n%n", name));
        image.start.ifPresent(found -> out.println(found.sentence(Pixel::toString)));
        image.works.forEach(work -> write(work, image.project.chain().stage(work.position()).link().step().line(), out));
    }

    private static void write(StepWork work, String line, PrintWriter out) {
        out.printf("%nStep %d%s: %s%n", work.position() + 1, work.channel().map(channel -> ", " + channel).orElse(""), line);
        Map<String, List<TableSlip>> slips = work.tableSlips();
        work.tables().forEach((name, check) -> out.print(work.table(name).kind().title() + ": "
                + CheckText.of(check, work.table(name), slips.getOrDefault(name, List.of()))));
        if (work.check().filled() > 0) {
            out.print(CheckText.of(work.check(), work.findings(Progress.NONE), CheckText.parts(work.operation())));
        }
        if (!work.following().ofStep().isEmpty()) {
            out.printf("%d of these are correct, given the values by hand of step %d.%n", work.following().ofStep().size(),
                    work.position());
        }
        work.following().ofTables().forEach((table, pixels) -> out.printf("%d of these are correct, given the table by hand: %s.%n",
                pixels.size(), PixelTable.kind(work.step().type(), table).title()));
    }

    private static ObjectNode json(Checked image) {
        ObjectNode node = Json.object();
        image.start.ifPresentOrElse(found -> node.set("start", Json.object().put("step", found.position() + 1).put("table", found.inTable().map(cell -> cell.kind().name()).orElse(""))
                .put("follow", found.following()).put("text", found.sentence(Pixel::toString))), () -> node.putNull("start"));
        for (StepWork work : image.works) {
            Findings found = work.findings(Progress.NONE);
            ObjectNode step = Json.check(work.check(), found);
            work.channel().ifPresent(face -> Json.putComponent(step, face));
            step.put("step", work.position() + 1).put("line", image.project.chain().stage(work.position()).link().step().line())
                    .put("follow", work.following().pixels().size());
            Map<String, List<TableSlip>> slips = work.tableSlips();
            work.tables().forEach((name, check) -> step.withArray("tables").add(Json.check(check, work.table(name),
                    slips.getOrDefault(name, List.of()))));
            node.withArray("steps").add(step);
        }
        node.withArray("steps");
        return node;
    }
}
