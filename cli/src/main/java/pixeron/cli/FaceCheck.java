package pixeron.cli;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import pixeron.byhand.Check;
import pixeron.byhand.HandSheet;
import pixeron.byhand.slip.search.Findings;
import pixeron.byhand.slip.search.SlipFinder;
import pixeron.step.Operation;

/** Values by hand of one face of a spectrum, with the findings about them. */
record FaceCheck(String face, Operation operation, Check check, Findings found) {

    static FaceCheck of(String face, Operation operation, HandSheet sheet) {
        Check check = Check.of(sheet, operation);
        return new FaceCheck(face, operation, check, SlipFinder.find(check, operation));
    }

    /** Returns all of them as one object; the first place that differs is that of the first face that has one. */
    static ObjectNode json(List<FaceCheck> all) {
        ObjectNode node = Json.check(Check.EMPTY, Findings.NONE);
        for (FaceCheck one : all) {
            ObjectNode next = Json.withFace(Json.check(one.check, one.found), Optional.of(one.face));
            List.of("filled", "agree", "differ").forEach(name -> node.put(name, node.get(name).intValue() + next.get(name).intValue()));
            if (node.get("first").isNull()) {
                node.set("first", next.get("first"));
            }
            node.withArray("cells").addAll(next.withArray("cells"));
            node.withArray("slips").addAll(next.withArray("slips"));
        }
        return node;
    }

    static String text(List<FaceCheck> all) {
        return all.stream().map(one -> (all.size() > 1 ? one.face + ": " : "") + CheckText.of(one.check, one.found, CheckText.parts(one.operation)))
                .collect(Collectors.joining());
    }
}
