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

    /** @return the exit code */
    static int write(Project project, boolean isJson, PrintWriter out) {
        List<StepWork> works = ProjectWork.of(project, Progress.NONE).stream().filter(work -> !work.isEmpty()).toList();
        Optional<Start> start = Start.of(works);
        if (isJson) {
            out.print(Json.text(json(project, works, start)) + System.lineSeparator());
        } else {
            start.ifPresent(found -> out.println(found.sentence(Pixel::toString)));
            works.forEach(work -> write(work, project.chain().stage(work.position()).link().step().line(), out));
        }
        return start.isPresent() ? Pixeron.DIFFERS : 0;
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
            out.printf("%d of these are right, given the values by hand of step %d.%n", work.following().ofStep().size(),
                    work.position());
        }
        work.following().ofTables().forEach((table, pixels) -> out.printf("%d of these are right, given the table by hand: %s.%n",
                pixels.size(), PixelTable.kind(work.step().type(), table).title()));
    }

    private static ObjectNode json(Project project, List<StepWork> works, Optional<Start> start) {
        ObjectNode node = Json.object();
        start.ifPresentOrElse(found -> node.set("start", Json.object().put("step", found.position() + 1).put("table", found.inTable().map(cell -> cell.kind().name()).orElse(""))
                .put("follow", found.following()).put("text", found.sentence(Pixel::toString))), () -> node.putNull("start"));
        for (StepWork work : works) {
            Findings found = work.findings(Progress.NONE);
            ObjectNode step = Json.check(work.check(), found);
            work.channel().ifPresent(face -> step.put("face", face));
            step.put("step", work.position() + 1).put("line", project.chain().stage(work.position()).link().step().line())
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
