package pixeron.byhand.slip.window;

import java.util.ArrayList;
import java.util.List;
import pixeron.byhand.slip.Slip;
import pixeron.byhand.slip.Varied;
import pixeron.image.Image;
import pixeron.step.Step;
import pixeron.step.catalog.StepLine;
import pixeron.step.neighborhood.Border;

/** Something else was taken for what stands outside the image. */
public final class OtherBorder implements Slip {

    /** Constants up to this are tried one by one. */
    private static final int MOST_CONSTANTS = 255;

    private final Border border;

    /** @param border what was taken */
    public OtherBorder(Border border) {
        this.border = border;
    }

    @Override
    public String id() {
        return "border-" + border.word();
    }

    @Override
    public List<Way> ways(Step step, Image before) {
        String given = Varied.choice(step, "border").orElse("");
        if (given.isEmpty() || given.equals("crop") || given.equals(border.word()) && border != Border.CONSTANT) {
            return List.of();
        } else if (border != Border.CONSTANT) {
            return Way.tried(words(), () -> other(step, border.word()), before);
        }
        List<Way> ways = new ArrayList<>();
        // 0 is border-zero.
        for (int outside = 1; outside <= Math.min(MOST_CONSTANTS, before.maximumLevel()); outside++) {
            String text = "constant outside=" + outside;
            ways.addAll(Way.tried("every value outside is taken as " + outside, () -> other(step, text), before));
        }
        return ways;
    }

    private String words() {
        return switch (border) {
            case ZERO -> "values outside are taken as 0";
            case REPEAT -> "outside the nearest pixel of the edge is repeated";
            case MIRROR_HALF -> "outside the image is mirrored, with the edge pixel twice";
            case MIRROR_WHOLE -> "outside the image is mirrored, with the edge pixel once";
            case WRAP -> "outside the image goes on at its other end";
            case KEEP -> "pixels whose window leaves the image keep their value";
            default -> "only the cells inside the image count";
        };
    }

    private static Step other(Step step, String border) {
        String line = step.line().replaceAll(" (border|outside)=\\S+", "");
        return StepLine.parse(line + " border=" + border);
    }
}
