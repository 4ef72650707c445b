package pixeron.step.colour;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import pixeron.image.ColourImage;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.step.Bound;
import pixeron.step.Explained;
import pixeron.step.Progress;
import pixeron.step.Step;
import pixeron.step.gray.GrayRule;
import pixeron.step.gray.Transparency;

/** A colour image that is gray inside an area: there red, green and blue are all the gray value; alpha stays. */
final class PartlyGray implements Bound {

    private final Step step;
    private final ColourImage picture;
    private final Map<String, GrayOperation> channels;

    /** @throws pixeron.PixeronException if the area reaches beyond the image */
    PartlyGray(Step step, ColourImage picture, Optional<GrayRule> rule, Transparency transparency) {
        this.step = step;
        this.picture = picture;
        this.channels = picture.faces().stream().limit(3).collect(Collectors.toMap(Result.Face::name,
                face -> new GrayOperation(step, picture, face.image(), rule, transparency)));
    }

    @Override
    public Step step() {
        return step;
    }

    @Override
    public Frame frame() {
        return picture.frame();
    }

    @Override
    public ColourImage result(Progress progress) {
        List<Image> made = new ArrayList<>();
        for (Result.Face face : picture.faces()) {
            double done = made.size();
            GrayOperation operation = channels.get(face.name());
            made.add(operation == null ? face.image() : operation.result(part -> progress.isWanted((done + part) / 4)));
        }
        return ColourImage.of(made);
    }

    @Override
    public List<String> notes() {
        return channels.get("red").notes();
    }

    @Override
    public Optional<Explained> face(String name) {
        return Optional.ofNullable(channels.get(name));
    }
}
